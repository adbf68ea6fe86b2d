package app.leeward.core.edit;

/** Sides of a character or a shot that edits change independently of each other. The words are stored with every edit. */
public enum Facet {
    EVERYTHING("everything", ""),
    /** What was said about a finding. */
    ACCEPTED("", "accepted "),
    ART("art", "art of "),
    AXIS("axis", ""),
    BEND("", "bend of "),
    /** How drawings go where dials bend them. */
    BENDING("bends", ""),
    BLINKS("blinks", ""),
    COLOURS("colours", ""),
    CUE("", "cue "),
    CUE_PLACEMENT("cues", "cue on "),
    DIAL("dials", "dial "),
    DRAWINGS("", "drawings of "),
    /** Past whose edges a part shows. */
    EDGE("", "edge of "),
    GRIP("", "grip of "),
    GROUPS("groups", ""),
    /** Which part hangs from a grip. */
    HELD("held", ""),
    /** What leads into a mouth. */
    INBETWEEN("", "way into "),
    KEYS("keys", ""),
    /** Where a dial stands along a shot. */
    KEYED("", "keys along "),
    KITS("kits", ""),
    /** How long a shot is. */
    LENGTH("length", ""),
    /** The words of a line and when they are said. */
    LINE("line", "line "),
    LINK("", "link of "),
    LOOK("looks", "look "),
    /** What a performer's signals move. */
    SIGNALS("signals", "signal "),
    MODEL_LINE("", "model line "),
    MOOD("mood", ""),
    MOUTHS("mouths", ""),
    NAME("name", "name of "),
    /** What is written to frames of a shot. */
    NOTES("notes", ""),
    ORDER("order", ""),
    PARENT("", "parent of "),
    /** The mouth of one frame, set by hand. */
    PIN("", "mouth on "),
    PIVOT("", "pivot of "),
    PLACE("", "place of "),
    RULES("rules", ""),
    RUN("runs", "run "),
    /** What a piece of the head is in the round. */
    SOLID("", "depth of "),
    /** Which mouth serves a sound. */
    SERVED("", "mouth for "),
    /** What a part shows along a shot. */
    SHOWN_ALONG("", "drawings along "),
    /** Which drawing a part shows by default. */
    SHOWN("", "default of "),
    /** How a word is said. */
    SOUNDS("", "sounds of "),
    /** What a drawing lies over. */
    STACK("", "stack of "),
    VIEWS("views", ""),
    WINDOWS("", "windows of "),
    WRIST("", "wrists of ");

    final String all;
    final String one;

    Facet(String all, String one) {
        this.all = all;
        this.one = one;
    }

    /** All there is of it. */
    public Touch all() {
        return new Touch(this, "");
    }

    /** @param of the ids of what it belongs to, the outermost first */
    public Touch of(String... of) {
        return new Touch(this, String.join("/", of));
    }
}
