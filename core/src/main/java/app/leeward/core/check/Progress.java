package app.leeward.core.check;

import app.leeward.core.dial.Purpose;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.Tracks;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * How far a character is.
 *
 * @param done the stages whose work shows in the character or in what it acts
 * @param next the first of the others that its art has something for; kits are never waited for. Empty when all is done
 */
public record Progress(Set<RigStep> done, Optional<RigStep> next) {
    /** Mouths without which a line is no lip sync yet: the extremes and some between them. */
    private static final int FEWEST_MOUTHS = 6;
    /** Drawings of a hand from which on it can be replaced. */
    private static final int FEWEST_HANDS = 2;

    /**
     * @param shots all that the character acts
     * @param handedOver whether some file of it was made
     */
    public static Progress of(Character c, Collection<Shot> shots, boolean handedOver) {
        EnumSet<RigStep> done = EnumSet.of(RigStep.INTAKE);
        add(done, RigStep.PARTS, has(c, PartRole.HEAD) || has(c, PartRole.VIEW));
        add(done, RigStep.EYES, dial(c, Purpose.BLINK) && dial(c, Purpose.GAZE_ACROSS));
        add(done, RigStep.MOUTHS, speaks(c.voice().mouths()));
        add(done, RigStep.BROWS, !c.library().looks().isEmpty());
        add(
                done,
                RigStep.HANDS,
                c.rig().parts().stream()
                        .anyMatch(p -> p.role() == PartRole.HAND && p.drawings().size() >= FEWEST_HANDS));
        add(done, RigStep.KITS, !c.library().kits().isEmpty());
        add(done, RigStep.TURN, dial(c, Purpose.TURN) || c.controls().views().isPresent());
        add(done, RigStep.LINES, shots.stream().anyMatch(s -> !s.lines().isEmpty()));
        add(done, RigStep.SHOT, shots.stream().anyMatch(Progress::acted));
        add(done, RigStep.HAND_OVER, handedOver);
        return new Progress(
                done,
                Arrays.stream(RigStep.values())
                        .filter(s -> !done.contains(s) && s != RigStep.KITS)
                        .filter(s -> s != RigStep.HANDS || has(c, PartRole.HAND))
                        .findFirst());
    }

    private static void add(Set<RigStep> done, RigStep step, boolean is) {
        if (is) {
            done.add(step);
        }
    }

    private static boolean has(Character c, PartRole role) {
        return c.rig().parts().stream().anyMatch(p -> p.role() == role);
    }

    private static boolean dial(Character c, Purpose purpose) {
        return c.controls().dials().stream().anyMatch(d -> d.purpose() == purpose);
    }

    /** Whether there are mouths enough, and some mouth for every class of sounds. */
    private static boolean speaks(MouthChart chart) {
        return chart.drawn().size() >= FEWEST_MOUTHS
                && Arrays.stream(Viseme.values()).filter(Viseme::spoken).allMatch(v -> chart.serve(v)
                        .isPresent());
    }

    /** Whether something is acted by hand: what a line alone brings, its mouths and blinks, is none of it. */
    private static boolean acted(Shot s) {
        Tracks t = s.tracks();
        return !t.dials().isEmpty()
                || !t.drawings().isEmpty()
                || !t.looks().isEmpty()
                || !t.cues().isEmpty()
                || !t.gestures().isEmpty()
                || !t.kits().isEmpty();
    }
}
