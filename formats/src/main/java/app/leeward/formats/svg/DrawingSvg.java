package app.leeward.formats.svg;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;

/** A single drawing as it was drawn, where it lies on the canvas. */
public final class DrawingSvg {
    private DrawingSvg() {}

    /** @param images where pictures made of pixels are; they are embedded */
    public static String write(Character character, Drawing drawing, ImageShelf images) {
        StringBuilder body = new StringBuilder();
        StringBuilder defs = new StringBuilder();
        ShapeMarkup shapes = new ShapeMarkup(body, defs, images);
        Artwork art = drawing.art();
        StringBuilder window = new StringBuilder();
        for (Shape s : art.shapes()) {
            if (s.role() == ShapeRole.WINDOW) {
                window.append("<path d=\"").append(s.path().toSvg()).append('"');
                window.append(s.rule() == FillRule.EVENODD ? " clip-rule=\"evenodd\"/>" : "/>");
            }
        }
        String clip = window.isEmpty() ? null : "window";
        if (clip != null) {
            defs.append("<clipPath id=\"window\">").append(window).append("</clipPath>\n");
        }
        for (Shape s : art.shapes()) {
            shapes.write(s, s.masked() ? clip : null);
        }
        Canvas canvas = character.sheet().canvas();
        String w = Numbers.text(canvas.width());
        String h = Numbers.text(canvas.height());
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + w
                + "\" height=\"" + h + "\" viewBox=\"0 0 " + w + " " + h + "\">\n<title>"
                + ShapeMarkup.escape(drawing.name()) + "</title>\n<defs>\n" + defs + "</defs>\n" + body + "</svg>\n";
    }
}
