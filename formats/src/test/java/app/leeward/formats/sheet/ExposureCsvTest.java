package app.leeward.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ExposureCsvTest {
    private static final DialogueLine LINE = new DialogueLine(
            "ma",
            "h",
            0.25,
            List.of(),
            List.of(new TimedPhone(Phone.M, 0.05, 0.1), new TimedPhone(Phone.AA, 0.1, 0.2)),
            List.of(),
            0);

    @Test
    void aRowAFrameWithWhatIsHeardAndShown() {
        MouthChart chart = new MouthChart(Optional.of("m"), Map.of(Viseme.PBM, "closed", Viseme.AH, "wide, open"));
        Shot shot = new Shot("ma", LINE, new TrackRules(24, 1, 0, 1), Map.of(5, "closed"));
        String[] rows = ExposureCsv.write(shot, Optional.of(shot.mouths(chart))).split("\r\n");
        assertThat(rows).hasSize(7);
        assertThat(rows[0]).isEqualTo("frame,seconds,phone,class,drawing,pinned");
        assertThat(rows[1]).isEqualTo("1,0.000,,0,closed,");
        assertThat(rows[2]).isEqualTo("2,0.042,M,1,closed,");
        assertThat(rows[4]).isEqualTo("4,0.125,AA,10,\"wide, open\",");
        assertThat(rows[6]).startsWith("6,0.208,").endsWith(",closed,yes");
    }

    @Test
    void namesThatASpreadsheetWouldRunAreMadeHarmless() {
        MouthChart chart = new MouthChart(Optional.of("m"), Map.of(Viseme.REST, "=1+2"));
        Shot shot = new Shot("ma", LINE, TrackRules.at(24), Map.of());
        assertThat(ExposureCsv.write(shot, Optional.of(shot.mouths(chart))))
                .contains(",'=1+2,")
                .doesNotContain(",=1+2");
    }

    @Test
    void aCharacterWithoutAMouthStillGetsItsSounds() {
        Shot shot = new Shot("ma", LINE, TrackRules.at(24), Map.of());
        assertThat(ExposureCsv.write(shot, Optional.empty())).contains("2,0.042,M,,,");
    }
}
