package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Heads drawn turned are told from heads drawn from the front. The bench takes hundreds: {@code ./leeward bench drawn 300}. */
class DrawnHeadsTest {
    private static final int HEADS = 20;

    @Test
    void theAngleAHeadWasDrawnAtIsFoundAndNoneWhereItLooksToTheFront() throws Exception {
        List<DrawnHeads.Tried> all = new ArrayList<>();
        for (long seed = 401; seed < 401 + HEADS; seed++) {
            DrawnHeads.tried(seed).ifPresent(all::add);
        }
        assertThat(all).hasSizeGreaterThan(HEADS / 2);
        assertThat(all)
                .allSatisfy(t -> assertThat(t.atFront()).as("from the front").isZero());
        List<DrawnHeads.Tried> found = all.stream().filter(t -> t.found() != 0).toList();
        assertThat(found).hasSizeGreaterThan(all.size() * 7 / 10);
        assertThat(found).allSatisfy(t -> assertThat(t.found()).isBetween(DrawnHeads.DRAWN - 8, DrawnHeads.DRAWN + 8));
        assertThat(all)
                .allSatisfy(
                        t -> assertThat(t.off()).as("an eye, back at the front").isLessThan(0.06));
    }
}
