package app.leeward.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

/**
 * From schema 5 to 6. A turn is made from the shape of the head instead of one ellipsoid: of that, how deep it was stays; its place
 * and size are read from the art now. What the turn does is untouched until it is made anew.
 */
final class HeadShapes implements Upgrade {
    @Override
    public ObjectNode character(ObjectNode old) {
        if (old.at("/controls/turn") instanceof ObjectNode turn) {
            shaped(turn);
        }
        return old;
    }

    @Override
    public ObjectNode edit(ObjectNode old) {
        if (old.path("kind").asText().equals("make-turn")) {
            shaped(old);
        }
        return old;
    }

    private static void shaped(ObjectNode of) {
        JsonNode ball = of.remove("ball");
        if (ball == null || !ball.isObject()) {
            return;
        }
        // an ellipsoid as deep as it is wide looked as deep as a head of the usual depths
        double depth = ball.path("depth").asDouble(1);
        of.putObject("shape")
                .put("front", within(0.75 * depth))
                .put("back", within(depth))
                .put("chin", 0.46)
                .put("nape", -0.05)
                .put("roundness", 2.5)
                .put("muzzle", 0.5)
                .put("pivot", 0.1);
    }

    private static double within(double depth) {
        return Math.max(0.2, Math.min(1.6, depth));
    }
}
