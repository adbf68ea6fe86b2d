package app.leeward.faces;

/** Which side of the character, seen from itself; its left is on the right of the picture. */
public enum Side {
    LEFT,
    RIGHT,
    MIDDLE
}
