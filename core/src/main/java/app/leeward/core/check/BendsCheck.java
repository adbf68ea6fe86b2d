package app.leeward.core.check;

import app.leeward.core.art.Bending;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.edit.CurveBends;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.stream.Stream;

/** Bends that have kinks, as they had when an older character was rigged. */
final class BendsCheck implements Check {
    @Override
    public String id() {
        return "bends";
    }

    @Override
    public Harm harm(String code) {
        return Harm.UNTIDY;
    }

    @Override
    public Stream<Fault> find(Character c) {
        if (c.controls().bending() == Bending.CURVED) {
            return Stream.empty();
        }
        List<Dial> bending = c.controls().dials().stream()
                .filter(d -> d.stops().stream()
                        .flatMap(s -> s.offsets().values().stream())
                        .map(Offset::bend)
                        .anyMatch(b -> !b.straight()))
                .toList();
        return bending.isEmpty()
                ? Stream.empty()
                : Stream.of(new Fault(
                                "kinked",
                                Subject.dial(
                                        bending.size() == 1 ? bending.get(0).id() : ""),
                                new Measure(bending.size(), Unit.COUNT),
                                bending.size() == 1
                                        ? bending.get(0).name() + " bends drawings with kinks, as older rigs did."
                                        : bending.size() + " dials bend drawings with kinks, as older rigs did.")
                        .trying("Bend in one curve", new CurveBends()));
    }
}
