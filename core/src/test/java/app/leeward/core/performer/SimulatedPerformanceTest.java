package app.leeward.core.performer;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalSource;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SimulatedPerformanceTest {
    @ParameterizedTest
    @EnumSource
    void itTellsEverySignalOfAFaceWithinItsRangeAndWithoutJumpsAHeadCannotMake(SimulatedPerformance p) {
        Map<Signal, Double> before = p.at(0);
        for (double t = 0; t < 3 * p.seconds(); t += 1 / 60.0) {
            Map<Signal, Double> now = p.at(t);
            assertThat(now.keySet()).containsExactlyElementsOf(SignalSource.FACE.signals());
            now.forEach((s, v) -> assertThat(v).as("%s", s).isBetween(s.from(), s.to()));
            for (Signal head : List.of(Signal.HEAD_YAW, Signal.HEAD_PITCH, Signal.HEAD_ROLL)) {
                // heads turn by some 400 degrees a second at most in conversation
                assertThat(Math.abs(now.get(head) - before.get(head)))
                        .as("%s at %.2f", head, t)
                        .isLessThan(400 / 60.0);
            }
            before = now;
        }
    }

    @ParameterizedTest
    @EnumSource
    void itBlinksAsOftenAsPeopleDo(SimulatedPerformance p) {
        int blinks = 0;
        boolean shut = false;
        for (double t = 0; t < p.seconds(); t += 1 / 60.0) {
            boolean now = p.at(t).get(Signal.AU45) >= 0.99;
            blinks += now && !shut ? 1 : 0;
            shut = now;
        }
        // 10 to 32 a minute, rest to lively talk: Bentivoglio et al. 1997
        assertThat(blinks * 60 / p.seconds()).isBetween(10.0, 32.0);
    }
}
