package app.leeward.speech.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.speech.SpeechProblem;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ScriptReaderTest {
    private static ScriptLine line(int place, String speaker, String cue, String words) {
        return new ScriptLine(place, speaker, cue, Optional.empty(), words);
    }

    @Test
    void aLineToALineWithoutAnythingElse() {
        assertThat(ScriptReader.read("The boat leaves at seven.\n\nMind the ropes!\r\n"))
                .containsExactly(line(1, "", "", "The boat leaves at seven."), line(3, "", "", "Mind the ropes!"));
    }

    @Test
    void speakersAndCueNumbersAreNotSpoken() {
        assertThat(
                        ScriptReader.read(
                                "12. MAREN: The boat leaves at seven.\n12a) WICK (off): Mind the ropes!\n[SC-013] PILCHARD: Mrrr."))
                .containsExactly(
                        line(1, "MAREN", "12", "The boat leaves at seven."),
                        line(2, "WICK", "12a", "Mind the ropes!"),
                        line(3, "PILCHARD", "SC-013", "Mrrr."));
    }

    @Test
    void aWordBeforeAColonIsASpeakerOnlyWhereMostLinesHaveOne() {
        assertThat(ScriptReader.read("Listen: it is raining.\nWe stay at home.\nAll of us."))
                .extracting(ScriptLine::speaker)
                .containsOnly("");
        assertThat(ScriptReader.read("Maren: it is raining.\nWick: We stay at home."))
                .extracting(ScriptLine::speaker)
                .containsExactly("Maren", "Wick");
    }

    @Test
    void aNameAboveWhatIsSaidAndDirections() {
        assertThat(
                        ScriptReader.read(
                                "INT. BOAT SHED\n\nMAREN (whispering)\nThe boat leaves\nat seven.\n\n(She sits down.)\n\nWICK\nOh."))
                .contains(line(4, "MAREN", "", "The boat leaves at seven."), line(10, "WICK", "", "Oh."));
    }

    @Test
    void numbersThatAreSpokenStay() {
        assertThat(ScriptReader.read("10 men went out.\nSeven came back."))
                .extracting(ScriptLine::words)
                .containsExactly("10 men went out.", "Seven came back.");
    }

    /** The example of the W3C's WebVTT recommendation, section 1.2, shortened. */
    @Test
    void webVtt() {
        List<ScriptLine> lines = ScriptReader.read(
                """
                WEBVTT

                NOTE nobody says this

                00:11.000 --> 00:13.000
                <v Roger Bingham>We are in New York City

                second
                00:13.000 --> 00:16.000 line:0
                We're actually at the Lucern Hotel,
                just down the street
                """);
        assertThat(lines)
                .containsExactly(
                        new ScriptLine(
                                6,
                                "Roger Bingham",
                                "",
                                Optional.of(new ScriptLine.Times(11, 13)),
                                "<v Roger Bingham>We are in New York City"),
                        new ScriptLine(
                                10,
                                "",
                                "second",
                                Optional.of(new ScriptLine.Times(13, 16)),
                                "We're actually at the Lucern Hotel, just down the street"));
    }

    @Test
    void subRip() {
        assertThat(
                        ScriptReader.read(
                                "1\r\n00:00:01,500 --> 00:00:03,250\r\nMAREN: The boat <i>leaves</i>.\r\n\r\n2\r\n00:01:00,000 --> 01:00:02,000\r\nMind it!\r\n"))
                .containsExactly(
                        new ScriptLine(
                                3,
                                "MAREN",
                                "1",
                                Optional.of(new ScriptLine.Times(1.5, 3.25)),
                                "The boat <i>leaves</i>."),
                        new ScriptLine(7, "", "2", Optional.of(new ScriptLine.Times(60, 3602)), "Mind it!"));
    }

    @Test
    void tables() {
        assertThat(ScriptReader.read(
                        "Cue;Character;Line;In;Out\n7;Maren;\"The boat; it leaves.\";1,5;0:03\n8;Wick;Oh.;;\n"))
                .containsExactly(
                        new ScriptLine(
                                2, "Maren", "7", Optional.of(new ScriptLine.Times(1.5, 3)), "The boat; it leaves."),
                        line(3, "Wick", "8", "Oh."));
        assertThat(ScriptReader.read("text,speaker\n\"He said \"\"go\"\".\",Maren"))
                .containsExactly(line(2, "Maren", "", "He said \"go\"."));
    }

    @Test
    void whatCannotBeReadIsSaidWithItsPlace() {
        assertThatThrownBy(() -> ScriptReader.read("(laughs)\n\n[a door]"))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("script-none"));
        assertThatThrownBy(() -> ScriptReader.read("text,start,end\nHello there,soon,later"))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("script-time"))
                .hasMessageContaining("line 2")
                .hasMessageContaining("'soon'");
        assertThatThrownBy(() -> ScriptReader.read("text,speaker\n\"never closed,Maren"))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("script-table"));
        assertThatThrownBy(() -> ScriptReader.read("Hello there.\n".repeat(2001)))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("script-many"));
        assertThatThrownBy(() -> ScriptReader.read("a".repeat(400_001)))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("script-long"));
    }
}
