package app.leeward.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.dial.Ease;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.Way;
import app.leeward.demo.DemoFiles;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Curves of stops and keys against the browser's own progress of an animation with the same curve, at a thousand points each. */
class EasingTest extends Story {
    private static final int POINTS = 1000;
    private static final double[][] CURVES = {
        {0.42, 0, 0.58, 1}, {0.25, 0.1, 0.25, 1}, {0.9, -0.4, 0.1, 1.6}, {0, 0, 1, 1}, {1, 0, 0, 1}, {0.2, 0.9, 0.3, 1}
    };

    @SuppressWarnings("unchecked")
    private List<Number> browsers(double[] curve) {
        return (List<Number>) page.evaluate(
                "([c, n]) => { const a = document.body.animate([{opacity: 1}, {opacity: 1}], {duration: 1000, fill: 'both',"
                        + " easing: `cubic-bezier(${c.join(',')})`}); a.pause(); const out = [];"
                        + " for (let i = 0; i <= n; i++) { a.currentTime = i * 1000 / n; out.push(a.effect.getComputedTiming().progress); }"
                        + " a.cancel(); return out; }",
                List.of(Arrays.stream(curve).boxed().toList(), POINTS));
    }

    @Test
    void easingsOfStopsAndOfKeysAreTheBrowsersOwn() throws Exception {
        Evaluator face =
                new Evaluator(RiggedFace.of(DemoFiles.maren()).orElseThrow().character());
        for (double[] c : CURVES) {
            Ease.Curve ours = new Ease.Curve(c[0], c[1], c[2], c[3]);
            Shot keyed = new ActingEdit.SetKeys(Map.of(
                            "turn",
                            List.of(
                                    new DialKey(0, 0, new Way.Curve(c[0], c[1], c[2], c[3])),
                                    new DialKey(POINTS, 1, Way.HOLD))))
                    .apply(Shot.silent("eased", TrackRules.at(24), POINTS + 1));
            double[] values = new Playhead(face, keyed).valuesOf("turn");
            List<Number> theirs = browsers(c);
            for (int i = 0; i <= POINTS; i++) {
                double x = (double) i / POINTS;
                double browser = theirs.get(i).doubleValue();
                assertThat(ours.at(x)).as("%s at %s", ours, x).isCloseTo(browser, within(1e-4));
                assertThat(values[i]).as("a key's way, %s at %s", ours, x).isCloseTo(browser, within(1e-4));
            }
        }
    }
}
