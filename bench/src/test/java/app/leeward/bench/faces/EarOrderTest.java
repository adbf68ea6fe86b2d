package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is nearer is drawn later. The bench takes hundreds: {@code ./leeward bench order 500}. */
class EarOrderTest {
    private static final int HEADS = 16;

    @Test
    void earsLieBeforeTheFaceOrBehindItAsTheirDepthsSay() throws Exception {
        int compared = 0;
        List<String> wrong = new ArrayList<>();
        for (long seed = 301; seed < 301 + HEADS; seed++) {
            EarOrder.Order order = EarOrder.order(seed);
            compared += order.compared();
            wrong.addAll(order.wrong());
        }
        assertThat(compared).isGreaterThan(HEADS / 2);
        assertThat(wrong).isEmpty();
    }
}
