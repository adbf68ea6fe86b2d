package app.leeward.core.check;

import app.leeward.core.edit.SetSides;
import app.leeward.core.intake.SideCheck;
import app.leeward.core.rig.Character;
import java.util.stream.Stream;

/** Left and right: parts are named for the side they are on, as the character faces us. */
final class SidesCheck implements Check {
    @Override
    public String id() {
        return "sides";
    }

    @Override
    public Harm harm(String code) {
        return Harm.MOVES;
    }

    @Override
    public Stream<Fault> find(Character c) {
        SideCheck sides = SideCheck.of(c);
        if (sides.turned() == 0) {
            return Stream.empty();
        }
        String message = sides.turned() + (sides.turned() == 1 ? " part is" : " parts are")
                + " named for the other side than the one they are on.";
        return Stream.of(new Fault("turned", Subject.WHOLE, new Measure(sides.turned(), Unit.COUNT), message)
                .trying("Sides as it faces us", new SetSides(sides.right())));
    }
}
