package app.leeward.page.js;

import app.leeward.core.performer.FaceLandmarks;
import app.leeward.core.performer.PerformerSample;
import app.leeward.core.performer.PerformerSettings;
import app.leeward.core.performer.Performing;
import app.leeward.core.performer.Target;
import app.leeward.core.signal.Driven;
import app.leeward.core.signal.OneEuroFilter;
import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalLink;
import app.leeward.page.json.JsonValue;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** One performer in front of one rig, moment after moment. */
public final class PagePerformer {
    private final Map<Driven, Target> targets = new LinkedHashMap<>();
    private final Map<Signal, Double> told = new EnumMap<>(Signal.class);
    private List<SignalLink> links = List.of();
    private PerformerSettings settings = PerformerSettings.PLAIN;
    private Performing now = Performing.NOBODY;
    private double moved = Double.NaN;
    private FaceLandmarks face;
    private FaceLandmarks restingFace;

    PagePerformer(JsValue all) {
        for (int i = 0; i < all.size(); i++) {
            JsonValue t = all.at(i);
            Target target = new Target(
                    t.get("from").number(),
                    t.get("to").number(),
                    t.get("rest").number(),
                    t.get("degrees").truth(),
                    t.get("shuts").truth());
            targets.put(driven(t), target);
        }
    }

    /** A driven thing as characters hold it, or with {@code id} for either. */
    private static Driven driven(JsonValue in) {
        boolean look = in.get("kind").text().equals("look");
        JsonValue named = in.get("id") == null ? in.get(look ? "look" : "dial") : in.get("id");
        return look ? new Driven.OfLook(named.text()) : new Driven.OfDial(named.text());
    }

    /** @param all links, as characters hold them */
    @JSExport
    public void links(JSObject all) {
        JsValue in = new JsValue(all);
        List<SignalLink> read = new ArrayList<>();
        for (int i = 0; i < in.size(); i++) {
            JsonValue l = in.at(i);
            read.add(new SignalLink(
                    Signal.valueOf(l.get("signal").text()),
                    driven(l.get("drives")),
                    l.get("by").number(),
                    l.get("least").number(),
                    l.get("most").number()));
        }
        links = read;
    }

    /** @param asked {@code neutral} by the signals' words, {@code cutoff} and {@code beta} or neither, {@code mirrored}, {@code holds} */
    @JSExport
    public void settings(JSObject asked) {
        JsValue in = new JsValue(asked);
        JsonValue cutoff = in.get("cutoff");
        settings = new PerformerSettings(
                signals(in.get("neutral")),
                cutoff == null
                        ? Optional.empty()
                        : Optional.of(new OneEuroFilter(
                                cutoff.number(), in.get("beta").number())),
                in.get("mirrored").truth(),
                in.get("holds").truth());
    }

    /** Signals by their words; words nobody knows and what is no number are left out. */
    private static Map<Signal, Double> signals(JsonValue in) {
        Map<Signal, Double> all = new EnumMap<>(Signal.class);
        for (String word : in.names()) {
            Optional<Signal> signal = Signal.of(word);
            JsonValue value = in.get(word);
            if (signal.isPresent() && value != null && Double.isFinite(value.number())) {
                all.put(signal.get(), value.number());
            }
        }
        return all;
    }

    /** @param at seconds, on the page's clock */
    @JSExport
    public void hears(double at, JSObject signals) {
        Map<Signal, Double> all = signals(new JsValue(signals));
        told.putAll(all);
        now = now.hears(new PerformerSample(at, all), settings);
    }

    /**
     * A face in a camera's picture. The first one that is seen counts as the neutral pose until another is taken.
     *
     * @param at seconds, on the page's clock
     * @param numbers x, y and z of 478 points, as shares of the picture
     */
    @JSExport
    public void sees(double at, double[] numbers, double width, double height) {
        face = FaceLandmarks.of(numbers, width, height);
        if (restingFace == null) {
            restingFace = face;
        }
        Map<Signal, Double> all = face.signals(restingFace);
        told.putAll(all);
        now = now.hears(new PerformerSample(at, all), settings);
    }

    /** The face as it is seen now is at rest. */
    @JSExport
    public void restsNow() {
        restingFace = face;
    }

    /** What was told last, as it was told: a neutral pose, when the face is at rest. */
    @JSExport
    public JSObject told() {
        JsSink out = new JsSink();
        out.begin();
        told.forEach((s, v) -> PageLive.number(out, s.word(), v));
        out.end();
        return out.whole();
    }

    /** Where all that is driven stands at a moment, and how far each signal is from neutral. */
    @JSExport
    public JSObject now(double at) {
        now = now.waits(at, settings).blinks(links, targets, Double.isNaN(moved) ? 0 : Math.max(0, at - moved));
        moved = at;
        Map<Driven, Double> driven = now.drives(links, targets);
        JsSink out = new JsSink();
        out.begin();
        out.name("dials");
        out.begin();
        driven.forEach((what, v) -> {
            if (what instanceof Driven.OfDial d) {
                PageLive.number(out, d.dial(), Math.round(v * 1e4) / 1e4);
            }
        });
        out.end();
        out.name("looks");
        out.begin();
        driven.forEach((what, v) -> {
            if (what instanceof Driven.OfLook l) {
                PageLive.number(out, l.look(), Math.round(v * 1e4) / 1e4);
            }
        });
        out.end();
        out.name("signals");
        out.begin();
        now.signals().forEach((s, v) -> PageLive.number(out, s.name(), v));
        out.end();
        PageLive.number(out, "lostFor", Math.min(1e6, now.lostFor(at)));
        PageLive.number(out, "there", now.there());
        out.end();
        return out.whole();
    }
}
