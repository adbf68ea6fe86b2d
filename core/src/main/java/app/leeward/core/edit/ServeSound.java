package app.leeward.core.edit;

import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Lets a mouth drawing serve a class of sounds. */
public record ServeSound(Viseme viseme, String drawing) implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of("mouth for " + viseme);
    }

    @Override
    public String describe(Character before) {
        return "Mouth '" + drawing + "' serves " + viseme.words();
    }

    @Override
    public Outcome on(Character before) {
        boolean known = before.mouths()
                .part()
                .flatMap(before::part)
                .flatMap(p -> p.drawing(drawing))
                .isPresent();
        return known
                ? new Outcome.Done(before.withMouths(before.mouths().with(viseme, drawing)))
                : new Outcome.Refused("no-drawing", "The mouth has no drawing '" + drawing + "'.");
    }
}
