package app.leeward.faces;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What is so about a made face, whatever a reader makes of it. Coordinates are those of the file's canvas.
 *
 * @param traits what it was made with
 * @param width of the canvas
 * @param height of the canvas
 * @param axis where it is mirrored; empty where nothing says so
 * @param headWidth of the skin
 * @param layers back to front
 */
public record Truth(
        Traits traits, double width, double height, OptionalDouble axis, double headWidth, List<Layer> layers) {
    public Truth {
        layers = List.copyOf(layers);
    }

    /**
     * One layer.
     *
     * @param key its place in the file, from 0 at the back
     * @param name as written; empty for none
     * @param side the character's own
     * @param detail the sound of a mouth, the step of a blink
     * @param box left, top, right, bottom of its first shape's points and handles, on the canvas
     * @param fill of its first shape, a colour or {@code none}
     * @param line of its first shape, a colour or {@code none}
     */
    public record Layer(
            int key,
            String name,
            What what,
            Side side,
            String detail,
            boolean hidden,
            boolean aside,
            List<Double> box,
            String fill,
            String line) {
        public Layer {
            box = List.copyOf(box);
        }
    }
}
