package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.turn.HeadDial;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** Adds a dial around the whole head, or makes it anew from the pieces as they stand. */
public record MakeHeadDial(HeadDial dial) implements TurnEdit {
    public MakeHeadDial {
        Objects.requireNonNull(dial, "dial");
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.all(), Facet.DIAL.of(dial.id()));
    }

    @Override
    public String describe(Character before) {
        return "Made the dial " + dial.words();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Character> made = dial.addTo(before);
        return made.isPresent()
                ? new Outcome.Done(made.get())
                : new Outcome.Refused(
                        RefusalCode.NO_PIECES,
                        "There is nothing yet that the dial " + dial.words() + " could pose"
                                + (dial == HeadDial.NOD || dial == HeadDial.HAIR_DRAG
                                        ? "; it needs a head turn first."
                                        : "."));
    }
}
