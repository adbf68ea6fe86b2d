package app.leeward.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.mouth.MoodSpan;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.shot.DeliveryEdit;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Tracks;
import app.leeward.formats.ActedMaren;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Rows as RFC 4180 has them, taken apart by a reader written after its grammar. */
class ExposureCsvTest {
    private static List<List<String>> read(String csv) {
        List<List<String>> rows = new ArrayList<>();
        List<String> row = new ArrayList<>();
        StringBuilder cell = new StringBuilder();
        boolean quoted = false;
        for (int i = 0; i < csv.length(); i++) {
            char c = csv.charAt(i);
            if (quoted && c == '"' && i + 1 < csv.length() && csv.charAt(i + 1) == '"') {
                cell.append(c);
                i++;
            } else if (c == '"') {
                quoted = !quoted;
            } else if (!quoted && (c == ',' || c == '\r')) {
                row.add(cell.toString());
                cell.setLength(0);
                if (c == '\r') {
                    rows.add(row);
                    row = new ArrayList<>();
                    i++;
                }
            } else {
                cell.append(c);
            }
        }
        return rows;
    }

    private static String at(List<List<String>> rows, int frame, String column) {
        return rows.get(frame).get(rows.get(0).indexOf(column));
    }

    @Test
    void aRowAFrameWithWhatIsHeardShownAndActed() {
        Shot shot = new ShotEdit.Expose(2, 0, 1).apply(ActedMaren.shot());
        List<List<String>> rows = read(ExposureCsv.write(ActedMaren.playhead(shot)));
        assertThat(rows).hasSize(37);
        String dial = ActedMaren.DIAL.name() + " (" + ActedMaren.DIAL.unit() + ")";
        String unit = ActedMaren.DIAL.unit().isEmpty() ? ActedMaren.DIAL.name() : dial;
        assertThat(rows.get(0))
                .startsWith("frame", "seconds", "word", "phone", "class", "heard", "mouth", "pinned", unit)
                .contains("left hand", "blinks", "looks", "notes")
                .doesNotContain("cues", "runs")
                .endsWith("begins here");
        assertThat(rows).allMatch(r -> r.size() == rows.get(0).size());
        assertThat(rows.get(4).subList(0, 4)).containsExactly("4", "0.125", "ma", "M");
        assertThat(at(rows, 9, "word")).as("between the two words").isEqualTo("ma");
        // keyed from frame 3 to 13 in equal steps; on twos a frame shows what the one before it was photographed with
        double from = ActedMaren.DIAL.from();
        double span = ActedMaren.DIAL.to() - from;
        assertThat(Double.parseDouble(at(rows, 8, unit))).isEqualTo(from + span * 0.4);
        assertThat(at(rows, 7, unit)).isEqualTo(at(rows, 8, unit));
        assertThat(at(rows, 13, "begins here")).contains(ActedMaren.DIAL.name());
        assertThat(at(rows, 12, "begins here")).isEmpty();
        assertThat(at(rows, 7, "left hand")).isEqualTo("fist");
        assertThat(at(rows, 6, "left hand")).isEmpty();
        assertThat(at(rows, 19, "left hand")).isEmpty();
        assertThat(at(rows, 21, "blinks")).isEqualTo("0 % shut");
        assertThat(at(rows, 25, "blinks")).isEqualTo("67 % shut");
        assertThat(at(rows, 20, "looks")).endsWith(" 100 %");
    }

    @Test
    void namesThatASpreadsheetWouldRunAreMadeHarmlessAndNumbersStayNumbers() {
        List<List<String>> rows = read(ExposureCsv.write(ActedMaren.playhead(ActedMaren.shot())));
        assertThat(at(rows, 9, "notes")).isEqualTo("'=Colder, please (Ida)");
        assertThat(rows.get(1).get(8)).isEqualTo("-45");
    }

    /** A mouth that is pinned shows another class than the one that is heard, and both are told. */
    @Test
    void theClassIsTheOneThatIsShownWithTheOneThatIsHeardBesideIt() {
        Shot acted = ActedMaren.shot();
        MouthChart chart =
                ActedMaren.playhead(acted).evaluator().character().voice().mouths();
        String wide = chart.drawn().get(Viseme.AH);
        Shot shot = new DeliveryEdit.FeelAlong(new MoodSpan(20, 24, ""))
                .apply(new ShotEdit.PinMouth(3, 3, wide).apply(new ShotEdit.Expose(1, 0, 1).apply(acted)));
        List<List<String>> rows = read(ExposureCsv.write(ActedMaren.playhead(shot)));
        assertThat(at(rows, 4, "phone")).isEqualTo("M");
        assertThat(at(rows, 4, "heard")).isEqualTo("1");
        assertThat(at(rows, 4, "class")).isEqualTo("10");
        assertThat(at(rows, 4, "pinned")).isEqualTo("yes");
        assertThat(rows.subList(1, rows.size()))
                .filteredOn(r -> r.get(rows.get(0).indexOf("pinned")).isEmpty())
                .allMatch(r -> !r.get(4).isEmpty());
        assertThat(at(rows, 21, "mood")).isEqualTo("neutral");
        assertThat(at(rows, 25, "mood")).isEmpty();
    }

    @Test
    void aShotWithoutWordsOrActingHasItsFrames() {
        Shot shot = Shot.silent("still", TrackRules.at(24), 5).withTracks(Tracks.EMPTY);
        List<List<String>> rows = read(ExposureCsv.write(ActedMaren.playhead(shot)));
        assertThat(rows).hasSize(6);
        assertThat(rows.get(5).get(0)).isEqualTo("5");
        assertThat(rows.get(5).get(2)).isEmpty();
    }
}
