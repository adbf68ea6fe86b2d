package app.leeward.core.check;

import app.leeward.core.edit.Tidy;
import app.leeward.core.intake.Stray;
import app.leeward.core.intake.Strays;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.stream.Stream;

/** Shapes nobody can see. */
final class StraysCheck implements Check {
    @Override
    public String id() {
        return "strays";
    }

    @Override
    public Harm harm(String code) {
        return Harm.UNTIDY;
    }

    @Override
    public Stream<Fault> find(Character c) {
        List<Stray> strays = Strays.in(c);
        if (strays.isEmpty()) {
            return Stream.empty();
        }
        String message = strays.size() + (strays.size() == 1 ? " shape is" : " shapes are") + " never seen.";
        return Stream.of(new Fault("unseen", Subject.WHOLE, new Measure(strays.size(), Unit.COUNT), message)
                .trying("Take them away", new Tidy()));
    }
}
