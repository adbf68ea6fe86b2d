package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/**
 * Gives a shape colours of the palette.
 *
 * @param fill {@code #rrggbb}; empty for none
 * @param line {@code #rrggbb}; empty for none
 * @param width of the line, user units
 */
public record PaintShape(String part, String drawing, int shape, String fill, String line, double width)
        implements ShapeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Painted a shape in " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        boolean unknown = before.sheet().palette().stream()
                                .noneMatch(s -> s.colour().equals(fill))
                        && !fill.isEmpty()
                || before.sheet().palette().stream().noneMatch(s -> s.colour().equals(line)) && !line.isEmpty();
        if (unknown) {
            return new Outcome.Refused(RefusalCode.NO_COLOUR, "That colour is not in the palette: add it there first.");
        }
        if (!(width >= 0 && width <= 1000)) {
            return new Outcome.Refused(RefusalCode.LINE_WIDTH, "A line is 0 to 1000 units wide.");
        }
        return Redrawing.shape(before, part, drawing, shape, s -> s.painted(fill, line, width));
    }
}
