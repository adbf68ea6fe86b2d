package app.leeward.core.dial;

/** How parts and drawings are called in a sentence. */
public interface PartNames {
    String part(String id);

    /** A drawing of a part, nothing, or that it is gone. */
    String drawing(String part, String id);
}
