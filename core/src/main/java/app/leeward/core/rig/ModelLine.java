package app.leeward.core.rig;

import app.leeward.core.art.Numbers;

/** A named horizontal of the model sheet: top of head, chin, ground … ; {@code y} in user units. */
public record ModelLine(String name, double y) {
    public static final String TOP = "top of head";
    public static final String CHIN = "chin";
    public static final String GROUND = "ground";

    public ModelLine {
        Numbers.finite("model line", y);
        if (name.isBlank()) {
            throw new IllegalArgumentException("a model line needs a name");
        }
    }
}
