package app.leeward.core.rig;

/**
 * Where one drawing of a part lies in the stack while it is shown, when that is not where its part lies: a fist before the
 * collar, folded hands under the coat.
 *
 * @param over id of the part it lies directly over
 */
public record DrawnStack(String part, String drawing, String over) {
    public DrawnStack {
        if (part.equals(over)) {
            throw new IllegalArgumentException("'" + part + "' cannot lie over itself");
        }
    }
}
