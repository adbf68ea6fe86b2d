package app.leeward.core.edit;

import app.leeward.core.eye.ReadyMade;
import app.leeward.core.look.ReadyCue;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/** Adds the ready-made cues of the eyes, or makes them anew; eyes that cannot be narrowed yet get the dial for it first. */
public record MakeCues() implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Made the cues of the eyes";
    }

    @Override
    public Outcome on(Character before) {
        Optional<Character> made = ReadyCue.addTo(
                before.dial(ReadyMade.SQUINT.id()).isPresent()
                        ? before
                        : ReadyMade.SQUINT.addTo(before).orElse(before));
        return made.isPresent()
                ? new Outcome.Done(made.get())
                : new Outcome.Refused(RefusalCode.NO_DIALS, "There is no gaze, blink or squint for a cue to move.");
    }
}
