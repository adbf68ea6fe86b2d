package app.leeward.formats.art;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Pictures that are clipped, as they are seen: a picture cannot be cut once its file is closed. */
public final class CutPictures {
    private record Laid(String image, Matrix at) {}

    private final Map<Laid, Shape> seen = new HashMap<>();

    /**
     * @param whole a picture with its clip
     * @param cut what is seen of it
     */
    public void put(Shape whole, Shape cut) {
        seen.put(laid((Paint.Picture) whole.fill()), cut);
    }

    private static Laid laid(Paint.Picture picture) {
        return new Laid(picture.image(), picture.place());
    }

    /** What is seen of a shape, back to front, without its clips as far as that can be. */
    public List<Shape> of(Shape shape) {
        Shape cut = shape.fill() instanceof Paint.Picture p ? seen.get(laid(p)) : null;
        return cut == null
                ? SeenShapes.of(shape)
                : List.of(cut.withName(shape.name()).withRole(shape.role(), shape.masked()));
    }
}
