package app.leeward.formats.lottie;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Paint;
import app.leeward.core.motion.Motion;
import app.leeward.core.rig.Canvas;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Layers put together: compositions within the animation, a layer and its matte, pictures. Lists of layers go back to front. */
final class Compositions {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final String GROUND = "ground";

    private final Motion motion;
    private final Canvas canvas;
    private final ImageShelf images;
    private final ArrayNode assets = JSON.arrayNode();
    private final Map<String, String> pictures = new HashMap<>();
    /** A composition that is the same as one before is referred to again. */
    private final Map<ArrayNode, String> known = new HashMap<>();
    /** Compositions whose outlines reach over the whole canvas. */
    private final Set<String> far = new HashSet<>();

    Compositions(Motion motion, Canvas canvas, ImageShelf images) {
        this.motion = motion;
        this.canvas = canvas;
        this.images = images;
    }

    ArrayNode assets() {
        return assets;
    }

    /** Layers as Lottie lists them: numbered, what lies on top first, a matte before what it cuts. */
    ArrayNode inOrder(List<ObjectNode> layers) {
        ArrayNode out = JSON.arrayNode();
        for (int i = layers.size() - 1; i >= 0; i--) {
            ObjectNode layer = layers.get(i);
            timed(layer);
            layer.put("ind", layers.size() - i);
            if (layer.has("tt")) {
                layer.put("tp", layers.size() - i - 1);
            }
            out.add(layer);
        }
        return out;
    }

    private void timed(ObjectNode layer) {
        if (!layer.has("ip")) {
            layer.put("ip", 0);
            layer.put("op", motion.frames());
        }
        layer.put("st", 0);
    }

    /** Layers as one. */
    ObjectNode one(List<ObjectNode> layers) {
        return layers.size() == 1 ? layers.get(0) : whole(layers);
    }

    /** Layers as a composition, even one alone. */
    ObjectNode whole(List<ObjectNode> layers) {
        ArrayNode inside = inOrder(layers);
        String id = known.computeIfAbsent(inside, k -> {
            String made = "comp-" + (assets.size() + 1);
            assets.addObject().put("id", made).set("layers", inside);
            if (layers.stream().anyMatch(this::reachesFar)) {
                far.add(made);
            }
            return made;
        });
        ObjectNode out = JSON.objectNode().put("ty", 0).put("refId", id);
        out.put("w", (int) Math.ceil(canvas.width())).put("h", (int) Math.ceil(canvas.height()));
        out.putObject("ks");
        return out;
    }

    /**
     * What is seen of some layers within others.
     *
     * @param inverted without them instead
     * @return a layer and its matte
     */
    List<ObjectNode> matted(List<ObjectNode> layers, List<ObjectNode> matte, boolean inverted) {
        if (matte.isEmpty()) {
            return inverted ? layers : List.of();
        }
        ObjectNode cut = one(grounded(layers)).put("tt", inverted ? 2 : 1);
        ObjectNode by = one(matte).put("td", 1);
        return List.of(cut, by);
    }

    /**
     * Layers that reach over the whole canvas. SVG cuts what is masked at the box of its outlines, lines left out, and a tenth more;
     * players that draw with it would cut a thick line off. So something that is not seen makes the box large.
     */
    private List<ObjectNode> grounded(List<ObjectNode> layers) {
        if (layers.stream().anyMatch(this::reachesFar)) {
            return layers;
        }
        ObjectNode rectangle = JSON.objectNode().put("ty", "rc").put("d", 1);
        rectangle.set("p", Keys.still(canvas.width() / 2, canvas.height() / 2));
        rectangle.set("s", Keys.still(3 * canvas.width(), 3 * canvas.height()));
        rectangle.set("r", Keys.still(0));
        ObjectNode clear = JSON.objectNode().put("ty", "fl").put("r", 1);
        clear.set("c", Keys.still(1, 1, 1));
        clear.set("o", Keys.still(0));
        ObjectNode ground = JSON.objectNode().put("ty", "gr").put("nm", GROUND);
        ObjectNode still = JSON.objectNode().put("ty", "tr");
        still.set("o", Keys.still(100));
        ground.putArray("it").add(rectangle).add(clear).add(still);
        ObjectNode first = layers.get(0);
        if (first.path("ty").asInt() == 4) {
            first.withArray("shapes").add(ground);
            return layers;
        }
        ObjectNode below = JSON.objectNode().put("ty", 4).put("nm", GROUND);
        below.putObject("ks");
        below.putArray("shapes").add(ground);
        List<ObjectNode> all = new ArrayList<>(layers);
        all.add(0, below);
        return all;
    }

    private boolean reachesFar(ObjectNode layer) {
        if (layer.path("ty").asInt() == 0) {
            return far.contains(layer.path("refId").asText());
        }
        for (JsonNode shape : layer.path("shapes")) {
            if (shape.path("nm").asText().equals(GROUND)) {
                return true;
            }
        }
        return false;
    }

    /** The id of a picture, which is put into the file once. */
    String image(Paint.Picture p) {
        return pictures.computeIfAbsent(p.image(), hash -> {
            String id = "picture-" + (assets.size() + 1);
            assets.addObject()
                    .put("id", id)
                    .put("w", p.width())
                    .put("h", p.height())
                    .put("u", "")
                    .put("p", "data:image/png;base64," + Base64.getEncoder().encodeToString(images.png(hash)))
                    .put("e", 1);
            return id;
        });
    }
}
