package app.leeward.formats.timing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.TimedWord;
import app.leeward.formats.ActedMaren;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

class TimingTest {
    private static final Playhead PLAYHEAD = ActedMaren.playhead(ActedMaren.shot());
    private static final ExportSource SOURCE = new ExportSource(
            ActedMaren.CHARACTER,
            PLAYHEAD.frameAt(0, Pose.REST),
            Optional.of(PLAYHEAD.shot()),
            Optional.of(PLAYHEAD),
            hash -> new byte[0],
            Optional::empty);

    private static Shot saying(String text, double... starts) {
        String[] typed = text.split(" ");
        List<TimedWord> words = new ArrayList<>();
        for (int i = 0; i < typed.length; i++) {
            words.add(new TimedWord(typed[i], starts[i], starts[i] + 0.3, 0));
        }
        DialogueLine line = new DialogueLine(text, "h", starts[starts.length - 1] + 1, words, List.of(), List.of(), 0);
        return new Shot("said", line, TrackRules.at(24), Map.of());
    }

    @Test
    void everyTierOfATextGridCoversAllOfTheTime() {
        String[] lines = TextGrid.text(PLAYHEAD).split("\n");
        assertThat(lines[0]).isEqualTo("File type = \"ooTextFile\"");
        List<String> names = new ArrayList<>();
        double at = Double.NaN;
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip();
            if (line.startsWith("name = ")) {
                names.add(line.substring(8, line.length() - 1));
                at = 0;
            } else if (line.startsWith("intervals [")) {
                double from = Double.parseDouble(lines[i + 1].strip().substring(7));
                double to = Double.parseDouble(lines[i + 2].strip().substring(7));
                assertThat(from).as("line %d", i).isEqualTo(at);
                assertThat(to).isGreaterThan(from);
                at = to;
            } else if (line.startsWith("item [") && !names.isEmpty()) {
                assertThat(at).isEqualTo(1.5);
            }
        }
        assertThat(at).isEqualTo(1.5);
        assertThat(names).containsExactly("words", "phones", "mouths");
        assertThat(TextGrid.text(PLAYHEAD)).contains("text = \"\"\"fee\"\"!\"");
    }

    /** The same stretches as the TextGrid has, without those that say nothing. */
    @Test
    void aTableOfTimesSaysWhatTheTextGridSays() throws Exception {
        Map<String, List<String>> rows = new LinkedHashMap<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (CSVParser table = CSVParser.parse(TimingCsv.text(PLAYHEAD), format)) {
            assertThat(table.getHeaderNames()).containsExactly("tier", "start", "end", "label");
            for (CSVRecord row : table) {
                assertThat(Double.parseDouble(row.get("end"))).isGreaterThan(Double.parseDouble(row.get("start")));
                rows.computeIfAbsent(row.get("tier"), t -> new ArrayList<>()).add(row.get("label"));
            }
        }
        Map<String, List<String>> grid = new LinkedHashMap<>();
        String tier = "";
        for (String line : TextGrid.text(PLAYHEAD).split("\n")) {
            String quoted = line.strip().replaceFirst("^[a-z]+ = ", "").replaceAll("^\"|\"$", "");
            if (line.strip().startsWith("name = ")) {
                tier = quoted;
            } else if (line.strip().startsWith("text = ") && !quoted.isEmpty()) {
                grid.computeIfAbsent(tier, t -> new ArrayList<>()).add(quoted.replace("\"\"", "\""));
            }
        }
        assertThat(rows).isEqualTo(grid);
    }

    @Test
    void captionsBreakAtPausesAndSentencesAndFoldInTwo() {
        assertThat(Captions.of(
                        saying("Well now my dear old captain. Where is it", 0, 0.3, 0.6, 0.9, 1.2, 1.5, 1.8, 2.1, 2.4)))
                .extracting(Timing.Span::text)
                .containsExactly("Well now my dear old captain.", "Where is it");
        assertThat(Captions.of(saying("Wait there", 0, 1.4)))
                .extracting(Timing.Span::start)
                .containsExactly(0.0, 1.4);
        List<Timing.Span> two =
                Captions.of(saying("extraordinarily complicated circumstances notwithstanding", 0, 0.4, 0.8, 1.2));
        assertThat(two).hasSize(1);
        assertThat(two.get(0).text().split("\n")).hasSize(2).allMatch(l -> l.length() <= 42);
    }

    @Test
    void captionsAreWrittenAsTheirFormatsHaveIt() {
        assertThat(WebVtt.text(PLAYHEAD.shot()))
                .isEqualTo("WEBVTT\n\n1\n00:00:00.100 --> 00:00:00.800\nMa, \"fee\"!\n");
        assertThat(WebVtt.text(saying("a <b> & c", 0, 0.3, 0.6, 0.9))).endsWith("a &lt;b&gt; &amp; c\n");
        assertThat(SubRip.text(PLAYHEAD.shot()))
                .isEqualTo("1\r\n00:00:00,100 --> 00:00:00,800\r\nMa, \"fee\"!\r\n\r\n");
        assertThat(Captions.time(3_723.0456, '.')).isEqualTo("01:02:03.046");
    }

    @Test
    void wordsThatWereNotFoundAreSaidSomewhere() {
        DialogueLine line = new DialogueLine("Mumble", "h", 1, List.of(), List.of(), List.of(), 0);
        assertThat(Captions.of(new Shot("m", line, TrackRules.at(24), Map.of())))
                .containsExactly(new Timing.Span(0, 1, "Mumble"));
    }

    /** Field names and schemas as OpenTimelineIO's documentation of its file format has them. */
    @Test
    void aTimelineHasItsFilmItsSoundAndItsNotes() {
        JsonNode timeline = Timeline.of(PLAYHEAD);
        assertThat(timeline.get("OTIO_SCHEMA").asText()).isEqualTo("Timeline.1");
        JsonNode tracks = timeline.at("/tracks/children");
        assertThat(tracks).extracting(t -> t.get("kind").asText()).containsExactly("Video", "Audio");
        JsonNode film = tracks.at("/0/children/0");
        assertThat(film.at("/source_range/duration/value").asDouble()).isEqualTo(36);
        assertThat(film.at("/source_range/duration/rate").asDouble()).isEqualTo(24);
        assertThat(film.at("/media_reference/target_url").asText()).isEqualTo("ma-fee.webm");
        assertThat(film.at("/markers/0/name").asText()).isEqualTo("=Colder, please");
        assertThat(film.at("/markers/0/marked_range/start_time/value").asDouble())
                .isEqualTo(8);
        assertThat(tracks.at("/1/children/0/markers/0/name").asText()).isEqualTo("Ma, \"fee\"!");
        assertThat(Timeline.of(ActedMaren.playhead(Shot.silent("still", TrackRules.at(24), 5)))
                        .at("/tracks/children"))
                .hasSize(1);
    }

    /** Values and drawings as the evaluation itself has them, frame by frame; what never moves is left out. */
    @Test
    void aShotIsToldFrameByFrame() throws Exception {
        JsonNode shot = new ObjectMapper().readTree(new ShotJson().text(SOURCE, Choices.of(List.of(), Map.of())));
        assertThat(shot.get("frames").asInt()).isEqualTo(36);
        assertThat(shot.at("/words/0/text").asText()).isEqualTo("Ma,");
        Evaluator e = PLAYHEAD.evaluator();
        shot.get("dials").fields().forEachRemaining(d -> {
            assertThat(d.getValue()).hasSize(36);
            for (int f = 0; f < 36; f++) {
                assertThat(d.getValue().get(f).asDouble())
                        .isCloseTo(e.setting(d.getKey(), PLAYHEAD.poseAt(f, Pose.REST)), within(1e-4));
            }
        });
        assertThat(shot.get("dials").has("blink")).isTrue();
        assertThat(shot.at("/drawings/hand-left/6").asText()).isEqualTo("fist");
        assertThat(shot.at("/drawings/hand-left/5").asText()).isNotEqualTo("fist");
        assertThat(shot.at("/drawings").has("torso")).isFalse();
    }

    @Test
    void aShotWithoutSoundHasNoneToHandOver() {
        assertThatThrownBy(() ->
                        new ShotSound().write(SOURCE, Choices.of(List.of(), Map.of()), OutputStream.nullOutputStream()))
                .isInstanceOfSatisfying(
                        Refusal.class, e -> assertThat(e.reason()).isEqualTo(RefusalCode.NO_SOUND));
    }
}
