package app.leeward.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** From schema 4 to 5. The sentence of a note about the art is its message, as it is everywhere else. */
final class NoteMessages implements Upgrade {
    @Override
    public ObjectNode character(ObjectNode old) {
        for (JsonNode note : old.at("/origin/notes")) {
            if (note.has("says")) {
                ((ObjectNode) note).set("message", ((ObjectNode) note).remove("says"));
            }
        }
        return old;
    }
}
