package app.leeward.formats.live;

import app.leeward.core.art.Box;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Origin;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Review;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Shot;
import app.leeward.formats.json.ArtworkMap;
import app.leeward.formats.json.LeewardJson;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** A character as a live face reads it: one JSON file with its drawings, its pictures and what it can say. */
final class FaceFile {
    /** What the element reads; one that reads another says so. */
    static final int VERSION = 1;

    private static final double AIR_BESIDE = 0.22;
    private static final double AIR_ABOVE = 0.06;
    private static final double SHOULDERS = 1.34;

    private FaceFile() {}

    /**
     * @param lines by what each is asked for by, in their order
     * @param sounds the file of what is heard in a line, by the same; lines without sound are left out
     */
    static byte[] write(Character c, Map<String, Shot> lines, Map<String, String> sounds, ImageShelf images) {
        ArtworkMap art = new ArtworkMap();
        ObjectMapper json = LeewardJson.mapper(art);
        ObjectNode face = json.createObjectNode()
                .put("format", "leeward-face")
                .put("version", VERSION)
                .put("name", c.name());
        face.putObject("views").set("head", box(json, head(c)));
        ((ObjectNode) face.get("views")).set("whole", box(json, whole(c)));
        // where the art came from, and what was said about it, is nothing to look at
        face.set("character", json.valueToTree(c.withOrigin(Origin.NONE).withReview(Review.NONE)));
        ObjectNode said = json.createObjectNode();
        lines.forEach((name, shot) -> said.putObject(name)
                .put("title", shot.name())
                .put(
                        "words",
                        shot.lines().stream()
                                .map(PlacedLine::line)
                                .map(l -> l.text())
                                .collect(Collectors.joining(" ")))
                .put("sound", sounds.getOrDefault(name, ""))
                .set("shot", json.valueToTree(shot.withAccepted(List.of()))));
        face.set("lines", said);
        ObjectNode artwork = face.putObject("artwork");
        ObjectNode pictures = face.putObject("images");
        try {
            for (Map.Entry<String, String> a : art.texts().entrySet()) {
                artwork.set(a.getKey(), json.readTree(a.getValue()).get("shapes"));
            }
            for (String hash : art.images()) {
                pictures.put(
                        hash, "data:image/png;base64," + Base64.getEncoder().encodeToString(images.png(hash)));
            }
            return json.writeValueAsBytes(face);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ArrayNode box(ObjectMapper json, Box b) {
        ArrayNode out = json.createArrayNode();
        for (double v : new double[] {b.minX(), b.minY(), b.width(), b.height()}) {
            out.add(Math.round(v * 100) / 100.0);
        }
        return out;
    }

    /** The head with some air and the shoulders under it; all of one without a head. */
    private static Box head(Character c) {
        return c.part(PartRole.HEAD)
                .map(Part::id)
                .flatMap(c.rig()::boundsWithFollowers)
                .map(b -> {
                    double left = b.minX() - AIR_BESIDE * b.width();
                    double top = b.minY() - AIR_ABOVE * b.height();
                    return new Box(left, top, left + (1 + 2 * AIR_BESIDE) * b.width(), top + SHOULDERS * b.height());
                })
                .orElseGet(() -> whole(c));
    }

    private static Box whole(Character c) {
        Canvas canvas = c.sheet().canvas();
        return new Box(0, 0, canvas.width(), canvas.height());
    }
}
