package app.leeward.formats.json;

import app.leeward.core.dial.Channel;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

/**
 * From schema 1 to 2. An offset had all seven numbers of a placement and, where it bent, {@code bend} with three more; now it has
 * those numbers that change something, each under the id of its channel.
 */
final class SparseOffsets implements Upgrade {
    @Override
    public ObjectNode character(ObjectNode old) {
        old.path("dials").forEach(SparseOffsets::dial);
        old.path("corners").forEach(SparseOffsets::offsets);
        return old;
    }

    @Override
    public ObjectNode edit(ObjectNode old) {
        if (old.path("kind").asText().equals("set-dial")) {
            dial(old.path("dial"));
        }
        return old;
    }

    private static void dial(JsonNode dial) {
        dial.path("stops").forEach(SparseOffsets::offsets);
    }

    private static void offsets(JsonNode holder) {
        holder.path("offsets").forEach(offset -> sparse((ObjectNode) offset));
    }

    private static void sparse(ObjectNode offset) {
        if (offset.remove("bend") instanceof ObjectNode bend) {
            offset.set("bendLeft", bend.path("left"));
            offset.set("bendMiddle", bend.path("middle"));
            offset.set("bendRight", bend.path("right"));
        }
        for (Channel c : Channel.STANDARD) {
            if (offset.path(c.id()).asDouble(c.neutral()) == c.neutral()) {
                offset.remove(c.id());
            }
        }
    }
}
