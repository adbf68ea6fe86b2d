package app.leeward.page.js;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.page.json.JsonSink;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;

/**
 * Makes the browser's own objects of what is written. What is begun and not ended is kept on the browser's side, because an object
 * that goes through Java's arrays is wrapped on the way.
 */
final class JsSink implements JsonSink {
    private final JSObject state = state();

    JSObject whole() {
        return whole(state);
    }

    @Override
    public void begin() {
        begin(state);
    }

    @Override
    public void beginList() {
        beginList(state);
    }

    @Override
    public void end() {
        end(state);
    }

    @Override
    public void name(String property) {
        name(state, property);
    }

    @Override
    public void text(String value) {
        text(state, value);
    }

    @Override
    public void number(double value) {
        number(state, value);
    }

    @Override
    public void truth(boolean value) {
        truth(state, value);
    }

    @Override
    public void nothing() {
        nothing(state);
    }

    /** To four decimals, as in what the server sends; put together by the browser, which is quicker at it. */
    @Override
    public void outline(Path path) {
        draw(state);
        for (Segment s : path.segments()) {
            if (s instanceof Segment.Cubic c) {
                Point a = c.c1();
                Point b = c.c2();
                Point to = c.to();
                cubic(state, a.x(), a.y(), b.x(), b.y(), to.x(), to.y());
            } else if (s instanceof Segment.Line l) {
                line(state, l.to().x(), l.to().y());
            } else if (s instanceof Segment.Move m) {
                move(state, m.to().x(), m.to().y());
            } else {
                close(state);
            }
        }
        drawn(state);
    }

    @JSBody(
            script =
                    """
                    return {
                        open: [], into: null, name: null, whole: null, data: '',
                        put: function (v) {
                            var o = this.into;
                            if (o === null) this.whole = v;
                            else if (this.name === null) o.push(v);
                            else { o[this.name] = v; this.name = null; }
                        },
                        enter: function (v) { this.put(v); this.open.push(this.into); this.into = v; }
                    };""")
    private static native JSObject state();

    @JSBody(params = "s", script = "return s.whole;")
    private static native JSObject whole(JSObject s);

    @JSBody(params = "s", script = "s.enter({});")
    private static native void begin(JSObject s);

    @JSBody(params = "s", script = "s.enter([]);")
    private static native void beginList(JSObject s);

    @JSBody(params = "s", script = "s.into = s.open.pop();")
    private static native void end(JSObject s);

    @JSBody(
            params = {"s", "name"},
            script = "s.name = name;")
    private static native void name(JSObject s, String name);

    @JSBody(
            params = {"s", "v"},
            script = "s.put(v);")
    private static native void text(JSObject s, String v);

    @JSBody(
            params = {"s", "v"},
            script = "s.put(v);")
    private static native void number(JSObject s, double v);

    @JSBody(
            params = {"s", "v"},
            script = "s.put(v);")
    private static native void truth(JSObject s, boolean v);

    @JSBody(params = "s", script = "s.put(null);")
    private static native void nothing(JSObject s);

    @JSBody(params = "s", script = "s.data = '';")
    private static native void draw(JSObject s);

    @JSBody(params = "s", script = "s.put(s.data);")
    private static native void drawn(JSObject s);

    @JSBody(
            params = {"s", "x", "y"},
            script = "s.data += 'M' + Math.round(x * 1e4) / 1e4 + ' ' + Math.round(y * 1e4) / 1e4;")
    private static native void move(JSObject s, double x, double y);

    @JSBody(
            params = {"s", "x", "y"},
            script = "s.data += 'L' + Math.round(x * 1e4) / 1e4 + ' ' + Math.round(y * 1e4) / 1e4;")
    private static native void line(JSObject s, double x, double y);

    @JSBody(
            params = {"s", "a", "b", "c", "d", "x", "y"},
            script =
                    "s.data += 'C' + Math.round(a * 1e4) / 1e4 + ' ' + Math.round(b * 1e4) / 1e4 + ' ' + Math.round(c * 1e4) / 1e4"
                            + " + ' ' + Math.round(d * 1e4) / 1e4 + ' ' + Math.round(x * 1e4) / 1e4 + ' ' + Math.round(y * 1e4) / 1e4;")
    private static native void cubic(JSObject s, double a, double b, double c, double d, double x, double y);

    @JSBody(params = "s", script = "s.data += 'Z';")
    private static native void close(JSObject s);
}
