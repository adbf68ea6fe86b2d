package app.leeward.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import java.util.function.BiConsumer;

/**
 * From schema 2 to 3. What is known of a drawing (its wrist, its grip, what it lies over) stood in lists of the character that
 * named part and drawing; now it stands in the drawing, and in the part what is known of that: the bend of a wrist, the edges it
 * shows past, its runs, and whether it hangs from a grip.
 */
final class FactsWithTheirOwners implements Upgrade {
    @Override
    public ObjectNode character(ObjectNode old) {
        JsonNode parts = old.path("parts");
        each(old, "wrists", (fact, part) -> drawing(parts, fact).ifPresent(d -> d.set("wrist", fact.get("wrist"))));
        each(old, "grips", (fact, part) -> drawing(parts, fact).ifPresent(d -> d.putObject("grip")
                .<ObjectNode>set("at", fact.get("at"))
                .set("angle", fact.get("angle"))));
        each(old, "stacks", (fact, part) -> drawing(parts, fact).ifPresent(d -> d.set("over", fact.get("over"))));
        each(old, "runs", (fact, part) -> part(parts, part)
                .ifPresent(p -> p.withArray("runs").add(without((ObjectNode) fact, "part"))));
        each(old, "pastEdges", (fact, part) -> part(parts, part)
                .ifPresent(p -> p.withArray("pastEdges").add(fact.get("by"))));
        each(old, "wristBends", (fact, part) -> part(parts, part)
                .ifPresent(p -> p.set("wristBend", without((ObjectNode) fact, "part"))));
        each(old, "held", (fact, part) -> part(parts, fact.asText()).ifPresent(p -> p.put("attachment", "GRIP")));
        return old;
    }

    /** Takes a list away and goes through it, with the id of the part each entry names. */
    private static void each(ObjectNode old, String list, BiConsumer<JsonNode, String> move) {
        JsonNode facts = old.remove(list);
        if (facts != null) {
            facts.forEach(fact -> move.accept(fact, fact.path("part").asText()));
        }
    }

    private static ObjectNode without(ObjectNode fact, String property) {
        ObjectNode left = fact.deepCopy();
        left.remove(property);
        return left;
    }

    private static Optional<ObjectNode> part(JsonNode parts, String id) {
        return withId(parts, id);
    }

    private static Optional<ObjectNode> drawing(JsonNode parts, JsonNode fact) {
        return part(parts, fact.path("part").asText())
                .flatMap(p -> withId(p.path("drawings"), fact.path("drawing").asText()));
    }

    private static Optional<ObjectNode> withId(JsonNode all, String id) {
        for (JsonNode one : all) {
            if (one.path("id").asText().equals(id)) {
                return Optional.of((ObjectNode) one);
            }
        }
        return Optional.empty();
    }
}
