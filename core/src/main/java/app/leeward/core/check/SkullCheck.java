package app.leeward.core.check;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.turn.TurnCheck;
import app.leeward.core.turn.TurnMaker;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Turned heads: no skull comes round the side without hair on it. */
final class SkullCheck implements Check {
    /** Places of the dial that are looked at, its ends among them. */
    private static final int PLACES = 13;

    @Override
    public String id() {
        return "skull";
    }

    @Override
    public Harm harm(String code) {
        return Harm.BREAKS;
    }

    @Override
    public Stream<Fault> find(Character c) {
        Optional<Dial> dial =
                c.dial(TurnMaker.DIAL).filter(d -> c.controls().views().isEmpty());
        return dial.stream().flatMap(d -> {
            List<Double> places = IntStream.range(0, PLACES)
                    .mapToObj(i -> d.from() + (d.to() - d.from()) * i / (PLACES - 1))
                    .toList();
            List<TurnCheck.Position> seen = TurnCheck.of(c, places);
            return Stream.of(-1, 1)
                    .flatMap(side -> seen.stream()
                            .filter(p -> !p.message().isEmpty() && Math.signum(p.at() - d.rest()) == side)
                            .max(Comparator.comparingDouble(TurnCheck.Position::bald))
                            .map(p -> new Fault(
                                            side < 0 ? "bald-one-way" : "bald-other-way",
                                            Subject.dial(d.id()),
                                            new Measure(p.bald(), Unit.SQUARE_UNITS),
                                            p.message())
                                    .seenAt(Map.of(d.id(), p.at())))
                            .stream());
        });
    }
}
