package app.leeward.core.art;

import java.util.regex.Pattern;

/** What a fill or a line is painted with. */
public sealed interface Paint {
    Paint NONE = new None();

    record None() implements Paint {}

    /**
     * One even colour.
     *
     * @param colour {@code #rrggbb}, lower case
     * @param opacity 0 (clear) to 1 (solid)
     */
    record Flat(String colour, double opacity) implements Paint {
        private static final Pattern HEX = Pattern.compile("#[0-9a-f]{6}");

        public Flat {
            if (!HEX.matcher(colour).matches()) {
                throw new IllegalArgumentException("colour must look like #1a2b3c, but is " + colour);
            }
            if (!(opacity >= 0 && opacity <= 1)) {
                throw new IllegalArgumentException("opacity must lie between 0 and 1, but is " + opacity);
            }
        }
    }

    /** With one colour exchanged for another; {@code #rrggbb} both. */
    default Paint recoloured(String from, String to) {
        return this instanceof Flat f && f.colour().equals(from) ? new Flat(to, f.opacity()) : this;
    }

    static Paint flat(String colour) {
        return new Flat(colour, 1);
    }
}
