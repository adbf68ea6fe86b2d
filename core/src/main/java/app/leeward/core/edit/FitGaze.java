package app.leeward.core.edit;

import app.leeward.core.eye.GazeMaker;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Makes the gaze pad anew from the eyes as they are now: how far full throw goes, and the pad's edge. */
public record FitGaze() implements EyeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Fitted the gaze to the eyes";
    }

    @Override
    public Outcome on(Character before) {
        Character made = GazeMaker.addTo(before);
        return made == before
                ? new Outcome.Refused(
                        RefusalCode.NO_PUPIL,
                        "No eye has a pupil inside a white, or is a dot, so there is nothing to look with.")
                : new Outcome.Done(made);
    }
}
