package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Swatch;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Changes a colour of the palette in every drawing; one that is there already swallows it. */
public record Recolour(String from, String to) implements ColourEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.COLOURS.all(), Facet.ART.all());
    }

    @Override
    public String describe(Character before) {
        String name = named(before, from).map(Swatch::name).orElse(from);
        return named(before, to)
                .map(t -> "Merged the colour " + name + " into " + t.name())
                .orElse("Recoloured " + name + " from " + from + " to " + to);
    }

    private static Optional<Swatch> named(Character c, String colour) {
        return c.sheet().palette().stream()
                .filter(s -> s.colour().equals(colour))
                .findFirst();
    }

    @Override
    public Outcome on(Character before) {
        if (!Paint.isColour(to)) {
            return new Outcome.Refused(RefusalCode.COLOUR, "A colour is written like #1a2b3c, not '" + to + "'.");
        }
        if (named(before, from).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_COLOUR, "The palette has no colour " + from + " any more.");
        }
        List<Part> parts = before.rig().parts().stream().map(this::part).toList();
        boolean merged = named(before, to).isPresent();
        List<Swatch> palette = new ArrayList<>();
        for (Swatch s : before.sheet().palette()) {
            if (!s.colour().equals(from)) {
                palette.add(s);
            } else if (!merged) {
                palette.add(new Swatch(s.name(), to));
            }
        }
        return new Outcome.Done(
                before.withRig(rig -> rig.withParts(parts)).withSheet(sheet -> sheet.withPalette(palette)));
    }

    private Part part(Part p) {
        boolean uses = p.drawings().stream().anyMatch(d -> d.art().colours().contains(from));
        return uses ? p.withDrawings(p.drawings().stream().map(this::drawing).toList(), p.shown()) : p;
    }

    private Drawing drawing(Drawing d) {
        Artwork art = d.art();
        return d.withArt(new Artwork(
                art.shapes().stream().map(s -> s.recoloured(Map.of(from, to))).toList()));
    }
}
