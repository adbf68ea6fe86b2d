package app.leeward.core.shotcheck;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.check.Extents;
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
import app.leeward.core.shot.Track;
import app.leeward.core.shot.Way;
import java.util.ArrayList;
import java.util.HashMap;
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
    private final double width;
    private final Map<String, Optional<String>> parents = new HashMap<>();

    PopGauge(Playhead playhead) {
        this.playhead = playhead;
        character = playhead.evaluator().character();
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
                .map(new Extents(character)::corners)
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
        Exposure before = s.get(i - 1);
        Map<String, Double> popped = new TreeMap<>();
        for (Frame.Placed p : s.get(i).picture().placed()) {
            double by = moved(before, s.get(i), p.part());
            if (by > MOST * width && by > ALONE * about(s, i, p.part()) && !exchanged(before, s.get(i), p.part())) {
                popped.put(p.part(), by);
            }
        }
        return popped.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(furthest -> told(furthest.getKey(), furthest.getValue(), popped.size() - 1))
                .stream()
                .toList();
    }

    private Reading told(String part, double by, int others) {
        return new Reading(
                CODE,
                Subject.WHOLE,
                new Measure(by, Unit.UNITS),
                String.format(
                        Locale.ROOT,
                        "%s jumps by %.0f, %.0f %% of the face's width, in one exposure%s.",
                        character.part(part).orElseThrow().name(),
                        by,
                        100 * by / width,
                        others == 0
                                ? ""
                                : others == 1 ? ", and 1 part with it" : ", and " + others + " parts with it"));
    }

    /** How far the corner goes that goes furthest; 0 where the part shows nothing, or another drawing. */
    private static double moved(Exposure before, Exposure now, String part) {
        Optional<Frame.Placed> was = before.of(part).filter(p -> p.opacity() > 0);
        Optional<Frame.Placed> is = now.of(part).filter(p -> p.opacity() > 0);
        if (was.isEmpty()
                || is.isEmpty()
                || !was.get().drawing().equals(is.get().drawing())
                || was.get().matrix().equals(is.get().matrix())
                        && was.get().outlines().isEmpty()
                        && is.get().outlines().isEmpty()) {
            return 0;
        }
        List<Point> from = before.corners(was.get());
        List<Point> to = now.corners(is.get());
        double most = 0;
        for (int k = 0; k < Math.min(from.size(), to.size()); k++) {
            most = Math.max(most, from.get(k).distance(to.get(k)));
        }
        return most;
    }

    /** How far it goes in the exposure before and the one behind. */
    private static double about(List<Exposure> s, int i, String part) {
        double before = i > 1 ? moved(s.get(i - 2), s.get(i - 1), part) : 0;
        return i + 1 < s.size() ? Math.max(before, moved(s.get(i), s.get(i + 1), part)) : before;
    }

    /** Whether something it hangs on shows another drawing than before. */
    private boolean exchanged(Exposure before, Exposure now, String part) {
        return ancestors(part).stream().anyMatch(up -> !before.of(up)
                .map(Frame.Placed::drawing)
                .equals(now.of(up).map(Frame.Placed::drawing)));
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
        List<Remedy> without = new ArrayList<>();
        shot.tracks().dials().forEach((dial, keys) -> {
            for (int k = 1; k < keys.size(); k++) {
                DialKey a = keys.get(k - 1);
                DialKey b = keys.get(k);
                if (b.frame() > before && b.frame() <= f.frame() && a.value() != b.value()) {
                    int from = b.frame() - EASED * shot.rules().exposure();
                    eased.put(dial, List.of(new DialKey(Math.max(a.frame(), from), a.value(), Way.SMOOTH)));
                    if (a.frame() > from) {
                        without.add(without(dial, a));
                        without.add(without(dial, b));
                    }
                }
            }
        });
        if (!eased.isEmpty()) {
            out.add(Remedy.of("Come there over " + EASED + " exposures", new ActingEdit.SetKeys(eased)));
        }
        out.addAll(without);
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

    /** Two keys so near each other leave no room to ease; one of them is in the way. */
    private Remedy without(String dial, DialKey key) {
        String name = character.dial(dial).map(d -> d.name()).orElse(dial);
        return Remedy.of(
                "Take " + name + "’s key at frame " + (key.frame() + 1) + " out",
                new ActingEdit.ClearFrames(List.of(Track.dial(dial)), key.frame(), key.frame() + 1));
    }
}
