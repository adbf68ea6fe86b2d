package app.leeward.bench.attack;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;

/** Values for an API described by OpenAPI: mostly as described, now and then not. */
final class Nonsense {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int DEEPEST = 7;
    private static final String[] STRINGS = {
        "",
        " ",
        "nose",
        "turn",
        "blink",
        "front",
        "mouth",
        "\u0000",
        "a\u0001b",
        "\uFFFE",
        "\uD800",
        "x".repeat(5_000),
        "../../etc/passwd",
        "<script>alert(1)</script>",
        "'; drop table revision; --",
        "日本語",
        "\uD83D\uDE00",
        "%00",
        "null",
        "-1",
        "NaN",
        "M0 0L1e999 1Z",
        "#ff0000",
        "M0 0L10 10Z"
    };
    private static final String[] NUMBERS = {
        "0",
        "1",
        "-1",
        "2",
        "0.5",
        "99",
        "1e308",
        "-1e308",
        "1e999",
        "2147483647",
        "2147483648",
        "-2147483648",
        "9223372036854775807",
        "1e-320",
        "123456789012345678901234567890",
        "0.1",
        "12",
        "24",
        "60"
    };

    private final JsonNode api;
    private final Random random;
    /** How often something is not as described, one in so many. */
    private final int oneIn;
    /** Ids that exist, the one most calls are about first. */
    private final List<String> ids;
    /** Names that exist: parts, drawings, dials. */
    private final List<String> names;
    /** The newest revision of what the call is about. */
    private final int newest;

    Nonsense(JsonNode api, Random random, int oneIn, List<String> ids, List<String> names, int newest) {
        this.api = api;
        this.random = random;
        this.oneIn = oneIn;
        this.ids = ids;
        this.names = names;
        this.newest = newest;
    }

    private boolean wrong() {
        return random.nextInt(oneIn) == 0;
    }

    String name() {
        return wrong() || names.isEmpty()
                ? STRINGS[random.nextInt(STRINGS.length)]
                : names.get(random.nextInt(names.size()));
    }

    String id() {
        return switch (random.nextInt(oneIn * 2)) {
            case 0 -> UUID.randomUUID().toString();
            case 1 -> STRINGS[random.nextInt(STRINGS.length)];
            case 2 -> ids.get(random.nextInt(ids.size()));
            default -> ids.get(0);
        };
    }

    private JsonNode raw(String text) {
        try {
            return JSON.readTree(text);
        } catch (com.fasterxml.jackson.core.JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private JsonNode anything() {
        return switch (random.nextInt(9)) {
            case 0 -> JSON.nullNode();
            case 1 -> JSON.getNodeFactory().booleanNode(random.nextBoolean());
            case 2 -> JSON.createArrayNode();
            case 3 -> JSON.createObjectNode();
            case 4 -> deep();
            case 5 -> raw(NUMBERS[random.nextInt(NUMBERS.length)]);
            case 6 -> JSON.createArrayNode().add(1).add("two").addNull();
            case 7 -> large();
            default -> JSON.getNodeFactory().textNode(STRINGS[random.nextInt(STRINGS.length)]);
        };
    }

    private static JsonNode deep() {
        JsonNode node = JSON.createArrayNode();
        for (int i = 0; i < 200; i++) {
            node = JSON.createArrayNode().add(node);
        }
        return node;
    }

    private static JsonNode large() {
        ObjectNode node = JSON.createObjectNode();
        for (int i = 0; i < 3_000; i++) {
            node.put("key " + i, i);
        }
        return node;
    }

    /** A value for a schema. */
    JsonNode value(JsonNode schema, String property, int depth) {
        if (wrong() && random.nextInt(3) == 0) {
            return anything();
        }
        if (schema.has("$ref")) {
            return value(api.at(schema.get("$ref").asText().substring(1)), property, depth);
        }
        if (schema.has("oneOf")) {
            JsonNode options = schema.get("oneOf");
            return value(options.get(random.nextInt(options.size())), property, depth);
        }
        if (schema.has("enum")) {
            return wrong()
                    ? anything()
                    : schema.get("enum").get(random.nextInt(schema.get("enum").size()));
        }
        String type = schema.path("type").isArray()
                ? schema.path("type").get(0).asText()
                : schema.path("type").asText("object");
        return switch (type) {
            case "string" ->
                JSON.getNodeFactory()
                        .textNode(schema.path("format").asText().equals("uuid") ? id() : text(schema, property));
            case "integer" ->
                property.equals("base") && !wrong()
                        ? JSON.getNodeFactory().numberNode(random.nextInt(5) > 0 ? newest : 1 + random.nextInt(newest))
                        : raw(wrong() ? NUMBERS[random.nextInt(NUMBERS.length)] : String.valueOf(random.nextInt(30)));
            case "number" ->
                raw(
                        wrong()
                                ? NUMBERS[random.nextInt(NUMBERS.length)]
                                : String.valueOf(random.nextInt(2_000) / 10.0 - 50));
            case "boolean" -> JSON.getNodeFactory().booleanNode(random.nextBoolean());
            case "array" -> array(schema, property, depth);
            default -> object(schema, property, depth);
        };
    }

    private String text(JsonNode schema, String property) {
        if (schema.path("description").asText().startsWith("SVG path")) {
            return wrong() ? "M0 0Lnonsense" : "M400 400L500 400L500 500Z";
        }
        if (property.equals("words") || property.equals("text")) {
            return wrong() ? STRINGS[random.nextInt(STRINGS.length)] : "Mind the ropes";
        }
        return name();
    }

    private JsonNode array(JsonNode schema, String property, int depth) {
        ArrayNode out = JSON.createArrayNode();
        int n = depth > DEEPEST ? 0 : random.nextInt(4);
        if ("number".equals(schema.path("items").path("type").asText())) {
            // points and matrices
            n = wrong() ? n : 2;
        }
        for (int i = 0; i < n; i++) {
            out.add(value(schema.path("items"), property, depth + 1));
        }
        return out;
    }

    private JsonNode object(JsonNode schema, String property, int depth) {
        ObjectNode out = JSON.createObjectNode();
        if (depth > DEEPEST) {
            return out;
        }
        List<String> required = new ArrayList<>();
        schema.path("required").forEach(r -> required.add(r.asText()));
        schema.path("properties").fields().forEachRemaining(p -> {
            boolean there = required.contains(p.getKey()) ? !wrong() : random.nextInt(3) > 0;
            if (there) {
                out.set(p.getKey(), value(p.getValue(), p.getKey(), depth + 1));
            }
        });
        if (schema.has("additionalProperties")
                && schema.get("additionalProperties").isObject()) {
            for (int i = random.nextInt(3); i > 0; i--) {
                out.set(name(), value(schema.get("additionalProperties"), property, depth + 1));
            }
        }
        if (wrong()) {
            out.set("nobody knows this", anything());
        }
        return out;
    }

    /** JSON text, now and then broken as text. */
    String written(JsonNode value) {
        String text = value.toString();
        return switch (random.nextInt(oneIn * 6)) {
            case 0 -> text.substring(0, random.nextInt(text.length() + 1));
            case 1 -> text.replaceFirst("\\d+", "NaN");
            case 2 -> text.replaceFirst("\\{", "{\"base\":1,\"base\":2,");
            case 3 -> "[".repeat(50_000);
            case 4 -> text + text;
            case 5 -> "";
            default -> text;
        };
    }
}
