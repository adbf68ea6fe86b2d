package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.ShapeRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the trade calls the shapes of a mouth. */
class ShapeNamesTest {
    @ParameterizedTest
    @CsvSource({
        "mouth line, OUTLINE",
        "lip_line, OUTLINE",
        "Outline, OUTLINE",
        "chin line, OTHER",
        "Chin_Line 2, OTHER",
        "cheek line, OTHER",
        "cheek-crease, OTHER",
        "dimple line, OTHER",
        "jaw outline, OTHER",
        "upper teeth, UPPER_TEETH",
        "teeth bottom, LOWER_TEETH",
        "mouth inside, INSIDE",
        "mouth mask, WINDOW",
        "tongue, TONGUE",
        "lower beak, LOWER_BEAK"
    })
    void aNameTellsTheRole(String name, ShapeRole role) {
        assertThat(ShapeNames.read(name)).contains(role);
    }

    @Test
    void aNameThatSaysNothingTellsNone() {
        assertThat(ShapeNames.read("path 4711")).isEmpty();
        assertThat(ShapeNames.read("")).isEmpty();
    }
}
