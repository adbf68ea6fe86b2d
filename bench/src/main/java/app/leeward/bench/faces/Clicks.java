package app.leeward.bench.faces;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.check.Checks;
import app.leeward.core.check.Finding;
import app.leeward.core.check.Mend;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Fit;
import app.leeward.core.edit.MergeColours;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.ReadAs;
import app.leeward.core.edit.SetSides;
import app.leeward.core.edit.Tidy;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeReport;
import app.leeward.core.intake.NearColours;
import app.leeward.core.intake.Recognition;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.render.FramePainter;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Takes what the Intake bench and the checks offer, and tells which promises broke. */
final class Clicks {
    /** A head that turns, blinks, looks and talks is not to take more. */
    static final int MOST = 12;

    private Clicks() {}

    /** @param pictureStays whether it promises to change no picture */
    record Offer(String name, Edit edit, boolean pictureStays) {}

    /**
     * Clicks until nothing is offered.
     *
     * @param broken promises that broke, in words
     */
    record Clicked(Character character, int clicks, List<String> broken) {}

    static List<Offer> offers(Character c) {
        IntakeReport r = IntakeReport.of(c);
        List<Offer> all = new ArrayList<>();
        r.standing()
                .filter(s -> s.needed())
                .ifPresent(s -> all.add(new Offer("fit", new Fit(s.scale(), s.dx(), s.dy(), s.canvas()), false)));
        if (!r.sides().right().isEmpty()) {
            all.add(new Offer("sides", new SetSides(r.sides().right()), true));
        }
        if (!r.guesses().isEmpty()) {
            all.add(new Offer(
                    "roles",
                    new ReadAs(r.guesses().stream().map(Recognition::offer).toList()),
                    true));
        }
        if (!r.nearColours().isEmpty()) {
            Map<String, String> into = new LinkedHashMap<>();
            for (NearColours n : r.nearColours()) {
                into.putIfAbsent(n.merge().colour(), n.keep().colour());
            }
            all.add(new Offer("colours", new MergeColours(into), true));
        }
        if (!r.strays().isEmpty()) {
            all.add(new Offer("tidy", new Tidy(), true));
        }
        return all;
    }

    static Clicked all(Character begun, Random order, ImageShelf images) throws IOException {
        List<String> broken = new ArrayList<>();
        Character c = begun;
        int clicks = 0;
        List<Offer> offered = offers(c);
        while (!offered.isEmpty() && clicks < MOST) {
            Offer taken = offered.get(order.nextInt(offered.size()));
            clicks++;
            Outcome done = Edits.apply(c, taken.edit());
            if (!(done instanceof Outcome.Done now)) {
                broken.add(taken.name() + " was offered and refused: " + ((Outcome.Refused) done).message());
                break;
            }
            if (taken.pictureStays()) {
                double unlike = Likeness.unlike(picture(c, images), picture(now.character(), images));
                if (unlike > 0.001) {
                    broken.add(String.format("%s changes %.2f %% of the picture", taken.name(), 100 * unlike));
                }
            }
            c = now.character();
            offered = offers(c);
            if (offered.stream().anyMatch(o -> o.name().equals(taken.name()) && sameThings(o.edit(), taken.edit()))) {
                broken.add(taken.name() + " is offered again");
                break;
            }
        }
        return new Clicked(c, clicks, broken);
    }

    /** Roles that are known now may tell more about others; what was taken itself must not come back. */
    private static boolean sameThings(Edit now, Edit then) {
        return !(now instanceof ReadAs a && then instanceof ReadAs b)
                || a.offers().stream().anyMatch(o -> b.offers().stream()
                        .anyMatch(t -> t.part().equals(o.part())));
    }

    /** Takes every mend that is offered once; a finding of a check must not grow by it. */
    static List<String> mends(Character c) throws IOException {
        List<String> broken = new ArrayList<>();
        for (Finding f : Checks.all(c)) {
            for (Mend m : f.mends()) {
                Outcome done = Edits.apply(c, m.edit());
                if (!(done instanceof Outcome.Done now)) {
                    broken.add(m.label() + " was offered and refused");
                    continue;
                }
                double after = Checks.of(now.character(), f.check()).orElse(List.of()).stream()
                        .filter(g -> g.code().equals(f.code()) && g.subject().equals(f.subject()))
                        .mapToDouble(g -> g.measure().value())
                        .max()
                        .orElse(0);
                if (after >= f.measure().value()) {
                    broken.add(m.label() + " makes nothing smaller");
                }
            }
        }
        return broken;
    }

    private static BufferedImage picture(Character c, ImageShelf images) throws IOException {
        return Likeness.png(FramePainter.of(c, Trial.WIDTH, images).png(new Evaluator(c).frame(Pose.REST)));
    }
}
