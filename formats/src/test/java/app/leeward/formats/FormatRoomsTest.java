package app.leeward.formats;

import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.leeward.core.refusal.Refusal;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Option;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

@AnalyzeClasses(packages = "app.leeward.formats", importOptions = ImportOption.DoNotIncludeTests.class)
class FormatRoomsTest {
    private static final List<Option> WIDTH = List.of(new Option("width", "Width", "pixels", 1, 4000, 1280));

    @ArchTest
    static final ArchRule roomsDoNotGoInCircles =
            slices().matching("app.leeward.formats.(*)..").should().beFreeOfCycles();

    @Test
    void exportersHaveIdsOfTheirOwn() {
        assertThat(Exporter.all())
                .extracting(e -> e.format().id())
                .doesNotHaveDuplicates()
                .allMatch(id -> id.matches("[a-z]+(-[a-z]+)*"))
                .contains("picture-svg", "exposure-csv", "mouth-chart-svg");
    }

    @Test
    void whatIsNotChosenIsAsUsualAndNothingElseIsTaken() {
        assertThat(Choices.of(WIDTH, Map.of()).number("width")).isEqualTo(1280);
        assertThat(Choices.of(WIDTH, Map.of("width", 300.0)).number("width")).isEqualTo(300);
        for (Map<String, Double> bad :
                List.of(Map.of("width", 0.0), Map.of("width", Double.NaN), Map.of("height", 5.0))) {
            Assertions.assertThatExceptionOfType(Refusal.class).isThrownBy(() -> Choices.of(WIDTH, bad));
        }
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Choices.of(WIDTH, Map.of()).number("depth"));
    }
}
