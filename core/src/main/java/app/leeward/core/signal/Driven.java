package app.leeward.core.signal;

/** What of a rig a signal moves. Names of what does not exist any more are kept and move nothing. */
public sealed interface Driven {
    /** A dial, moved from where it rests. */
    record OfDial(String dial) implements Driven {
        public OfDial {
            required("dial", dial);
        }
    }

    /** A look, as strong as the signal. */
    record OfLook(String look) implements Driven {
        public OfLook {
            required("look", look);
        }
    }

    private static void required(String what, String id) {
        if (id == null || id.isBlank()) {
            throw new IllegalArgumentException("A signal drives a dial or a look; which " + what + " is not said.");
        }
    }
}
