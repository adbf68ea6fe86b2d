package app.leeward.formats.json;

import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.rig.Frame;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;

/** A frame as the numbers that golden files hold of it. */
final class FrameNumbers {
    private static final ObjectMapper JSON = new ObjectMapper();

    private FrameNumbers() {}

    static ArrayNode of(Frame frame) {
        ArrayNode all = JSON.createArrayNode();
        for (Frame.Placed p : frame.placed()) {
            ObjectNode one = all.addObject();
            one.put("part", p.part()).put("drawing", p.drawing());
            Matrix m = p.matrix();
            one.set("matrix", JSON.valueToTree(new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()}));
            one.put("opacity", p.opacity());
            one.set("windows", JSON.valueToTree(p.windows()));
            one.set("outside", JSON.valueToTree(p.outside()));
            one.set("behind", JSON.valueToTree(p.behind()));
            one.put("outlines", p.outlines().size());
            Optional<Box> box =
                    p.outlines().stream().flatMap(o -> o.bounds().stream()).reduce(Box::union);
            one.set(
                    "box",
                    box.isEmpty()
                            ? JSON.createArrayNode()
                            : JSON.valueToTree(new double[] {
                                box.get().minX(),
                                box.get().minY(),
                                box.get().maxX(),
                                box.get().maxY()
                            }));
        }
        return all;
    }
}
