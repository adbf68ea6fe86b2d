package app.leeward.core.rig;

/** Two parts kept as exact mirror images of each other; ids of the character's left and right one. */
public record MirrorLink(String left, String right) {
    public boolean joins(String part) {
        return left.equals(part) || right.equals(part);
    }

    /** The other of the two. */
    public String otherThan(String part) {
        return left.equals(part) ? right : left;
    }
}
