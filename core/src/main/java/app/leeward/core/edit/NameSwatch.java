package app.leeward.core.edit;

import app.leeward.core.art.Swatch;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/** Gives a colour of the palette its name. */
public record NameSwatch(String colour, String name) implements ColourEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.COLOURS.all());
    }

    @Override
    public String describe(Character before) {
        return "Named the colour " + colour + " " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> refused = Edits.badName(name);
        if (refused.isPresent()) {
            return refused.get();
        }
        if (before.sheet().palette().stream().noneMatch(s -> s.colour().equals(colour))) {
            return new Outcome.Refused(RefusalCode.NO_COLOUR, "The palette has no colour " + colour + " any more.");
        }
        if (before.sheet().palette().stream()
                .anyMatch(s -> s.name().equals(name.strip()) && !s.colour().equals(colour))) {
            return new Outcome.Refused(
                    RefusalCode.NAME_TAKEN, "Another colour is called '" + name.strip() + "' already.");
        }
        return new Outcome.Done(before.withSheet(sheet -> sheet.withPalette(before.sheet().palette().stream()
                .map(s -> s.colour().equals(colour) ? new Swatch(name.strip(), colour) : s)
                .toList())));
    }
}
