package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Faces nobody has seen take from each other: nothing of theirs is lost, and nothing that was taken is offered again. */
class TakenFacesTest {
    private static final long FIRST = 8_100;
    private static final int PAIRS = 16;

    @Test
    void whatIsTakenKeepsThePromises() {
        int offered = 0;
        for (long seed = FIRST; seed < FIRST + PAIRS; seed++) {
            Optional<TakenFaces.Tried> tried = TakenFaces.tried(seed);
            if (tried.isPresent()) {
                assertThat(tried.get().broken()).as("seed %d", seed).isEmpty();
                offered += tried.get().offered();
            }
        }
        assertThat(offered).isGreaterThan(100);
    }
}
