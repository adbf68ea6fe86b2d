package app.leeward.core.check;

/** Who would notice that something is wrong, the most harmful first. */
public enum Harm {
    /** Anyone who looks: white shows in a shut eye, a head comes apart. */
    BREAKS,
    /** An audience, when it moves. */
    MOVES,
    /** Nobody yet; whoever takes the rig over stumbles upon it. */
    UNTIDY
}
