package app.leeward.server.studio;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.DeliveryEdit;
import app.leeward.core.shot.ShotEdit;

/** Whether the character of a shot has what an edit of the shot asks of it. */
final class CastCheck {
    private CastCheck() {}

    /** Whether an edit asks anything of the character. */
    static boolean looksAt(ShotEdit edit) {
        return edit instanceof ShotEdit.PinMouth
                || edit instanceof ShotEdit.SetGesture
                || edit instanceof ShotEdit.Feel feel && !feel.mood().isEmpty()
                || edit instanceof DeliveryEdit.FeelAlong along
                        && !along.span().mood().isEmpty();
    }

    /** @throws Problem {@code no-drawing}, {@code no-run} or {@code no-mood} */
    static void require(Character character, ShotEdit edit) {
        if (edit instanceof ShotEdit.PinMouth pin) {
            requireMouth(character, pin.drawing());
        } else if (edit instanceof ShotEdit.SetGesture set) {
            requireRun(character, set.gesture().run());
        } else if (edit instanceof ShotEdit.Feel feel) {
            requireMood(character, feel.mood());
        } else if (edit instanceof DeliveryEdit.FeelAlong along) {
            requireMood(character, along.span().mood());
        }
    }

    private static void requireRun(Character character, String run) {
        if (character.rig().runs().stream().noneMatch(r -> r.id().equals(run))) {
            throw Problem.refused("no-run", "There is no run '" + run + "'; the Hands bench keeps them.");
        }
    }

    private static void requireMood(Character character, String mood) {
        if (character.voice().mouths().moods().stream().noneMatch(m -> m.id().equals(mood))) {
            throw Problem.refused(
                    "no-mood", "There are no mouths for the mood '" + mood + "'; the Mouths bench makes them.");
        }
    }

    private static void requireMouth(Character character, String drawing) {
        boolean there = character
                .voice()
                .mouths()
                .part()
                .flatMap(character::part)
                .filter(mouth -> mouth.offers(drawing))
                .isPresent();
        if (!there) {
            throw Problem.refused("no-drawing", "The mouth has no drawing '" + drawing + "'.");
        }
    }
}
