package app.leeward.bench.faces;

import app.leeward.core.art.ImageShelf;
import app.leeward.faces.Face;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;

/** Prints what becomes of many faces. Arguments: how many, and the first seed. */
public final class ThousandFaces {
    private ThousandFaces() {}

    private record Lost(long seed, double share) {}

    public static void main(String[] args) throws Exception {
        int count = args.length > 0 ? Integer.parseInt(args[0]) : 1000;
        long first = args.length > 1 ? Long.parseLong(args[1]) : 0;
        TreeMap<String, List<Long>> broken = new TreeMap<>();
        int most = 0;
        double worst = 0;
        int refused = 0;
        List<Long> refusedSeeds = new ArrayList<>();
        List<Lost> lost = new ArrayList<>();
        int[] sums = new int[5];
        TreeMap<String, Integer> told = new TreeMap<>();
        for (long seed = first; seed < first + count; seed++) {
            Trial trial = Trial.of(Face.of(seed));
            if (trial.character().isEmpty()) {
                refused++;
                told.merge("refused: " + trial.refused(), 1, Integer::sum);
                refusedSeeds.add(seed);
                continue;
            }
            Likeness.Unlike unlike = trial.unlike();
            double share = unlike.share();
            worst = Math.max(worst, unlike.worst());
            if (share > 0.005) {
                lost.add(new Lost(seed, share));
            }
            Recognised r = Recognised.of(trial.character().get(), trial.face().truth());
            int[] counts = {r.right(), r.wrong(), r.unclaimed(), r.lost(), r.wrongSides()};
            for (int i = 0; i < 5; i++) {
                sums[i] += counts[i];
            }
            Clicks.Clicked clicked = Clicks.all(trial.character().get(), new Random(seed), ImageShelf.NONE);
            for (String b : clicked.broken()) {
                broken.computeIfAbsent(b.replaceAll("[0-9.]+ %", "some %"), k -> new ArrayList<>())
                        .add(seed);
            }
            for (String b : Clicks.mends(clicked.character())) {
                broken.computeIfAbsent(b, k -> new ArrayList<>()).add(seed);
            }
            most = Math.max(most, clicked.clicks());
            String naming = trial.face().truth().traits().naming().toString();
            r.told().forEach(t -> told.merge(naming + " " + t.replaceAll("'.*?'", ""), 1, Integer::sum));
        }
        System.out.printf("%d faces from seed %d: %d refused %s%n", count, first, refused, refusedSeeds);
        lost.sort(Comparator.comparingDouble(Lost::share).reversed());
        System.out.printf(
                "more than 0.5 %% of the picture lost: %d%s%n",
                lost.size(),
                lost.stream()
                        .limit(12)
                        .map(l -> String.format(" %d (%.1f %%)", l.seed, 100 * l.share))
                        .reduce("", String::concat));
        System.out.printf("the worst place of 20 x 20 pixels: %.0f %% of it otherwise%n", 100 * worst);
        System.out.printf(
                "layers to be seen: %d read rightly, %d wrongly, %d not at all, %d not in the rig; %d on the wrong side%n",
                sums[0], sums[1], sums[2], sums[3], sums[4]);
        System.out.printf(
                "precision %.4f, recall %.4f%n",
                sums[0] / (double) (sums[0] + sums[1]), sums[0] / (double) (sums[0] + sums[1] + sums[2] + sums[3]));
        System.out.printf("at most %d clicks on Intake; promises broken by clicks: %d kinds%n", most, broken.size());
        broken.forEach((what, seeds) -> System.out.printf(
                "%5d  %s %s%n", seeds.size(), what, seeds.stream().limit(8).toList()));
        told.entrySet().stream()
                .sorted((a, b) -> b.getValue() - a.getValue())
                .limit(60)
                .forEach(e -> System.out.printf("%5d  %s%n", e.getValue(), e.getKey()));
    }
}
