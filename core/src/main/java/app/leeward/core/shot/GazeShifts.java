package app.leeward.core.shot;

import app.leeward.core.cue.Cue;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** Where in a shot the gaze jumps or the head begins to turn, which is when eyes like to blink. */
public final class GazeShifts {
    /** How much of a dial's range a move must cover: a rule of thumb, no source. */
    private static final double FAR = 0.15;
    /** Seconds in which a gaze must get there to be a jump and not a following: a rule of thumb, no source. */
    private static final double SOON = 0.3;

    private GazeShifts() {}

    /** The frames in rising order, each once; a move that goes straight on from another one is part of it. */
    public static List<Integer> of(Shot shot, Character character) {
        TreeSet<Integer> frames = new TreeSet<>();
        int rate = shot.rules().frameRate();
        for (CuePlacement d : shot.tracks().cues()) {
            character.cue(d.cue()).ifPresent(q -> q.tracks()
                    .forEach((dial, keys) -> gather(
                            character.dial(dial),
                            keys.stream().map(k -> moment(d, q, k)).toList(),
                            rate,
                            frames)));
        }
        shot.tracks().dials().forEach((dial, keys) -> gather(character.dial(dial), moments(keys), rate, frames));
        frames.removeIf(f -> f >= shot.frames());
        return List.copyOf(frames);
    }

    /** Where a dial is at a frame. */
    private record Moment(int frame, double value) {}

    private static Moment moment(CuePlacement placed, Cue cue, Key key) {
        int once = placed.lasts(cue) / placed.times();
        double along = cue.frames() == 1 ? 0 : (double) key.frame() * (once - 1) / (cue.frames() - 1);
        return new Moment(placed.frame() + (int) Math.round(along), placed.strength() * key.by());
    }

    /** A dial that is held jumps at the next key: it sets out just before it. */
    private static List<Moment> moments(List<DialKey> keys) {
        List<Moment> all = new ArrayList<>();
        for (int i = 0; i < keys.size(); i++) {
            DialKey k = keys.get(i);
            all.add(new Moment(k.frame(), k.value()));
            if (k.way() instanceof Way.Hold
                    && i + 1 < keys.size()
                    && keys.get(i + 1).frame() > k.frame() + 1) {
                all.add(new Moment(keys.get(i + 1).frame() - 1, k.value()));
            }
        }
        return all;
    }

    private static void gather(Optional<Dial> dial, List<Moment> moments, int frameRate, TreeSet<Integer> frames) {
        Purpose purpose = dial.map(Dial::purpose).orElse(Purpose.OWN);
        boolean gaze = purpose == Purpose.GAZE_ACROSS || purpose == Purpose.GAZE_DOWN;
        if (!gaze && purpose != Purpose.TURN) {
            return;
        }
        double far = FAR * (dial.get().to() - dial.get().from());
        boolean moving = false;
        for (int i = 0; i + 1 < moments.size(); i++) {
            Moment m = moments.get(i);
            Moment next = moments.get(i + 1);
            boolean soon = !gaze || next.frame() - m.frame() <= SOON * frameRate;
            if (!moving && soon && Math.abs(next.value() - m.value()) >= far) {
                frames.add(m.frame());
            }
            moving = next.value() != m.value();
        }
    }
}
