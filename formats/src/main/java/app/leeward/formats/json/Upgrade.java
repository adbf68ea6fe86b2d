package app.leeward.formats.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

/**
 * One step of the stored form: from one schema number to the next, on the JSON tree. Steps run when something old is read; what
 * is stored is never rewritten. A step that was released is never changed again. Each method may change the tree it is given
 * and answers with the tree to go on with. What lies inside (a character in an edit, an edit in an edit) is brought up by
 * itself before what holds it.
 */
public interface Upgrade {
    /** A character, with artwork by its hash. */
    default ObjectNode character(ObjectNode old) {
        return old;
    }

    /** One edit of a character, told apart by {@code kind}. */
    default ObjectNode edit(ObjectNode old) {
        return old;
    }

    /** A line of dialogue with all that was decided about it. */
    default ObjectNode shot(ObjectNode old) {
        return old;
    }

    /** One edit of a line, told apart by {@code kind}. */
    default ObjectNode shotEdit(ObjectNode old) {
        return old;
    }
}
