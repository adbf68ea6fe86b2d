package app.leeward.core.check;

/** The stages of the work on a face, in the order they are usually done. */
public enum RigStep {
    INTAKE,
    PARTS,
    EYES,
    MOUTHS,
    BROWS,
    HANDS,
    KITS,
    TURN,
    LINES,
    SHOT,
    HAND_OVER
}
