package app.leeward.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;

/**
 * From schema 7 to 8. A shot holds any number of lines, is as long as it says, and keeps what is acted along it together: what was one
 * line becomes a shot just as long with that line at its first frame. A cue in it plays once, as long and as strong as it is.
 */
final class ActedShots implements Upgrade {
    private static final List<String> ACTED = List.of("pins", "blinks", "cues", "gestures");

    @Override
    public ObjectNode shot(ObjectNode old) {
        JsonNode line = old.remove("line");
        double frames =
                line.path("seconds").asDouble() * old.at("/rules/frameRate").asInt();
        old.put("frames", Math.max(1, (int) Math.ceil(frames - 1e-9)));
        ObjectNode placed = old.putArray("lines").addObject();
        placed.put("at", 0);
        placed.set("line", line);
        ObjectNode tracks = old.putObject("tracks");
        for (String track : ACTED) {
            JsonNode was = old.remove(track);
            if (was != null && !was.isNull()) {
                tracks.set(track, was);
            }
        }
        if (tracks.get("cues") instanceof ArrayNode cues) {
            cues.forEach(c -> ((ObjectNode) c)
                    .put("strength", 1.0)
                    .put("frames", 0)
                    .put("times", 1)
                    .put("reversed", false));
        }
        return old;
    }

    @Override
    public ObjectNode shotEdit(ObjectNode old) {
        if (old.path("kind").asText().equals("reread")) {
            old.put("at", 0);
        }
        return old;
    }
}
