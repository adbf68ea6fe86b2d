package app.leeward.server.api;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.lips.MouthProblem;
import app.leeward.core.lips.MouthSet;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthRecipe;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.formats.svg.MouthChartPage;
import app.leeward.render.PrintedPage;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import app.leeward.server.studio.StoredImages;
import app.leeward.speech.LineReader;
import app.leeward.speech.Said;
import app.leeward.speech.Speaker;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.VoiceBooth;
import app.leeward.speech.WavFile;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The mouth wall: every mouth in every mood, how a set would be made, and words said at once. */
@RestController
@RequestMapping("/api/v1/characters/{id}/mouths")
@Tag(name = "mouths")
class MouthApi {
    private final Characters characters;
    private final LineReader reader;
    private final Speaker speaker;
    private final VoiceBooth booth = new VoiceBooth();
    private final StoredImages images;

    MouthApi(Characters characters, LineReader reader, StoredImages images) {
        this.images = images;
        this.characters = characters;
        this.reader = reader;
        this.speaker = new Speaker(reader);
    }

    /** A class of sounds, the head of a column. */
    public record SoundView(Viseme viseme, int number, String sounds, List<String> examples, List<String> phones) {
        static SoundView of(Viseme v) {
            List<String> phones = Arrays.stream(Phone.values())
                    .filter(p -> p != Phone.HH && Viseme.of(p) == v)
                    .map(Phone::name)
                    .toList();
            return new SoundView(v, v.number(), v.words(), v.examples(), phones);
        }
    }

    /**
     * What serves a class in a row; left out where nothing does.
     *
     * @param from the class the drawing was made for
     * @param row id of the mood it is taken from; empty for the neutral row
     * @param own whether it is this cell's own
     * @param origin who drew it
     * @param between id of the drawing on the way into it; empty for none
     */
    public record CellView(
            Viseme viseme,
            String drawing,
            Viseme from,
            String row,
            boolean own,
            String why,
            MouthSet.Origin origin,
            String between) {}

    /** @param mood id of the mood; empty for the neutral row */
    public record RowView(String mood, String name, double corners, double tension, List<CellView> cells) {}

    /**
     * The wall.
     *
     * @param part id of the part whose drawings are the mouths; empty when there is none
     * @param start id of the drawing the set is made from
     * @param problem why no set can be made; empty when one can
     * @param made whether one was
     */
    public record WallView(
            int revision,
            String part,
            String start,
            String problem,
            boolean made,
            MouthRulers rulers,
            Map<Viseme, MouthRulers> own,
            List<SoundView> sounds,
            List<RowView> rows) {}

    /** Every mouth of the character, and what is wrong with any. */
    @PostMapping
    WallView wall(@PathVariable UUID id) {
        Snapshot<Character> standing = characters.snapshot(id);
        Character c = standing.state();
        List<RowView> rows = new ArrayList<>();
        rows.add(new RowView("", "Neutral", 0, 0, cells(c, "")));
        for (Mood m : c.voice().mouths().moods()) {
            rows.add(new RowView(m.id(), m.name(), m.corners(), m.tension(), cells(c, m.id())));
        }
        String problem = "";
        try {
            MouthSet.preview(c, MouthRulers.AS_ASKED, Map.of());
        } catch (MouthProblem e) {
            problem = e.getMessage();
        }
        return new WallView(
                standing.revision(),
                MouthSet.part(c).map(Part::id).orElse(""),
                MouthSet.start(c).map(d -> d.id()).orElse(""),
                problem,
                c.voice().mouths().recipe().filter(r -> !r.made().isEmpty()).isPresent(),
                c.voice().mouths().recipe().map(MouthRecipe::rulers).orElse(MouthRulers.AS_ASKED),
                c.voice().mouths().recipe().map(MouthRecipe::own).orElse(Map.of()),
                Arrays.stream(Viseme.values()).map(SoundView::of).toList(),
                rows);
    }

    private static List<CellView> cells(Character c, String mood) {
        return Arrays.stream(Viseme.values())
                .flatMap(v -> c.voice().mouths().serve(mood, v).stream())
                .map(s -> new CellView(
                        s.asked(),
                        s.drawing(),
                        s.from(),
                        s.row(),
                        s.own() && s.row().equals(mood),
                        why(c.voice().mouths(), s, mood),
                        MouthSet.origin(c, s.drawing()),
                        Optional.ofNullable(c.voice().mouths().betweens().get(s.drawing()))
                                .map(MouthChart.Between::drawing)
                                .orElse("")))
                .toList();
    }

    private static String why(MouthChart chart, MouthChart.Service s, String mood) {
        return s.row().equals(mood)
                ? s.why()
                : s.why() + ", from "
                        + (s.row().isEmpty()
                                ? "the neutral row"
                                : chart.mood(s.row()).orElseThrow().name());
    }

    /** One row of mouths as a page to print. */
    @GetMapping(path = "/chart.svg", produces = "image/svg+xml")
    ResponseEntity<String> chart(@PathVariable UUID id, @RequestParam(defaultValue = "") String mood) {
        Character c = characters.snapshot(id).state();
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"mouth-chart.svg\"")
                .body(MouthChartPage.write(c, mood, images));
    }

    /** The same page as a PDF. */
    @GetMapping(path = "/chart.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(@PathVariable UUID id, @RequestParam(defaultValue = "") String mood) {
        Character c = characters.snapshot(id).state();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"mouth-chart.pdf\"")
                .body(PrintedPage.pdf(MouthChartPage.write(c, mood, images), "Mouth chart of " + c.name()));
    }

    /** Rulers as they are being turned. */
    public record PreviewBody(MouthRulers rulers, Map<Viseme, MouthRulers> own) {}

    /**
     * One mouth as it would be made. Only its outlines: shapes, colours and their order are those of the drawing that is
     * there.
     *
     * @param outlines its windows', then for each shape those it is cut by and its own, as SVG path data
     */
    public record PreviewMouth(String mood, Viseme viseme, List<String> outlines) {
        static PreviewMouth of(MouthSet.Made made) {
            List<String> out = new ArrayList<>();
            for (Shape s : made.art().shapes()) {
                if (s.role() == ShapeRole.WINDOW) {
                    out.add(written(s.path()));
                }
            }
            for (Shape s : made.art().shapes()) {
                s.clips().forEach(c -> out.add(written(c.path())));
                out.add(written(s.path()));
            }
            return new PreviewMouth(made.mood(), made.viseme(), out);
        }

        /** To a hundredth of a unit: it is only looked at while a ruler is turned, and a drag asks for many. */
        private static String written(Path path) {
            return path.map(p -> new Point(Math.rint(100 * p.x()) / 100, Math.rint(100 * p.y()) / 100))
                    .toSvg();
        }
    }

    /** @param mouths the neutral row first */
    public record PreviewView(List<PreviewMouth> mouths) {}

    /** The set as the rulers would make it; nothing is kept. */
    @PostMapping("/preview")
    PreviewView preview(@PathVariable UUID id, @RequestBody PreviewBody body) {
        Bodies.requireWhole(body.rulers(), "rulers");
        try {
            Map<Viseme, MouthRulers> own = body.own() == null ? Map.of() : body.own();
            return new PreviewView(MouthSet.preview(characters.snapshot(id).state(), body.rulers(), own).stream()
                    .map(PreviewMouth::of)
                    .toList());
        } catch (MouthProblem e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.reason().word(), "mouth", e.getMessage());
        }
    }

    /**
     * Words to say.
     *
     * @param pace 1 as people talk
     * @param mood id of the row of mouths to say them with; empty for the neutral one
     * @param aloud whether the voice booth speaks them, and the mouths follow it
     */
    public record SayBody(String text, double pace, String mood, boolean aloud) {}

    /**
     * Words as the mouths say them.
     *
     * @param drawings a mouth for every frame
     * @param classes the class heard on every frame
     * @param sounds the sound every frame shows; empty in a pause
     * @param skipped words that could not be read out
     * @param guessed words whose sounds were guessed from their spelling
     * @param shot what the page plays
     * @param sound a WAV file; empty when nothing was spoken aloud
     */
    public record SaidView(
            List<TimedWord> words,
            List<String> drawings,
            List<Viseme> classes,
            List<String> sounds,
            List<String> skipped,
            List<String> guessed,
            Shot shot,
            byte[] sound) {}

    /** The face as it says typed words, without a recording. */
    @PostMapping("/say")
    SaidView say(@PathVariable UUID id, @RequestBody SayBody body) {
        Snapshot<Character> standing = characters.snapshot(id);
        Character c = standing.state();
        if (c.voice().mouths().part().isEmpty() || c.voice().mouths().drawn().isEmpty()) {
            throw Problem.refused("no-mouth", "This character has no mouth to say anything with yet.");
        }
        String text = body.text() == null ? "" : body.text();
        Said said;
        byte[] sound = new byte[0];
        try {
            if (body.aloud()) {
                sound = booth.speak(text, body.pace());
                said = new Said(
                        reader.read(text, WavFile.read(sound), "", c.voice().lexicon()), List.of());
            } else {
                said = speaker.say(text, body.pace(), c.voice().lexicon());
            }
        } catch (SpeechProblem e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), "words", e.getMessage());
        }
        Shot shot = new Shot("said", said.line(), TrackRules.at(c.sheet().frameRate()), Map.of())
                .withMood(body.mood() == null ? "" : body.mood());
        Playhead playhead = new Playhead(characters.evaluator(standing), shot);
        return new SaidView(
                said.line().words(),
                playhead.mouths().orElseThrow().drawings(),
                playhead.mouths().orElseThrow().classes(),
                sounds(shot),
                said.skipped(),
                said.line().guesses().stream().map(g -> g.word()).toList(),
                shot,
                sound);
    }

    private static List<String> sounds(Shot shot) {
        List<String> out = new ArrayList<>();
        for (int f = 0; f < shot.frames(); f++) {
            // mouths run ahead of what is heard
            double at = (f + 0.5 + shot.rules().lead()) / shot.rules().frameRate();
            out.add(shot.phones().stream()
                    .filter(p -> p.start() <= at && at < p.end())
                    .map(TimedPhone::phone)
                    .map(Phone::name)
                    .findFirst()
                    .orElse(""));
        }
        return out;
    }
}
