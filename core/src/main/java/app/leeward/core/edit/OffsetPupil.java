package app.leeward.core.edit;

import app.leeward.core.art.Numbers;
import app.leeward.core.eye.PupilOffset;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Sets one pupil apart from the other: it and what goes with it, iris and highlight, rest elsewhere. The other eye stays as
 * it is, also when the two were linked as mirror images.
 *
 * @param eye id of the eye
 * @param dx user units to the right on the canvas
 * @param dy user units downwards
 */
public record OffsetPupil(String eye, double dx, double dy) implements EyeEdit {
    public OffsetPupil {
        Numbers.finite("offset", dx + dy);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Set the pupil of " + Edits.nameOf(before, eye) + " apart by " + Edits.plain(dx) + " across and "
                + Edits.plain(dy) + " down";
    }

    @Override
    public Outcome on(Character before) {
        if (Edits.tooFar(before, dx, dy)) {
            return Edits.TOO_FAR;
        }
        Optional<Character> apart = PupilOffset.of(before, eye, dx, dy);
        return apart.isPresent()
                ? new Outcome.Done(apart.get())
                : new Outcome.Refused(RefusalCode.NO_PUPIL, Edits.nameOf(before, eye) + " has no pupil to set apart.");
    }
}
