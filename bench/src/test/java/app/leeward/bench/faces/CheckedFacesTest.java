package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Faces nobody has seen, checked whole: what is planted is found, and what is called safe keeps its promise. */
class CheckedFacesTest {
    private static final long FIRST = 7_300;
    private static final int FACES = 12;

    @Test
    void whatIsPlantedIsFoundAndWhatIsSafeHarmsNothing() {
        int safe = 0;
        for (long seed = FIRST; seed < FIRST + FACES; seed++) {
            Optional<CheckedFaces.Checked> checked = CheckedFaces.checked(seed);
            if (checked.isPresent()) {
                assertThat(checked.get().missed()).as("seed %d", seed).isEmpty();
                assertThat(checked.get().broken()).as("seed %d", seed).isEmpty();
                safe += checked.get().safe();
            }
        }
        assertThat(safe).isPositive();
    }
}
