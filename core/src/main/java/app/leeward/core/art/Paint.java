package app.leeward.core.art;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

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
        public Flat {
            if (!isColour(colour)) {
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
     * @param traced what it shows, as even shapes in its pixels, back to front: never drawn, but asked for colours and lines; empty
     *     where it was read before there were any
     */
    record Picture(String image, int width, int height, Matrix place, String average, List<Shape> traced)
            implements Paint {
        public Picture {
            traced = traced == null ? List.of() : List.copyOf(traced);
            if (!(image.length() == 64 && hexadecimal(image, 0))) {
                throw new IllegalArgumentException("a picture is named by its SHA-256, not '" + image + "'");
            }
            if (width < 1 || height < 1) {
                throw new IllegalArgumentException("a picture has pixels, not " + width + " × " + height);
            }
        }

        public Picture withTraced(List<Shape> now) {
            return new Picture(image, width, height, place, average, now);
        }
    }

    /**
     * A piece cut out of a picture: of it shows what lies within the outline it fills, and it goes with the outline's first three points.
     *
     * @param image SHA-256 of the PNG it is kept as
     * @param width pixels of the whole picture
     * @param height pixels of the whole picture
     * @param place from pixels to the drawing's coordinates, as it was cut
     * @param average colour of what is not clear, {@code #rrggbb}
     * @param traced what the whole picture shows; with the first piece of it alone
     * @param corners where the three points lay as it was cut, in the drawing's coordinates
     */
    record Patch(
            String image, int width, int height, Matrix place, String average, List<Shape> traced, List<Point> corners)
            implements Paint {
        Patch(Picture of, List<Point> corners) {
            this(of.image(), of.width(), of.height(), of.place(), of.average(), of.traced(), corners);
        }

        /** The whole picture, where it lay. */
        public Picture picture() {
            return new Picture(image, width, height, place, average, traced);
        }

        public Patch {
            traced = traced == null ? List.of() : List.copyOf(traced);
            corners = List.copyOf(corners);
            if (corners.size() != 3) {
                throw new IllegalArgumentException("a piece of a picture has three corners, not " + corners.size());
            }
        }

        /** Within what it is painted: its outline, a little over its neighbours so that no seam shows between soft edges. */
        public Path covered(Path outline) {
            List<Point> now = outline.points();
            return now.size() < 3
                    ? outline
                    : PictureMesh.covered(now.subList(0, 3), placeIn(outline).strokeScale());
        }

        /** From the picture's pixels to the drawing's coordinates, now that its outline lies elsewhere. */
        public Matrix placeIn(Path outline) {
            List<Point> now = outline.points();
            return now.size() < 3
                    ? place
                    : PictureMesh.between(corners, now.subList(0, 3))
                            .map(m -> m.times(place))
                            .orElse(place);
        }
    }

    /**
     * Colours that run into each other as SVG's gradients do: from x = 0 to x = 1, or from the middle out to a circle of
     * radius 1, in coordinates of its own.
     *
     * @param radial out from (0, 0) rather than along x
     * @param place from the gradient's own coordinates to the drawing's
     * @param stops at least two, in rising order
     * @param spread what lies beyond the ends
     * @param focus where a radial gradient begins, inside its circle, in its own coordinates; (0, 0) for its middle
     */
    record Gradient(boolean radial, Matrix place, List<GradientStop> stops, Spread spread, Point focus)
            implements Paint {
        private static final double HALF = 0.5;

        public Gradient {
            // stored before there was one
            focus = focus == null ? new Point(0, 0) : focus;
            stops = List.copyOf(stops);
            if (stops.size() < 2) {
                throw new IllegalArgumentException("a gradient has at least two colours, not " + stops.size());
            }
        }

        /** Where it lies once its outline is bent: it goes with the outline as {@link Fitted} says. */
        Gradient bent(Path drawn, Path now) {
            return Fitted.between(drawn.points(), now.points())
                    .map(m -> new Gradient(radial, m.times(place), stops, spread, focus))
                    .orElse(this);
        }

        /** The colour halfway along, {@code #rrggbb}. */
        String middle() {
            GradientStop before = stops.get(0);
            GradientStop after = stops.get(stops.size() - 1);
            for (GradientStop s : stops) {
                before = s.at() <= HALF ? s : before;
                after = s.at() >= HALF && after.at() >= s.at() ? s : after;
            }
            double way = after.at() - before.at();
            return GradientStop.mixed(before, after, way > 0 ? (HALF - before.at()) / way : 0);
        }
    }

    /** What lies beyond the ends of a gradient: its end colours, itself backwards, or itself again. */
    enum Spread {
        PAD,
        REFLECT,
        REPEAT
    }

    /** As it is on a shape that was moved, turned or grown. */
    default Paint transform(Matrix m) {
        if (this instanceof Picture p) {
            return new Picture(p.image(), p.width(), p.height(), m.times(p.place()), p.average(), p.traced());
        }
        if (this instanceof Patch p) {
            return new Patch(
                    (Picture) p.picture().transform(m),
                    p.corners().stream().map(m::apply).toList());
        }
        return this instanceof Gradient g
                ? new Gradient(g.radial(), m.times(g.place()), g.stops(), g.spread(), g.focus())
                : this;
    }

    /** With colours exchanged for others; {@code #rrggbb} all. */
    default Paint recoloured(Map<String, String> into) {
        if (this instanceof Gradient g) {
            List<GradientStop> stops = g.stops().stream()
                    .map(s -> new GradientStop(s.at(), into.getOrDefault(s.colour(), s.colour()), s.opacity()))
                    .toList();
            return new Gradient(g.radial(), g.place(), stops, g.spread(), g.focus());
        }
        return this instanceof Flat f && into.containsKey(f.colour())
                ? new Flat(into.get(f.colour()), f.opacity())
                : this;
    }

    /** The one colour it is told by, {@code #rrggbb}: of a picture the one that covers most, of a gradient the one in its middle. */
    default Optional<String> mainColour() {
        if (this instanceof Flat f) {
            return Optional.of(f.colour());
        }
        if (this instanceof Gradient g) {
            return Optional.of(g.middle());
        }
        if (this instanceof Picture p) {
            return Optional.of(p.traced().stream()
                    .flatMap(s ->
                            s.fill().mainColour().or(() -> s.stroke().paint().mainColour()).stream())
                    .findFirst()
                    .orElse(p.average()));
        }
        return this instanceof Patch p ? p.picture().mainColour() : Optional.empty();
    }

    /** Every colour in it, {@code #rrggbb}. */
    default Stream<String> colours() {
        if (this instanceof Gradient g) {
            return g.stops().stream().map(GradientStop::colour);
        }
        return this instanceof Flat f ? Stream.of(f.colour()) : Stream.empty();
    }

    /** Whether a text is a colour as it is kept: {@code #rrggbb}, lower case. */
    static boolean isColour(String text) {
        return text.length() == 7 && text.charAt(0) == '#' && hexadecimal(text, 1);
    }

    private static boolean hexadecimal(String text, int from) {
        for (int i = from; i < text.length(); i++) {
            if ("0123456789abcdef".indexOf(text.charAt(i)) < 0) {
                return false;
            }
        }
        return true;
    }

    static Paint flat(String colour) {
        return new Flat(colour, 1);
    }
}
