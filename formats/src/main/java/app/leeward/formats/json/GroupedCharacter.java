package app.leeward.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * From schema 3 to 4. The twenty-two properties of a character stand in six groups, and corrections at two dials, which were
 * corners, are named for what they are.
 */
final class GroupedCharacter implements Upgrade {
    private static final Map<String, List<String>> GROUPS = new LinkedHashMap<>();

    static {
        GROUPS.put("sheet", List.of("canvas", "frameRate", "palette", "model"));
        GROUPS.put("rig", List.of("parts", "order", "windows", "links"));
        GROUPS.put("controls", List.of("dials", "pads", "correctives", "turn", "views"));
        GROUPS.put("library", List.of("looks", "cues", "kits", "keys"));
        GROUPS.put("voice", List.of("mouths", "lexicon"));
        GROUPS.put("origin", List.of("source", "notes"));
    }

    @Override
    public ObjectNode character(ObjectNode old) {
        JsonNode corners = old.remove("corners");
        if (corners != null) {
            old.set("correctives", corners);
        }
        GROUPS.forEach((group, properties) -> {
            ObjectNode held = old.objectNode();
            for (String property : properties) {
                JsonNode value = old.remove(property);
                if (value != null) {
                    held.set(property, value);
                }
            }
            old.set(group, held);
        });
        return old;
    }
}
