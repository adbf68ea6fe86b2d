package app.leeward.core.rig;

import app.leeward.core.art.Box;
import java.util.List;

/** Where a brow lies among the brows of one drawing of the head. */
public enum BrowPlace {
    SCREEN_LEFT,
    /** Over a single eye, or both brows drawn as one: its inner end is its middle, and both its ends are outer ones. */
    MIDDLE,
    SCREEN_RIGHT;

    /** How near the middle of a brow lies to the face's, as a share of its width, when there is one for both eyes. */
    private static final double NEAR = 0.2;
    /** Brows less far apart than this share of a brow's width are one brow in several layers. */
    private static final double APART = 0.5;

    /**
     * Two brows lie on either side of the middle between them, also in a head that looks aside; a single one beside or on the face's.
     *
     * @param brow one of {@code brows}
     * @param brows those of one drawing of the head
     * @param axis x of the middle of the face
     */
    public static BrowPlace of(Box brow, List<Box> brows, double axis) {
        double first = brows.stream().mapToDouble(b -> b.centre().x()).min().orElse(axis);
        double last = brows.stream().mapToDouble(b -> b.centre().x()).max().orElse(axis);
        double middle = last - first > APART * brow.width() ? (first + last) / 2 : axis;
        double off = brow.centre().x() - middle;
        return Math.abs(off) < NEAR * brow.width() ? MIDDLE : off > 0 ? SCREEN_RIGHT : SCREEN_LEFT;
    }
}
