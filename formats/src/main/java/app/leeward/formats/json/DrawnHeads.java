package app.leeward.formats.json;

import com.fasterxml.jackson.databind.node.ObjectNode;

/**
 * From schema 6 to 7. The shape of a head says how far it is turned as it was drawn: all were taken to be drawn from the front. What
 * a piece is in the round may say its root and what it is welded to, and a turn how far it reaches: nobody had said so.
 */
final class DrawnHeads implements Upgrade {
    @Override
    public ObjectNode character(ObjectNode old) {
        front(old.at("/controls/turn/shape") instanceof ObjectNode shape ? shape : null);
        return old;
    }

    @Override
    public ObjectNode edit(ObjectNode old) {
        if (old.path("kind").asText().equals("make-turn")) {
            front(old.path("shape") instanceof ObjectNode shape ? shape : null);
        }
        return old;
    }

    private static void front(ObjectNode shape) {
        if (shape != null && !shape.has("drawn")) {
            shape.put("drawn", 0.0);
        }
    }
}
