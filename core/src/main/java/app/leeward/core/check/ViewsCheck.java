package app.leeward.core.check;

import app.leeward.core.edit.RegisterViews;
import app.leeward.core.rig.Character;
import app.leeward.core.turn.ViewCheck;
import java.util.Map;
import java.util.stream.Stream;

/** Views of a head: nothing jumps where one gives way to the next. */
final class ViewsCheck implements Check {
    @Override
    public String id() {
        return "views";
    }

    @Override
    public Harm harm(String code) {
        return Harm.MOVES;
    }

    @Override
    public Stream<Fault> find(Character c) {
        String dial = c.controls().views().map(v -> v.dial()).orElse("");
        return ViewCheck.of(c).stream().filter(e -> !e.message().isEmpty()).map(e -> {
            double worst = e.jumps().values().stream().mapToDouble(x -> x).max().orElse(0);
            Fault fault = new Fault(
                            "jumps",
                            new Subject(e.mends().orElse(""), "", dial + "@" + e.after()),
                            new Measure(worst, Unit.UNITS),
                            e.message())
                    .seenAt(Map.of(dial, e.at()));
            return e.mends()
                    .map(view -> fault.trying("Register it", new RegisterViews(view)))
                    .orElse(fault);
        });
    }
}
