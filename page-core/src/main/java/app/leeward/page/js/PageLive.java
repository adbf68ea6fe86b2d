package app.leeward.page.js;

import app.leeward.core.performer.SimulatedPerformance;
import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalSource;
import java.util.HashMap;
import java.util.Map;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** Where the page enters for a performer: compiled by itself, and loaded only when somebody plays live. */
public final class PageLive {
    private PageLive() {}

    /** @param targets what of the rig can be driven: {@code kind}, {@code id}, range, rest, whether in degrees and whether a blink */
    @JSExport
    public static PagePerformer performer(JSObject targets) {
        return new PagePerformer(new JsValue(targets));
    }

    /** @param chart the character's mouths */
    @JSExport
    public static PageMouth mouth(JSObject chart) {
        return new PageMouth(new JsValue(chart));
    }

    /** Every signal there is, with what it comes from. */
    @JSExport
    public static JSObject signals() {
        Map<Signal, SignalSource> sources = new HashMap<>();
        for (SignalSource source : SignalSource.values()) {
            source.signals().forEach(s -> sources.put(s, source));
        }
        JsSink out = new JsSink();
        out.beginList();
        for (Signal s : Signal.values()) {
            out.begin();
            text(out, "id", s.name());
            text(out, "word", s.word());
            text(out, "title", s.title());
            text(out, "says", s.says());
            text(out, "unit", s.unit());
            text(out, "source", sources.get(s).name());
            number(out, "from", s.from());
            number(out, "to", s.to());
            out.end();
        }
        out.end();
        return out.whole();
    }

    /** The performances that are scripts. */
    @JSExport
    public static JSObject performances() {
        JsSink out = new JsSink();
        out.beginList();
        for (SimulatedPerformance p : SimulatedPerformance.values()) {
            out.begin();
            text(out, "id", p.name());
            text(out, "title", p.title());
            number(out, "seconds", p.seconds());
            out.end();
        }
        out.end();
        return out.whole();
    }

    /** What a scripted performance says at a moment, by the signals' words. */
    @JSExport
    public static JSObject simulated(String performance, double seconds) {
        JsSink out = new JsSink();
        out.begin();
        SimulatedPerformance.valueOf(performance)
                .at(seconds)
                .forEach((s, v) -> number(out, s.word(), Math.round(v * 1e4) / 1e4));
        out.end();
        return out.whole();
    }

    static void text(JsSink out, String name, String value) {
        out.name(name);
        out.text(value);
    }

    static void number(JsSink out, String name, double value) {
        out.name(name);
        out.number(value);
    }
}
