package app.leeward.page.js;

import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Way;
import app.leeward.page.json.Codec;
import java.util.List;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;

/**
 * Keys of a dial as the browser's own objects. A shot has tens of thousands, so each is made in one call, and keys that go on the same
 * way share it.
 */
final class KeyList {
    private KeyList() {}

    static JSObject of(List<DialKey> keys, Codec codec) {
        JSObject all = list();
        Way way = null;
        JSObject written = null;
        for (DialKey key : keys) {
            if (!key.way().equals(way)) {
                way = key.way();
                JsSink out = new JsSink();
                codec.writeWay(way, out);
                written = out.whole();
            }
            JSObject laid = null;
            if (key.laid().isPresent()) {
                JsSink out = new JsSink();
                codec.writeLaid(key.laid().get(), out);
                laid = out.whole();
            }
            add(all, key.frame(), key.value(), written, key.bow(), laid);
        }
        return all;
    }

    @JSBody(script = "return [];")
    private static native JSObject list();

    @JSBody(
            params = {"all", "frame", "value", "way", "bow", "laid"},
            script = "all.push({ frame: frame, value: value, way: way, bow: bow, laid: laid });")
    private static native void add(JSObject all, int frame, double value, JSObject way, double bow, JSObject laid);
}
