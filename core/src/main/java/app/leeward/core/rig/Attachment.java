package app.leeward.core.rig;

/** To what of its parent a part hangs. */
public enum Attachment {
    /** To the parent itself, wherever that goes. */
    PARENT,
    /** To the grip of the hand's drawing that shows, and it shows only where that drawing has one. */
    GRIP
}
