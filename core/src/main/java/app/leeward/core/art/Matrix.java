package app.leeward.core.art;

import app.leeward.core.text.Decimals;

/**
 * An affine placement in SVG's order: {@code x' = a·x + c·y + e}, {@code y' = b·x + d·y + f}.
 *
 * @param a horizontal scale
 * @param b vertical shear
 * @param c horizontal shear
 * @param d vertical scale
 * @param e shift to the right, user units
 * @param f shift downwards, user units
 */
public record Matrix(double a, double b, double c, double d, double e, double f) {
    public static final Matrix IDENTITY = new Matrix(1, 0, 0, 1, 0, 0);

    /** Whether every point stays where it is. */
    boolean changesNothing() {
        return a == 1 && b == 0 && c == 0 && d == 1 && e == 0 && f == 0;
    }

    public Matrix {
        // one sum is enough: a single NaN or infinity makes it non-finite (opposite infinities give NaN)
        if (!Double.isFinite(a + b + c + d + e + f)) {
            throw new IllegalArgumentException(
                    "matrix must be finite, but is " + a + " " + b + " " + c + " " + d + " " + e + " " + f);
        }
    }

    public static Matrix translate(double x, double y) {
        return new Matrix(1, 0, 0, 1, x, y);
    }

    public static Matrix scale(double x, double y) {
        return new Matrix(x, 0, 0, y, 0, 0);
    }

    /** Turns clockwise on screen about the origin. */
    public static Matrix rotate(double degrees) {
        double r = Math.toRadians(degrees);
        return new Matrix(Math.cos(r), Math.sin(r), -Math.sin(r), Math.cos(r), 0, 0);
    }

    public static Matrix skewX(double degrees) {
        return new Matrix(1, 0, Math.tan(Math.toRadians(degrees)), 1, 0, 0);
    }

    /** Exact reflection about the vertical line x = {@code axis}. */
    public static Matrix mirror(double axis) {
        return new Matrix(-1, 0, 0, 1, 2 * axis, 0);
    }

    /** The transform that applies {@code first}, then this one. */
    public Matrix times(Matrix first) {
        return new Matrix(
                a * first.a + c * first.b,
                b * first.a + d * first.b,
                a * first.c + c * first.d,
                b * first.c + d * first.d,
                a * first.e + c * first.f + e,
                b * first.e + d * first.f + f);
    }

    public Point apply(Point p) {
        return new Point(a * p.x() + c * p.y() + e, b * p.x() + d * p.y() + f);
    }

    public double determinant() {
        return a * d - b * c;
    }

    /** How much a stroke grows on average: the square root of the change of area. */
    public double strokeScale() {
        return Math.sqrt(Math.abs(determinant()));
    }

    /** @throws IllegalStateException when the matrix flattens everything onto a line */
    public Matrix inverse() {
        double det = determinant();
        if (Math.abs(det) < 1e-12) {
            throw new IllegalStateException(
                    "a placement that flattens the picture has no inverse (determinant " + det + ")");
        }
        return new Matrix(d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det);
    }

    /** SVG's notation, {@code matrix(a b c d e f)}. */
    public String toSvg() {
        return "matrix(" + precise(a) + " " + precise(b) + " " + precise(c) + " " + precise(d) + " " + Numbers.text(e)
                + " " + Numbers.text(f) + ")";
    }

    private static String precise(double v) {
        return Decimals.plain(v, 7);
    }
}
