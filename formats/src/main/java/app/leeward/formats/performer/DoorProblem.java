package app.leeward.formats.performer;

/** A message that cannot be taken; says where in it and why. */
public final class DoorProblem extends Exception {
    DoorProblem(String message) {
        super(message);
    }
}
