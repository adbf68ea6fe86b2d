package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.DialEffect;
import app.leeward.core.dial.Stop;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.DoubleStream;

/** Another name or range for a dial; its stops and bands stay where they are. */
public record ChangeDial(String dial, String name, double from, double to, double rest, String unit)
        implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        String was = before.dial(dial).map(Dial::name).orElse(dial);
        return "Dial " + was + (was.equals(name.strip()) ? "" : " is called " + name.strip()) + ", from "
                + Edits.plain(from) + " to " + Edits.plain(to) + unit;
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> refused = Edits.badName(name).or(() -> NewDial.badRange(from, to, rest, unit));
        if (refused.isPresent()) {
            return refused.get();
        }
        return OnDial.change(before, dial, d -> {
            OptionalDouble left = DoubleStream.concat(
                            d.stops().stream().mapToDouble(Stop::at),
                            d.effects().stream().flatMapToDouble(DialEffect::values))
                    .filter(at -> at < from || at > to)
                    .findFirst();
            if (left.isPresent()) {
                throw new Refusal(
                        RefusalCode.BAD_STOP,
                        "There is something at " + Edits.plain(left.getAsDouble())
                                + " of this dial; move or take it away before the range ends short of it.");
            }
            return d.ranged(name.strip(), from, to, rest, unit.strip());
        });
    }
}
