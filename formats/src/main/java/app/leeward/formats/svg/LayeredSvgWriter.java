package app.leeward.formats.svg;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Numbers;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Canvas;

/** Writes layers as nested named groups that vector editors show as layers, and that read back as the same layers. */
public final class LayeredSvgWriter {
    private static final String NAMESPACES =
            "xmlns=\"http://www.w3.org/2000/svg\" xmlns:inkscape=\"http://www.inkscape.org/namespaces/inkscape\"";

    private final StringBuilder body = new StringBuilder();
    private final StringBuilder defs = new StringBuilder();
    private final ShapeMarkup shapes;
    private int layers;

    private LayeredSvgWriter(ImageShelf images) {
        shapes = new ShapeMarkup(body, defs, images);
    }

    /**
     * @param message what a person opening the file should know
     * @param images where pictures made of pixels are; they are embedded
     */
    public static String write(String title, String message, Canvas canvas, Layer root, ImageShelf images) {
        LayeredSvgWriter w = new LayeredSvgWriter(images);
        root.nodes().forEach(w::node);
        String width = Numbers.text(canvas.width());
        String height = Numbers.text(canvas.height());
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg " + NAMESPACES + " width=\"" + width + "\" height=\""
                + height + "\" viewBox=\"0 0 " + width + " " + height + "\">\n<title>" + ShapeMarkup.escape(title)
                + "</title>\n<desc>" + ShapeMarkup.escape(message) + "</desc>\n<defs>\n" + w.defs + "</defs>\n" + w.body
                + "</svg>\n";
    }

    private void node(Layer.Node node) {
        if (node instanceof Layer.Leaf leaf) {
            shapes.write(leaf.shape(), null);
            return;
        }
        Layer layer = ((Layer.Group) node).layer();
        body.append("<g id=\"layer").append(++layers).append("\" inkscape:groupmode=\"layer\" inkscape:label=\"");
        body.append(ShapeMarkup.escape(layer.name())).append('"');
        if (layer.hidden()) {
            body.append(" style=\"display:none\"");
        }
        body.append(">\n");
        layer.nodes().forEach(this::node);
        body.append("</g>\n");
    }
}
