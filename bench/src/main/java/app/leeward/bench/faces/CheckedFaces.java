package app.leeward.bench.faces;

import app.leeward.core.art.Drawing;
import app.leeward.core.check.Checks;
import app.leeward.core.check.Finding;
import app.leeward.core.check.SafeMend;
import app.leeward.core.check.SafeMends;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MendAll;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.faces.Face;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Checks seeded faces whole, plants faults that are known, and makes what is safe to mend. Arguments: how many faces, and the first seed.
 */
public final class CheckedFaces {
    private static final String PLANTED = "planted";

    private CheckedFaces() {}

    /**
     * A face that was checked.
     *
     * @param seconds the whole check took, mends tried
     * @param found how often each code was found as the face came
     * @param missed faults that were planted and not found
     * @param safe how many mends were safe
     * @param broken what the safe mends made worse, or what was offered again after them
     */
    record Checked(
            long seed,
            double seconds,
            Map<String, Integer> found,
            List<String> missed,
            int safe,
            List<String> broken) {}

    public static void main(String[] args) {
        int faces = Integer.parseInt(args[0]);
        long first = args.length > 1 ? Long.parseLong(args[1]) : 1;
        List<Double> seconds = new ArrayList<>();
        Map<String, Integer> found = new TreeMap<>();
        int missed = 0;
        int broken = 0;
        int safe = 0;
        for (long seed = first; seed < first + faces; seed++) {
            Optional<Checked> checked = checked(seed);
            if (checked.isEmpty()) {
                continue;
            }
            Checked c = checked.get();
            seconds.add(c.seconds());
            c.found().forEach((code, n) -> found.merge(code, 1, Integer::sum));
            missed += c.missed().size();
            broken += c.broken().size();
            safe += c.safe();
            Stream.concat(c.missed().stream().map(m -> "missed " + m), c.broken().stream())
                    .forEach(w -> System.out.println("seed " + c.seed() + ": " + w));
        }
        seconds.sort(Comparator.naturalOrder());
        System.out.printf(
                Locale.ROOT,
                "%d of %d faces checked: median %.2f s, at most %.2f s; %d planted faults missed; %d safe mends, %d of them broke a promise%n",
                seconds.size(),
                faces,
                seconds.get(seconds.size() / 2),
                seconds.get(seconds.size() - 1),
                missed,
                safe,
                broken);
        System.out.println("faces with: " + found);
    }

    /** Empty for a face that is refused. */
    static Optional<Checked> checked(long seed) {
        return Trial.of(Face.of(seed)).character().map(read -> checked(seed, rigged(read)));
    }

    private static Checked checked(long seed, Character c) {
        long from = System.nanoTime();
        List<Finding> before = Checks.all(c);
        double seconds = (System.nanoTime() - from) / 1e9;
        Map<String, Integer> found = new TreeMap<>();
        before.forEach(f -> found.merge(f.check() + " " + f.code(), 1, Integer::sum));
        List<SafeMend> safe = SafeMends.of(c);
        return new Checked(seed, seconds, found, missed(c), safe.size(), broken(c, before, safe));
    }

    static Character rigged(Character c) {
        Character now = c;
        for (Edit e : List.of(
                new BuildEyes(),
                new MakeMouths("", null, null, true, List.of()),
                new MakeBrows(),
                MakeTurn.of(Optional.empty()),
                new MakeLooks())) {
            // a face that lacks what an edit needs does without
            now = Edits.apply(now, e) instanceof Outcome.Done done ? done.character() : now;
        }
        return now;
    }

    /** Faults whose truth is known, each planted alone. */
    private static List<String> missed(Character c) {
        List<String> missed = new ArrayList<>();
        // what is masked shows inside what masks it or nowhere, and is not measured
        Set<String> open = new Evaluator(c)
                .frame(Pose.REST).placed().stream()
                        .filter(p -> p.windows().isEmpty() && p.opacity() > 0)
                        .map(Frame.Placed::part)
                        .collect(Collectors.toSet());
        Optional<Part> piece = Stream.of(PartRole.NOSE, PartRole.EAR, PartRole.BROW)
                .flatMap(r -> c.part(r).stream())
                .filter(p -> open.contains(p.id()))
                .findFirst();
        if (piece.isEmpty()) {
            return missed;
        }
        Part p = piece.get();
        double away =
                3 * Math.max(c.sheet().canvas().width(), c.sheet().canvas().height());
        Dial dial = new Dial(
                PLANTED,
                PLANTED,
                Purpose.OWN,
                0,
                1,
                0,
                "",
                List.of(new Stop(1, Map.of(p.id(), Offset.shift(away, 0)))),
                List.of());
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        dials.add(dial);
        Character torn = c.withControls(k -> k.withDials(dials));
        if (Checks.of(torn, "sweep").orElseThrow().stream()
                .noneMatch(f -> f.subject().dial().equals(PLANTED))) {
            missed.add("a piece taken away: " + p.name());
        }
        Drawing spare = p.drawings().get(0);
        Character more = c.withPart(
                p.id(),
                q -> q.withDrawings(
                        Stream.concat(q.drawings().stream(), Stream.of(new Drawing(PLANTED, PLANTED, spare.art())))
                                .toList(),
                        q.shown()));
        if (Checks.of(more, "unused").orElseThrow().stream()
                .noneMatch(f -> f.message().contains(PLANTED))) {
            missed.add("a drawing nothing shows: " + p.name());
        }
        return missed;
    }

    private static List<String> broken(Character c, List<Finding> before, List<SafeMend> safe) {
        if (safe.isEmpty()) {
            return List.of();
        }
        MendAll all = new MendAll(safe.stream().map(s -> s.mend().edit()).toList());
        if (!(Edits.apply(c, all) instanceof Outcome.Done done)) {
            return List.of("safe mends cannot be made together");
        }
        List<String> broken = new ArrayList<>();
        for (Finding f : Checks.all(done.character())) {
            double was = before.stream()
                    .filter(b -> same(b, f))
                    .mapToDouble(b -> b.measure().value())
                    .max()
                    .orElse(0);
            if (f.measure().value() > was * 1.01) {
                broken.add("made worse, from " + was + " to " + f.measure().value() + ": " + f.message());
            }
        }
        SafeMends.of(done.character()).forEach(s -> {
            if (safe.stream().anyMatch(t -> same(t.finding(), s.finding()))) {
                broken.add("offered again: " + s.finding().message());
            }
        });
        return broken;
    }

    private static boolean same(Finding a, Finding b) {
        return a.check().equals(b.check())
                && a.code().equals(b.code())
                && a.subject().equals(b.subject());
    }
}
