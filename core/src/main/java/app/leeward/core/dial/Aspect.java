package app.leeward.core.dial;

import app.leeward.core.text.Decimals;

/** What a stop can do to a part, as a rigger tells it apart and takes it back. */
public enum Aspect {
    PLACE,
    TURN,
    SIZE,
    SLANT,
    OPACITY,
    BEND,
    /** How outlines are reshaped point by point, which no offset says. */
    SHAPE,
    /** Where it lies in the stack, which no offset says. */
    ORDER,
    /** Which drawing shows, which no offset says. */
    DRAWING;

    Offset without(Offset o) {
        return o.only(c -> c.aspect() != this);
    }

    /** Whether an offset does anything of this kind. */
    public boolean in(Offset o) {
        return o.channels().stream().anyMatch(c -> c.aspect() == this);
    }

    /** What an offset does of this kind, in words. */
    String words(Offset o) {
        return switch (this) {
            case PLACE -> {
                String across = far(o.x(), "to the right", "to the left");
                String down = far(o.y(), "down", "up");
                yield "goes " + across + (across.isEmpty() || down.isEmpty() ? "" : " and ") + down;
            }
            case TURN -> "turns " + plain(o.rotation()) + "°";
            case SIZE ->
                o.scaleX() == o.scaleY()
                        ? percent(o.scaleX()) + " large"
                        : o.scaleY() == 1
                                ? percent(o.scaleX()) + " wide"
                                : o.scaleX() == 1
                                        ? percent(o.scaleY()) + " tall"
                                        : percent(o.scaleX()) + " wide, " + percent(o.scaleY()) + " tall";
            case SLANT -> "skews " + plain(o.skewX()) + "°";
            case OPACITY -> percent(o.opacity()) + " opaque";
            case BEND -> "is bent";
            case SHAPE, DRAWING, ORDER -> "";
        };
    }

    private static String far(double v, String forth, String back) {
        return Math.abs(v) < 0.005 ? "" : plain(Math.abs(v)) + (v > 0 ? " " + forth : " " + back);
    }

    private static String percent(double v) {
        return plain(100 * v) + " %";
    }

    private static String plain(double v) {
        return Decimals.plain(v, 1);
    }
}
