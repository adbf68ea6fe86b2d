package app.leeward.page.js;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.CuePlay;
import java.util.List;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;

/**
 * A frame as the page paints it. In the codec's form, but put together in few steps: sixty times a second the codec's property after
 * property would be most of the work. The end-to-end test holds it against the server's.
 */
final class FrameForm {
    private static final JSObject NOTHING = list();

    private FrameForm() {}

    /** The frames of a cue over a pose; none for one that is not there. */
    static JSObject ofCue(Evaluator evaluator, String cue, Pose over) {
        return all(
                evaluator
                        .character()
                        .cue(cue)
                        .map(q -> CuePlay.of(evaluator.character(), q, over))
                        .orElse(List.of())
                        .stream()
                        .map(evaluator::frame)
                        .toList());
    }

    static JSObject of(Frame frame) {
        JSObject placed = list();
        List<Frame.Placed> all = frame.placed();
        for (int i = 0; i < all.size(); i++) {
            Frame.Placed p = all.get(i);
            Matrix m = p.matrix();
            JSObject shown = placed(
                    p.part(), p.drawing(), m.a(), m.b(), m.c(), m.d(), m.e(), m.f(), p.opacity(), texts(p.windows()));
            if (!p.outside().isEmpty()) {
                outside(shown, texts(p.outside()));
            }
            if (!p.behind().isEmpty()) {
                behind(shown, texts(p.behind()));
            }
            if (!p.outlines().isEmpty()) {
                outlines(shown, outlines(p.outlines()));
            }
            add(placed, shown);
        }
        return frame(placed);
    }

    static JSObject all(List<Frame> frames) {
        JSObject out = list();
        frames.forEach(f -> add(out, of(f)));
        return out;
    }

    private static JSObject texts(List<String> all) {
        if (all.isEmpty()) {
            return NOTHING;
        }
        JSObject out = list();
        for (int i = 0; i < all.size(); i++) {
            addText(out, all.get(i));
        }
        return out;
    }

    private static JSObject outlines(List<Path> all) {
        JsSink out = new JsSink();
        out.beginList();
        for (int i = 0; i < all.size(); i++) {
            out.outline(all.get(i));
        }
        out.end();
        return out.whole();
    }

    @JSBody(script = "return [];")
    private static native JSObject list();

    @JSBody(
            params = {"o", "v"},
            script = "o.push(v);")
    private static native void add(JSObject o, JSObject v);

    @JSBody(
            params = {"o", "v"},
            script = "o.push(v);")
    private static native void addText(JSObject o, String v);

    @JSBody(params = "placed", script = "return { placed: placed };")
    private static native JSObject frame(JSObject placed);

    @JSBody(
            params = {"part", "drawing", "a", "b", "c", "d", "e", "f", "opacity", "windows"},
            script =
                    "return { part: part, drawing: drawing, matrix: [a, b, c, d, e, f], opacity: opacity, windows: windows };")
    private static native JSObject placed(
            String part,
            String drawing,
            double a,
            double b,
            double c,
            double d,
            double e,
            double f,
            double opacity,
            JSObject windows);

    @JSBody(
            params = {"p", "v"},
            script = "p.outside = v;")
    private static native void outside(JSObject p, JSObject v);

    @JSBody(
            params = {"p", "v"},
            script = "p.behind = v;")
    private static native void behind(JSObject p, JSObject v);

    @JSBody(
            params = {"p", "v"},
            script = "p.outlines = v;")
    private static native void outlines(JSObject p, JSObject v);
}
