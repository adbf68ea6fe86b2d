package app.leeward.core.art;

import java.util.Objects;

/** An outline of its own that a shape is cut by, in the drawing's coordinates. An empty one lets nothing through. */
public record Clip(Path path, FillRule rule) {
    public Clip {
        Objects.requireNonNull(path, "path");
        Objects.requireNonNull(rule, "rule");
    }

    public Clip transform(Matrix m) {
        return new Clip(path.transform(m), rule);
    }
}
