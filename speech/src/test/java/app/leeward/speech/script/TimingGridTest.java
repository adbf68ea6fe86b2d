package app.leeward.speech.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.speech.SpeechProblem;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TimingGridTest {
    /** The same grid in both forms, laid out as Praat's manual, "TextGrid file formats", has them. */
    private static final String LONG =
            """
            File type = "ooTextFile"
            Object class = "TextGrid"

            xmin = 0
            xmax = 1.5
            tiers? <exists>
            size = 3
            item []:
                item [1]:
                    class = "IntervalTier"
                    name = "Mary"
                    xmin = 0
                    xmax = 1.5
                    intervals: size = 3
                    intervals [1]:
                        xmin = 0
                        xmax = 0.5
                        text = ""
                    intervals [2]:
                        xmin = 0.5
                        xmax = 0.9
                        text = "AH0"
                    intervals [3]:
                        xmin = 0.9
                        xmax = 1.5
                        text = "ø"
                item [2]:
                    class = "TextTier"
                    name = "bell"
                    xmin = 0
                    xmax = 1.5
                    points: size = 1
                    points [1]:
                        number = 1
                        mark = "ding"
                item [3]:
                    class = "IntervalTier"
                    name = "words"
                    xmin = 0
                    xmax = 1.5
                    intervals: size = 2
                    intervals [1]:
                        xmin = 0
                        xmax = 0.5
                        text = "sil"
                    intervals [2]:
                        xmin = 0.5
                        xmax = 1.5
                        text = "say ""oh""\"
            """;

    private static final String SHORT =
            """
            File type = "ooTextFile short"
            "TextGrid"

            0
            1.5
            <exists>
            3
            "IntervalTier"
            "Mary"
            0
            1.5
            3
            0
            0.5
            ""
            0.5
            0.9
            "AH0"
            0.9
            1.5
            "ø"
            "TextTier"
            "bell"
            0
            1.5
            1
            1
            "ding"
            "IntervalTier"
            "words"
            0
            1.5
            2
            0
            0.5
            "sil"
            0.5
            1.5
            "say ""oh""\"
            """;

    @ParameterizedTest
    @ValueSource(strings = {LONG, SHORT})
    void bothFormsAreTheSameGrid(String text) {
        TimingGrid grid = TimingGrid.read(text);
        assertThat(grid.seconds()).isEqualTo(1.5);
        assertThat(grid.tiers()).extracting(TimingGrid.Tier::name).containsExactly("Mary", "words");
        assertThat(grid.tiers().get(0).intervals())
                .containsExactly(
                        new TimingGrid.Interval(0, 0.5, ""),
                        new TimingGrid.Interval(0.5, 0.9, "AH0"),
                        new TimingGrid.Interval(0.9, 1.5, "ø"));
        assertThat(grid.tiers().get(1).intervals().get(1).label()).isEqualTo("say \"oh\"");
    }

    @Test
    void itBecomesALineWhoseEdgesAreHeld() {
        DialogueLine line = TimedLine.of(TimingGrid.read(LONG), 0, Optional.of(1), Map.of("ø", Phone.ER), "hash", 1.4);
        assertThat(line.phones())
                .containsExactly(new TimedPhone(Phone.AH, 0.5, 0.9), new TimedPhone(Phone.ER, 0.9, 1.4));
        assertThat(line.words()).containsExactly(new TimedWord("say \"oh\"", 0.5, 1.4, 0));
        assertThat(line.held()).containsExactly(0.5, 0.9, 1.4);
        assertThat(line.fits()).isTrue();
        // what nobody knows is silence
        assertThat(TimedLine.of(TimingGrid.read(LONG), 0, Optional.empty(), Map.of(), "hash", 1.5)
                        .phones())
                .hasSize(1);
    }

    @Test
    void labelsOfOtherProgramsAreUnderstood() {
        assertThat(SoundLabels.sound("ae1")).contains(Phone.AE);
        assertThat(SoundLabels.sound("ˈiː")).contains(Phone.IY);
        assertThat(SoundLabels.sound("t͡ʃ")).contains(Phone.CH);
        assertThat(SoundLabels.sound("ə")).contains(Phone.AH);
        assertThat(SoundLabels.sound("pʰ")).contains(Phone.P);
        assertThat(SoundLabels.sound("ʘ")).isEmpty();
        assertThat(List.of("", "SIL", "<p:>", "sp")).allMatch(SoundLabels::silent);
        for (Phone p : Phone.values()) {
            assertThat(SoundLabels.sound(p.ipa())).as(p.ipa()).contains(p);
        }
    }

    private static void refused(String text, String code, String told) {
        assertThatThrownBy(() -> TimingGrid.read(text))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo(code))
                .hasMessageContaining(told);
    }

    @Test
    void whatIsBrokenIsRefusedWithItsPlace() {
        refused("hello", "grid-not", "ooTextFile");
        refused(LONG.substring(0, 600), "grid-broken", "ends too early");
        refused(LONG.replace("xmax = 0.9", "xmax = 0.4"), "grid-broken", "does not follow");
        refused(LONG.replace("intervals: size = 3", "intervals: size = 3.5"), "grid-broken", "line 14");
        refused(LONG.replace("\"TextGrid\"", "\"PitchTier\""), "grid-broken", "another kind");
        refused(LONG + " ".repeat(900_000), "grid-long", "letters");
        TimingGrid grid = TimingGrid.read(LONG);
        assertThatThrownBy(() -> TimedLine.of(grid, 0, Optional.empty(), Map.of(), "h", 0.9))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("grid-length"));
        assertThatThrownBy(() -> TimedLine.of(grid, 2, Optional.empty(), Map.of(), "h", 2))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("grid-tier"));
        assertThatThrownBy(() -> TimedLine.of(grid, 1, Optional.empty(), Map.of(), "h", 2))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("grid-silent"));
    }

    @Test
    void aTableOfTiersOrOfSoundsWithTheirWordsIsTheSame() {
        TimingGrid tiers = TimingGrid.read(
                """
                tier,start,end,label
                words,0.5,1.5,"say ""oh"" "
                sounds,0.5,0.9,AH0
                sounds,0:00.9,0:01.5,ø
                """);
        assertThat(tiers.seconds()).isEqualTo(1.5);
        assertThat(tiers.tiers()).extracting(TimingGrid.Tier::name).containsExactly("words", "sounds");
        TimingGrid sounds =
                TimingGrid.read("\uFEFFStart;End;Phone;Word\n0,5;0,9;HH;hoy\n0,9;1,5;OY;hoy\n1,5;2;sil;\n;;;\n");
        assertThat(sounds.tiers().get(0).intervals())
                .containsExactly(
                        new TimingGrid.Interval(0.5, 0.9, "HH"),
                        new TimingGrid.Interval(0.9, 1.5, "OY"),
                        new TimingGrid.Interval(1.5, 2, "sil"));
        assertThat(sounds.tiers().get(1).intervals())
                .containsExactly(new TimingGrid.Interval(0.5, 1.5, "hoy"), new TimingGrid.Interval(1.5, 2, ""));
        assertThat(TimedLine.of(sounds, 0, Optional.of(1), Map.of(), "hash", 2).words())
                .containsExactly(new TimedWord("hoy", 0.5, 1.5, 0));
    }

    @Test
    void aTableThatIsNoneOrBrokenIsRefusedWithItsPlace() {
        refused("start,end,text\n0,1,Hello there", "grid-not", "names its columns");
        refused("start,end,sound\n0,1,AH\n0.5,2,B", "grid-broken", "line 3");
        refused("start,end,sound\n1,1,AH", "grid-broken", "line 2");
        refused("start,end,sound\n0,soon,AH", "grid-broken", "'soon' is no time");
        refused("start,end,sound\n", "grid-broken", "no rows");
        refused("start,end,sound\n0,1,\"AH", "grid-broken", "cannot be read");
    }
}
