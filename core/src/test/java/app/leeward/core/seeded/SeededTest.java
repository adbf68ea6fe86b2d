package app.leeward.core.seeded;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.platform.testkit.engine.EventConditions.event;
import static org.junit.platform.testkit.engine.EventConditions.finishedWithFailure;
import static org.junit.platform.testkit.engine.EventConditions.test;
import static org.junit.platform.testkit.engine.TestExecutionResultConditions.message;

import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.platform.engine.discovery.DiscoverySelectors;
import org.junit.platform.testkit.engine.EngineTestKit;

class SeededTest {
    private enum Side {
        LEFT,
        RIGHT
    }

    private static final Set<Object> SEEN = new HashSet<>();

    static class Examples {
        @Seeded(tries = 400)
        void within(
                @Between(min = -2, max = 3) double number, @Between(min = 1, max = 3) int count, Side side, long seed) {
            assertThat(number).isBetween(-2.0, 3.0);
            assertThat(count).isBetween(1, 3);
            SEEN.add(count);
            SEEN.add(side);
            SEEN.add(number == -2 ? "least" : number == 3 ? "most" : number == 0 ? "nothing" : "between");
        }

        @Seeded
        void fails(@Between(min = 0, max = 100) double number) {
            assertThat(number).isLessThan(90);
        }
    }

    @Test
    void drawsAllOfItsRangesAndTellsWhatFails() {
        EngineTestKit.engine("junit-jupiter")
                .selectors(DiscoverySelectors.selectClass(Examples.class))
                .execute()
                .testEvents()
                .assertThatEvents()
                .haveExactly(
                        1,
                        event(
                                test("fails"),
                                finishedWithFailure(message(m -> m.startsWith("with [9") && m.contains("seed ")))))
                .haveExactly(
                        1,
                        event(
                                test("within"),
                                org.junit.platform.testkit.engine.EventConditions.finishedSuccessfully()));
        assertThat(SEEN).contains(1, 2, 3, Side.LEFT, Side.RIGHT, "least", "most", "nothing", "between");
    }
}
