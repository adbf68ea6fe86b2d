package app.leeward.core.rig;

import app.leeward.core.art.Swatch;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * What the character is drawn on and stood to.
 *
 * @param frameRate frames a second, 1 to 120
 * @param palette the colours its shapes are painted from
 * @param model the axis of symmetry and the model lines every view is stood to; the canvas's middle when null
 */
@RecordBuilder
public record Sheet(Canvas canvas, int frameRate, List<Swatch> palette, Model model) implements SheetBuilder.With {
    /** @throws IllegalArgumentException when the frame rate is out of range */
    public Sheet {
        palette = List.copyOf(palette);
        // stored before there were such things
        model = model == null ? Model.of(canvas) : model;
        if (frameRate < 1 || frameRate > 120) {
            throw new IllegalArgumentException("frame rate must be 1 to 120, not " + frameRate);
        }
    }
}
