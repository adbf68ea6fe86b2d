package app.leeward.core.check;

import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Asymmetry;
import app.leeward.core.rig.Character;
import app.leeward.core.turn.TurnMaker;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/** The turn of a head: what it does on one side of rest is the reflection of the other. */
final class HalvesCheck implements Check {
    @Override
    public String id() {
        return "halves";
    }

    @Override
    public Harm harm(String code) {
        return Harm.MOVES;
    }

    @Override
    public Stream<Fault> find(Character c) {
        return c.controls().dials().stream()
                .filter(d -> d.id().equals(TurnMaker.DIAL))
                // sides that were drawn are as they were drawn
                .filter(d -> c.controls().views().isEmpty())
                .flatMap(d -> Asymmetry.of(c, d).map(a -> fault(c, d, a)).stream());
    }

    private static Fault fault(Character c, Dial d, Asymmetry a) {
        String part = c.part(a.part()).map(p -> p.name()).orElse(a.part());
        return new Fault(
                        "uneven",
                        Subject.dial(d.id()),
                        new Measure(a.by(), Unit.UNITS),
                        String.format(
                                Locale.ROOT, "The halves of %s differ most in %s: by %.1f.", d.name(), part, a.by()))
                .seenAt(Map.of(d.id(), a.at()));
    }
}
