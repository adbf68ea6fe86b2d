package app.leeward.core.rig;

/** What a piece of a head is in the round, which decides how it goes with a turning head. */
public enum SolidKind {
    /** The head's own mass and what is painted on it, point by point: skin, its line, freckles, patches. */
    SKULL("on the skull"),
    /** Stands out before the face and covers it on the far side: a muzzle, a beak, a nose, a beard. */
    MASS("mass in front"),
    /** Keeps its drawing and lies on the surface as one piece: an eye, a brow, a badge. */
    DECAL("on the surface as one"),
    /** A mouth: goes with the surface below it, whichever drawing shows. */
    MOUTH("mouth"),
    /** Hair over the skull, outlines included. */
    COVER("hair on the skull"),
    /** Lies behind the head and goes the other way: back hair, a hood. */
    SHELL("shell behind"),
    /** Goes round the head and looks the same from every side: a hat, its band and peak. */
    RING("round the head"),
    /** A stiff frame before the face: glasses. */
    FRAME("stiff frame"),
    /** Stands at the side, hinged where it grows: an ear, a horn. */
    PLATE("plate at the side"),
    /** A plate on the side of the head, which comes before the face as its side comes round: an ear. */
    EAR("ear, before the near side"),
    /** Stands on the neck's axis: an antenna, a bun. */
    AXIS("on the axis"),
    /** The side of a box, drawn unfolded beside the face and shown while the head is turned away from it. */
    SIDE("side of a box"),
    /** Taken out of the solid: the turn leaves it as it is. */
    FLAT("left flat");

    private final String words;

    SolidKind(String words) {
        this.words = words;
    }

    /** The kind in a rigger's words. */
    public String words() {
        return words;
    }
}
