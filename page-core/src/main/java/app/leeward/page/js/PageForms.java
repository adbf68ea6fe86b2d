package app.leeward.page.js;

import app.leeward.core.rig.Pose;
import app.leeward.page.json.JsonValue;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import org.teavm.jso.JSObject;

/** Forms that only the page has. */
final class PageForms {
    private PageForms() {}

    /** A pose as the page holds it: dials, picks, pins and looks, what is left out being empty. */
    static Pose pose(JSObject body) {
        JsValue in = new JsValue(body);
        return new Pose(
                        map(in.get("dials"), JsonValue::number),
                        map(in.get("picks"), JsonValue::text),
                        map(in.get("pins"), JsonValue::text),
                        Map.of())
                .withLooks(map(in.get("looks"), JsonValue::number));
    }

    private static <V> Map<String, V> map(JsonValue in, Function<JsonValue, V> read) {
        Map<String, V> all = new HashMap<>();
        for (String name : in == null ? new String[0] : in.names()) {
            JsonValue value = in.get(name);
            if (value != null) {
                all.put(name, read.apply(value));
            }
        }
        return all;
    }
}
