package app.leeward.formats.svg;

import app.leeward.core.art.Numbers;
import app.leeward.core.motion.Decomposed;
import app.leeward.core.motion.Motion;
import app.leeward.core.motion.MotionLayer;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * How attributes change along a motion, as SVG 1.1's own animation elements (SMIL): every value stands until the next exposure.
 */
final class Smil {
    private static final String IDENTITY_SCALE = "1 1";

    private final Motion motion;
    private final String timing;

    /** @param times how often it is played; 0 for over and over */
    Smil(Motion motion, int times) {
        this.motion = motion;
        this.timing = "\" dur=\"" + down((double) motion.frames() / motion.frameRate()) + "s\" repeatCount=\""
                + (times == 0 ? "indefinite" : times) + "\" fill=\"freeze\"/>";
    }

    /** Six decimals, rounded down: the moment of a frame must not come late by a rounding. */
    private static String down(double value) {
        return precise(Math.floor(1e6 * value) / 1e6);
    }

    /**
     * @param values one for each exposure; null where it does not matter
     * @return the element, or nothing when it stays the same
     */
    String attribute(String name, List<String> values) {
        String changes = changes(values);
        return changes.isEmpty() ? "" : "<animate attributeName=\"" + name + changes;
    }

    /** Whether it is seen; nothing when it always is. */
    String display(MotionLayer layer) {
        return attribute(
                "display",
                layer.states().stream().map(s -> s == null ? "none" : "inline").toList());
    }

    String opacity(MotionLayer layer) {
        return attribute("opacity", each(layer, s -> Numbers.text(s.opacity())));
    }

    /** Its placement, as steps that follow each other; nothing when it stays where it is. */
    String placement(MotionLayer layer) {
        if (layer.seen().map(MotionLayer.State::matrix).distinct().count() == 1) {
            return "";
        }
        List<Decomposed> steps = layer.states().stream()
                .map(s -> s == null ? null : Decomposed.of(s.matrix()))
                .toList();
        // the first one replaces, the others are multiplied to it in the order they are written in
        return step("translate", steps, d -> Numbers.text(d.x()) + " " + Numbers.text(d.y()), "", "replace")
                + step("rotate", steps, d -> Numbers.text(d.rotation()), "0", "sum")
                + step("skewX", steps, d -> Numbers.text(d.skew()), "0", "sum")
                + step("scale", steps, d -> precise(d.scaleX()) + " " + precise(d.scaleY()), IDENTITY_SCALE, "sum");
    }

    private static String precise(double v) {
        return Decimals.plain(v, 6);
    }

    private String step(
            String type, List<Decomposed> steps, Function<Decomposed, String> value, String none, String additive) {
        List<String> values =
                steps.stream().map(d -> d == null ? null : value.apply(d)).toList();
        if (values.stream().filter(Objects::nonNull).allMatch(none::equals)) {
            return "";
        }
        String changes = changes(values);
        String first = values.stream().filter(Objects::nonNull).findFirst().orElseThrow();
        return "<animateTransform attributeName=\"transform\" type=\"" + type + "\" additive=\"" + additive
                + (changes.isEmpty() ? "\" values=\"" + first + timing : changes);
    }

    private static List<String> each(MotionLayer layer, Function<MotionLayer.State, String> value) {
        return layer.states().stream()
                .map(s -> s == null ? null : value.apply(s))
                .toList();
    }

    /** Values and key times, the closing quote of the attribute before included; empty when nothing changes. */
    private String changes(List<String> values) {
        List<String> kept = new ArrayList<>();
        List<Integer> from = new ArrayList<>();
        for (int e = 0; e < values.size(); e++) {
            String v = values.get(e);
            if (v != null && (kept.isEmpty() || !kept.get(kept.size() - 1).equals(v))) {
                // what is not seen at first may be anything
                from.add(kept.isEmpty() ? 0 : motion.starts().get(e));
                kept.add(v);
            }
        }
        if (kept.size() < 2) {
            return "";
        }
        return "\" calcMode=\"discrete\" values=\"" + String.join(";", kept) + "\" keyTimes=\""
                + from.stream().map(this::share).collect(Collectors.joining(";")) + timing;
    }

    /** A frame's moment as a share of the whole. */
    private String share(int frame) {
        return down((double) frame / motion.frames());
    }
}
