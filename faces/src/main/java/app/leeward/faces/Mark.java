package app.leeward.faces;

/**
 * One shape as it is painted.
 *
 * @param fill a colour such as {@code #ffcc99}, or {@code none}
 * @param line a colour, or {@code none}
 * @param width of the line, in the face's units
 * @param opacity of the fill, 0 to 1
 */
record Mark(Curve curve, String fill, String line, double width, double opacity) {
    static Mark filled(Curve curve, String fill) {
        return new Mark(curve, fill, "none", 0, 1);
    }

    static Mark lined(Curve curve, String fill, String line, double width) {
        return new Mark(curve, fill, line, width, 1);
    }

    static Mark stroke(Curve curve, String line, double width) {
        return new Mark(curve, "none", line, width, 1);
    }

    Mark seenThrough(double share) {
        return new Mark(curve, fill, line, width, share);
    }

    Mark mirrored() {
        return new Mark(curve.mirrored(), fill, line, width, opacity);
    }

    Mark moved(double dx, double dy) {
        return new Mark(curve.moved(dx, dy), fill, line, width, opacity);
    }

    Mark turned(double cx, double cy, double degrees, double scale) {
        return new Mark(curve.turned(cx, cy, degrees, scale), fill, line, width * scale, opacity);
    }
}
