package app.leeward.page.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayDeque;
import java.util.Deque;

/** Builds Jackson's tree of what is written, every number a double and nothing that is null. */
final class JacksonSink implements JsonSink {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final Deque<JsonNode> open = new ArrayDeque<>();
    private String name;
    private JsonNode whole;

    JsonNode whole() {
        return whole;
    }

    /** A tree of Jackson's own in the same form. */
    static JsonNode plain(JsonNode node) {
        if (node.isArray()) {
            ArrayNode out = NODES.arrayNode();
            node.forEach(n -> out.add(plain(n)));
            return out;
        }
        if (node.isObject()) {
            ObjectNode out = NODES.objectNode();
            node.properties().stream()
                    .filter(p -> !p.getValue().isNull())
                    .forEach(p -> out.set(p.getKey(), plain(p.getValue())));
            return out;
        }
        return node.isNumber() ? NODES.numberNode(node.asDouble() + 0.0) : node;
    }

    private void put(JsonNode value) {
        JsonNode into = open.peek();
        if (into == null) {
            whole = value;
        } else if (into instanceof ObjectNode object) {
            if (!value.isNull()) {
                object.set(name, value);
            }
        } else {
            ((ArrayNode) into).add(value);
        }
    }

    @Override
    public void begin() {
        ObjectNode object = NODES.objectNode();
        put(object);
        open.push(object);
    }

    @Override
    public void beginList() {
        ArrayNode list = NODES.arrayNode();
        put(list);
        open.push(list);
    }

    @Override
    public void end() {
        open.pop();
    }

    @Override
    public void name(String property) {
        name = property;
    }

    @Override
    public void text(String value) {
        put(NODES.textNode(value));
    }

    @Override
    public void number(double value) {
        put(NODES.numberNode(value + 0.0));
    }

    @Override
    public void truth(boolean value) {
        put(NODES.booleanNode(value));
    }

    @Override
    public void nothing() {
        put(NODES.nullNode());
    }
}
