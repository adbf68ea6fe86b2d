package app.leeward.core.art;

import java.util.regex.Pattern;

/** What a fill or a line is painted with. */
public sealed interface Paint {
    Paint NONE = new None();

    record None() implements Paint {}

    /**
     * One even colour.
     *
     * @param colour {@code #rrggbb}, lower case
     * @param opacity 0 (clear) to 1 (solid)
     */
    record Flat(String colour, double opacity) implements Paint {
        private static final Pattern HEX = Pattern.compile("#[0-9a-f]{6}");

        public Flat {
            if (!HEX.matcher(colour).matches()) {
                throw new IllegalArgumentException("colour must look like #1a2b3c, but is " + colour);
            }
            if (!(opacity >= 0 && opacity <= 1)) {
                throw new IllegalArgumentException("opacity must lie between 0 and 1, but is " + opacity);
            }
        }
    }

    /**
     * A picture made of pixels.
     *
     * @param image SHA-256 of the PNG it is kept as
     * @param width pixels
     * @param height pixels
     * @param place from pixels to the drawing's coordinates
     * @param average colour of what is not clear, {@code #rrggbb}
     */
    record Picture(String image, int width, int height, Matrix place, String average) implements Paint {
        private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");

        public Picture {
            if (!HASH.matcher(image).matches()) {
                throw new IllegalArgumentException("a picture is named by its SHA-256, not '" + image + "'");
            }
            if (width < 1 || height < 1) {
                throw new IllegalArgumentException("a picture has pixels, not " + width + " × " + height);
            }
        }
    }

    /** As it is on a shape that was moved, turned or grown. */
    default Paint transform(Matrix m) {
        return this instanceof Picture p
                ? new Picture(p.image(), p.width(), p.height(), m.times(p.place()), p.average())
                : this;
    }

    /** With one colour exchanged for another; {@code #rrggbb} both. */
    default Paint recoloured(String from, String to) {
        return this instanceof Flat f && f.colour().equals(from) ? new Flat(to, f.opacity()) : this;
    }

    static Paint flat(String colour) {
        return new Flat(colour, 1);
    }
}
