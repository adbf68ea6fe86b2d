package app.leeward.core.edit;

import app.leeward.core.eye.ReadyMade;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** Adds a ready-made dial for eyes or brows, or makes it anew from the pieces as they stand. */
public record MakeDial(ReadyMade dial) implements DialEdit {
    public MakeDial {
        Objects.requireNonNull(dial, "dial");
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Made the dial " + dial.words().toLowerCase(Locale.ROOT);
    }

    @Override
    public Outcome on(Character before) {
        Optional<Character> made = dial.addTo(before);
        return made.isPresent()
                ? new Outcome.Done(made.get())
                : new Outcome.Refused(
                        RefusalCode.NO_PIECES, "There is no piece that the dial " + dial.words() + " could pose.");
    }
}
