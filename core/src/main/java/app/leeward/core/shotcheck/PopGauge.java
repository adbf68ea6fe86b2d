package app.leeward.core.shotcheck;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.Way;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A pop: a part that moves further between two exposures than it may, on its own and not as a piece of a longer movement, while
 * nothing it hangs on is exchanged.
 */
final class PopGauge implements Gauge {
    static final String CODE = "pops";
    /** How far a part may go between two exposures, as a share of the face's width; by eye, no source. */
    static final double MOST = 0.12;
    /** Further than so many times what it does in the exposures about it is no piece of a longer movement; by eye, no source. */
    static final double ALONE = 3;
    /** Frames over which a jump is eased. */
    static final int EASED = 4;

    private final Playhead playhead;
    private final Character character;
    private final Extents extents;
    private final double width;
    private final Map<String, Optional<String>> parents = new HashMap<>();

    PopGauge(Playhead playhead) {
        this.playhead = playhead;
        character = playhead.evaluator().character();
        extents = new Extents(character);
        width = faceWidth();
        character.rig().parts().forEach(p -> parents.put(p.id(), p.parent()));
    }

    private double faceWidth() {
        Frame rest = playhead.evaluator().frame(Pose.REST);
        return character
                .rig()
                .part(PartRole.FACE)
                .map(Part::id)
                .flatMap(rest::of)
                .map(extents::corners)
                .filter(c -> !c.isEmpty())
                .map(c -> Box.around(c).width())
                .filter(w -> w > 0)
                .orElse(character.sheet().canvas().width() / 3.0);
    }

    @Override
    public List<Reading> read(List<Exposure> s, int i) {
        if (i == 0) {
            return List.of();
        }
        Map<String, Frame.Placed> before = byPart(s.get(i - 1));
        Map<String, Double> popped = new LinkedHashMap<>();
        for (Frame.Placed p : s.get(i).picture().placed()) {
            double by = moved(before.get(p.part()), p);
            if (by > MOST * width
                    && by > ALONE * about(s, i, p.part())
                    && !exchanged(before, s.get(i).picture(), p)) {
                popped.put(p.part(), by);
            }
        }
        List<Reading> out = new ArrayList<>();
        popped.forEach((part, by) -> {
            if (ancestors(part).stream().noneMatch(popped::containsKey)) {
                long along = popped.keySet().stream()
                        .filter(other -> ancestors(other).contains(part))
                        .count();
                out.add(new Reading(
                        CODE,
                        Subject.part(part),
                        new Measure(by, Unit.UNITS),
                        String.format(
                                Locale.ROOT,
                                "%s jumps by %.0f, %.0f %% of the face's width, in one exposure%s.",
                                character.part(part).orElseThrow().name(),
                                by,
                                100 * by / width,
                                along == 0
                                        ? ""
                                        : along == 1
                                                ? ", and what hangs on it"
                                                : ", and " + along + " parts with it")));
            }
        });
        return out;
    }

    private static Map<String, Frame.Placed> byPart(Exposure e) {
        Map<String, Frame.Placed> all = new HashMap<>();
        e.picture().placed().forEach(p -> all.put(p.part(), p));
        return all;
    }

    /** How far the corner goes that goes furthest; 0 where the part shows nothing, or another drawing. */
    private double moved(Frame.Placed a, Frame.Placed b) {
        if (a == null || a.opacity() == 0 || b.opacity() == 0 || !a.drawing().equals(b.drawing())) {
            return 0;
        }
        if (a.matrix().equals(b.matrix())
                && a.outlines().isEmpty()
                && b.outlines().isEmpty()) {
            return 0;
        }
        List<Point> from = extents.corners(a);
        List<Point> to = extents.corners(b);
        double most = 0;
        for (int k = 0; k < Math.min(from.size(), to.size()); k++) {
            most = Math.max(most, from.get(k).distance(to.get(k)));
        }
        return most;
    }

    /** How far it goes in the exposure before and the one behind. */
    private double about(List<Exposure> s, int i, String part) {
        double most = 0;
        for (int k : new int[] {i - 1, i + 1}) {
            if (k > 0 && k < s.size()) {
                Optional<Frame.Placed> a = s.get(k - 1).picture().of(part);
                Optional<Frame.Placed> b = s.get(k).picture().of(part);
                most = a.isPresent() && b.isPresent() ? Math.max(most, moved(a.get(), b.get())) : most;
            }
        }
        return most;
    }

    /** Whether something it hangs on shows another drawing than before. */
    private boolean exchanged(Map<String, Frame.Placed> before, Frame now, Frame.Placed p) {
        return ancestors(p.part()).stream().anyMatch(up -> {
            String was = before.containsKey(up) ? before.get(up).drawing() : "";
            return !was.equals(now.of(up).map(Frame.Placed::drawing).orElse(""));
        });
    }

    private List<String> ancestors(String part) {
        List<String> all = new ArrayList<>();
        Optional<String> up = parents.getOrDefault(part, Optional.empty());
        while (up.isPresent()) {
            all.add(up.get());
            up = parents.getOrDefault(up.get(), Optional.empty());
        }
        return all;
    }

    /** What is held until it jumps is brought there over some frames instead; a look that is there at once comes in over some. */
    @Override
    public List<Remedy> remedies(ShotFinding f) {
        if (!f.code().equals(CODE)) {
            return List.of();
        }
        Shot shot = playhead.shot();
        List<Remedy> out = new ArrayList<>();
        int before = f.frame() - shot.rules().exposure();
        Map<String, List<DialKey>> eased = new TreeMap<>();
        shot.tracks().dials().forEach((dial, keys) -> {
            for (int k = 1; k < keys.size(); k++) {
                DialKey a = keys.get(k - 1);
                DialKey b = keys.get(k);
                if (b.frame() > before && b.frame() <= f.frame() && a.value() != b.value()) {
                    int from = b.frame() - EASED * shot.rules().exposure();
                    eased.put(dial, List.of(new DialKey(Math.max(a.frame(), from), a.value(), Way.SMOOTH)));
                }
            }
        });
        if (!eased.isEmpty()) {
            out.add(Remedy.of("Come there over " + EASED + " exposures", new ActingEdit.SetKeys(eased)));
        }
        for (LookSpan l : shot.tracks().looks()) {
            boolean comes = l.from() > before && l.from() <= f.frame() && l.in() < EASED;
            boolean goes = l.to() > before && l.to() <= f.frame() && l.out() < EASED;
            if (comes || goes) {
                int most = Math.min(EASED * shot.rules().exposure(), (l.to() - l.from()) / 2);
                out.add(Remedy.of(
                        comes ? "Let the look come in over " + most : "Let the look go out over " + most,
                        new ActingEdit.SetLook(
                                l.from(),
                                new LookSpan(
                                        l.from(),
                                        l.to(),
                                        l.look(),
                                        comes ? most : l.in(),
                                        goes ? most : l.out(),
                                        l.strength()))));
            }
        }
        return out;
    }
}
