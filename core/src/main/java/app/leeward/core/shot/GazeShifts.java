package app.leeward.core.shot;

import app.leeward.core.cue.Cue;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.Character;
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
        for (CuePlacement d : shot.cues()) {
            character
                    .cue(d.cue())
                    .ifPresent(q -> gather(q, d.frame(), shot.rules().frameRate(), character, frames));
        }
        frames.removeIf(f -> f >= shot.frames());
        return List.copyOf(frames);
    }

    private static void gather(Cue cue, int from, int frameRate, Character character, TreeSet<Integer> frames) {
        cue.tracks().forEach((id, keys) -> {
            Optional<Dial> dial = character.dial(id);
            if (dial.isEmpty()) {
                return;
            }
            boolean gaze =
                    dial.get().purpose() == Purpose.GAZE_ACROSS || dial.get().purpose() == Purpose.GAZE_DOWN;
            if (!gaze && dial.get().purpose() != Purpose.TURN) {
                return;
            }
            double far = FAR * (dial.get().to() - dial.get().from());
            boolean moving = false;
            for (int i = 0; i + 1 < keys.size(); i++) {
                Key k = keys.get(i);
                Key next = keys.get(i + 1);
                boolean soon = !gaze || next.frame() - k.frame() <= SOON * frameRate;
                if (!moving && soon && Math.abs(next.by() - k.by()) >= far) {
                    frames.add(from + k.frame());
                }
                moving = next.by() != k.by();
            }
        });
    }
}
