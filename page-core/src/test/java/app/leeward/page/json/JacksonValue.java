package app.leeward.page.json;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;

/** JSON as Jackson read it. */
record JacksonValue(JsonNode node) implements JsonValue {
    private static JsonValue of(JsonNode n) {
        return n == null || n.isNull() ? null : new JacksonValue(n);
    }

    @Override
    public String text() {
        return node.asText();
    }

    @Override
    public double number() {
        return node.asDouble();
    }

    @Override
    public boolean truth() {
        return node.asBoolean();
    }

    @Override
    public int size() {
        return node.size();
    }

    @Override
    public JsonValue at(int index) {
        return of(node.get(index));
    }

    @Override
    public JsonValue get(String name) {
        return of(node.get(name));
    }

    @Override
    public String[] names() {
        List<String> all = new ArrayList<>();
        node.fieldNames().forEachRemaining(all::add);
        return all.toArray(new String[0]);
    }
}
