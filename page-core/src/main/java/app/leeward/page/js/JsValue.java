package app.leeward.page.js;

import app.leeward.page.json.JsonValue;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;

/** JSON as the browser parsed it. */
final class JsValue implements JsonValue {
    private final JSObject value;

    JsValue(JSObject value) {
        this.value = value;
    }

    @Override
    public String text() {
        return textOf(value);
    }

    @Override
    public double number() {
        return numberOf(value);
    }

    @Override
    public boolean truth() {
        return truthOf(value);
    }

    @Override
    public int size() {
        return sizeOf(value);
    }

    @Override
    public JsonValue at(int index) {
        return of(entry(value, index));
    }

    @Override
    public JsonValue get(String name) {
        return of(property(value, name));
    }

    @Override
    public String[] names() {
        return namesOf(value);
    }

    /** Itself as text. */
    String json() {
        return jsonOf(value);
    }

    private static JsonValue of(JSObject value) {
        return value == null ? null : new JsValue(value);
    }

    @JSBody(params = "v", script = "return JSON.stringify(v);")
    private static native String jsonOf(JSObject v);

    @JSBody(params = "v", script = "return String(v);")
    private static native String textOf(JSObject v);

    @JSBody(params = "v", script = "return +v;")
    private static native double numberOf(JSObject v);

    @JSBody(params = "v", script = "return v === true;")
    private static native boolean truthOf(JSObject v);

    @JSBody(params = "v", script = "return v.length;")
    private static native int sizeOf(JSObject v);

    @JSBody(
            params = {"v", "i"},
            script = "var e = v[i]; return e === undefined ? null : e;")
    private static native JSObject entry(JSObject v, int i);

    @JSBody(
            params = {"v", "name"},
            script = "var e = v[name]; return e === undefined ? null : e;")
    private static native JSObject property(JSObject v, String name);

    @JSBody(params = "v", script = "return Object.keys(v);")
    private static native String[] namesOf(JSObject v);
}
