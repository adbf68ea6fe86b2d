package app.leeward.core.shot;

import app.leeward.core.cue.CuePlacement;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.DelayLine;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a shot looks like at any frame: the one evaluation that the screen, the renderer and exports share. Immutable.
 */
public final class Playhead {
    private final Evaluator evaluator;
    private final Shot shot;
    private final Optional<MouthTrack> mouths;
    private final DelayLine trails;

    public Playhead(Evaluator evaluator, Shot shot) {
        this.evaluator = evaluator;
        this.shot = shot;
        this.trails = new DelayLine(evaluator);
        boolean talks = evaluator.character().voice().mouths().part().isPresent()
                && !evaluator.character().voice().mouths().drawn().isEmpty();
        this.mouths =
                talks ? Optional.of(shot.mouths(evaluator.character().voice().mouths())) : Optional.empty();
    }

    private Playhead(Evaluator evaluator, Shot shot, Optional<MouthTrack> mouths) {
        this.evaluator = evaluator;
        this.shot = shot;
        this.mouths = mouths;
        trails = new DelayLine(evaluator);
    }

    /** The same shot over a character that speaks with the same mouths; with others it is solved anew. */
    public Playhead with(Evaluator other) {
        return other.character().voice().mouths()
                        == evaluator.character().voice().mouths()
                ? new Playhead(other, shot, mouths)
                : new Playhead(other, shot);
    }

    /** The mouth track; empty for a character without a mouth set. */
    public Optional<MouthTrack> mouths() {
        return mouths;
    }

    /** {@code frame} rounded down to the exposure it is photographed in, and held inside the shot. */
    public int exposed(int frame) {
        int held = Math.max(0, Math.min(shot.frames() - 1, frame));
        return held - held % shot.rules().exposure();
    }

    /**
     * The pose at a frame: {@code live} (what the dials are held at by hand) with the line's mouth, the blinks, the cues and
     * the runs added. While a run plays it is the pick of its part.
     */
    public Pose poseAt(int frame, Pose live) {
        if (trails.reach() == 0) {
            return without(frame, live);
        }
        List<Pose> poses = new ArrayList<>();
        for (int f = Math.max(0, frame - trails.reach()); f <= frame; f++) {
            poses.add(without(f, live));
        }
        List<Pose> all = trails.over(poses);
        return all.get(all.size() - 1);
    }

    /** The pose at a frame that knows nothing of those before it. */
    private Pose without(int frame, Pose live) {
        int at = exposed(frame);
        Pose cued = live.withCues(cuesAt(at)).withPicks(gesturesAt(at));
        if (mouths.isEmpty()) {
            return cued;
        }
        String part = evaluator.character().voice().mouths().part().orElseThrow();
        Pose speaking = cued.saying(part, mouths.get().at(at));
        String pin = shot.pins().get(at);
        return pin == null ? speaking : speaking.withPins(Map.of(part, pin));
    }

    /** What the runs along the shot show; of two on one part the later in the list. */
    private Map<String, String> gesturesAt(int frame) {
        Map<String, String> picks = new HashMap<>();
        for (Gesture g : shot.gestures()) {
            evaluator.character().rig().runs().stream()
                    .filter(r -> r.id().equals(g.run()))
                    .findFirst()
                    .ifPresent(r -> g.at(frame, r).ifPresent(drawing -> evaluator
                            .character()
                            .rig()
                            .playedBy(r.id())
                            .ifPresent(p -> picks.put(p.id(), drawing))));
        }
        return picks;
    }

    /** How far blinks and cues take each dial. */
    private Map<String, Double> cuesAt(int frame) {
        Map<String, Double> adds = new HashMap<>();
        double shut =
                shot.blinks().stream().mapToDouble(b -> b.shut(frame)).max().orElse(0);
        if (shut > 0) {
            evaluator.character().controls().dials().stream()
                    .filter(d -> d.purpose() == Purpose.BLINK)
                    .forEach(d -> adds.put(d.id(), shut * (d.to() - d.rest())));
        }
        for (CuePlacement d : shot.cues()) {
            evaluator.character().cue(d.cue()).ifPresent(q -> q.at(
                            frame - d.frame(), evaluator.character().controls().straightDials())
                    .forEach((dial, by) -> adds.merge(dial, by, Double::sum)));
        }
        return adds;
    }

    public Frame frameAt(int frame, Pose live) {
        return evaluator.frame(poseAt(frame, live));
    }
}
