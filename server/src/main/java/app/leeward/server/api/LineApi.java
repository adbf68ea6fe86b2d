package app.leeward.server.api;

import app.leeward.core.acting.Temperament;
import app.leeward.core.cue.Laid;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.speech.DialogueLine;
import app.leeward.formats.art.Sha256;
import app.leeward.formats.sheet.ExposureCsv;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.LineReadings;
import app.leeward.server.studio.Lines;
import app.leeward.server.studio.Snapshot;
import app.leeward.speech.SoundFile;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Lines of dialogue: begun by a recording and its words. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "lines")
class LineApi {
    /** Bytes of the longest recording when it is unpacked, and of its samples. */
    private static final long UNPACKED = 120L << 20;

    /** What a client prefers that knows the shot (RFC 7240). */
    private static final String MINIMAL = "return=minimal";

    private final Characters characters;
    private final Lines lines;
    private final LineReadings readings;
    private final AdmittedRequests admitted;
    private final HeavyWork heavy;

    LineApi(Characters characters, Lines lines, LineReadings readings, AdmittedRequests admitted, HeavyWork heavy) {
        this.heavy = heavy;
        this.admitted = admitted;
        this.characters = characters;
        this.lines = lines;
        this.readings = readings;
    }

    /**
     * A line as it stands.
     *
     * @param drawings the mouth of every frame; empty for a character that cannot talk
     * @param classes the viseme class of every frame
     * @param notShown closures and the like that found no frame
     * @param fits whether the words of all its lines are believably the ones spoken
     * @param doubtful for each of its lines the indices of words that do not seem to be spoken
     */
    public record LineView(
            UUID id,
            UUID character,
            int revision,
            Optional<Snapshot.Made> undo,
            Optional<Snapshot.Made> redo,
            Shot shot,
            int frames,
            List<String> drawings,
            List<Viseme> classes,
            List<String> notShown,
            boolean fits,
            List<List<Integer>> doubtful) {}

    LineView view(Snapshot<Shot> s) {
        Playhead playhead = lines.playhead(s, characters.snapshot(s.belongsTo()));
        List<PlacedLine> said = s.state().lines();
        return new LineView(
                s.id(),
                s.belongsTo(),
                s.revision(),
                s.undo(),
                s.redo(),
                s.state(),
                s.state().frames(),
                playhead.mouths().map(MouthTrack::drawings).orElse(List.of()),
                playhead.mouths().map(MouthTrack::classes).orElse(List.of()),
                playhead.mouths().map(MouthTrack::broken).orElse(List.of()),
                said.stream().allMatch(p -> p.line().fits()),
                said.stream().map(p -> doubtful(p.line())).toList());
    }

    private static List<Integer> doubtful(DialogueLine line) {
        return IntStream.range(0, line.words().size())
                .filter(i -> line.words().get(i).doubtful())
                .boxed()
                .toList();
    }

    public record ShotEditBody(int base, ShotEdit edit) {}

    /** @param at the frame the line begins at; the first one of its shot when left out */
    public record WordsBody(int base, String words, Integer at) {}

    /** @param at the frame the line begins at; the first one of its shot when left out */
    public record PronounceBody(int base, String word, String soundsLike, Integer at) {}

    /** Has a recording read: the line is there once the reading is done. */
    @PostMapping(path = "/characters/{id}/lines", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.ACCEPTED)
    ReadingView record(
            @PathVariable UUID id,
            @RequestPart MultipartFile sound,
            @RequestParam String words,
            @RequestParam(required = false) String name,
            HttpServletRequest request)
            throws IOException {
        take(sound, request);
        byte[] file = sound.getBytes();
        // not as heavy work: that may be behind many drawings, and what unpacks is a process of its own
        byte[] wav = lines.wav(file);
        return ReadingView.of(readings.record(id, name, words, wav, ReadingApi.client(request)));
    }

    /**
     * Has another take of a line read with its words, and put in its place: what is acted goes with the words, and sounds a hand
     * has corrected are looked for as they are.
     */
    @PostMapping(path = "/lines/{id}/takes", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.ACCEPTED)
    ReadingView retake(
            @PathVariable UUID id,
            @RequestPart MultipartFile sound,
            @RequestParam int base,
            @RequestParam(required = false) Integer at,
            HttpServletRequest request)
            throws IOException {
        take(sound, request);
        byte[] wav = lines.wav(sound.getBytes());
        return ReadingView.of(readings.retake(id, base, at, wav, ReadingApi.client(request)));
    }

    /** Counts a recording that was sent, and takes the memory that looking at it needs. */
    void take(MultipartFile sound, HttpServletRequest request) throws IOException {
        byte[] begins;
        try (InputStream in = sound.getInputStream()) {
            begins = in.readNBytes(SoundFile.ENOUGH_TO_TELL);
        }
        // the recording, its samples, and once more while they are looked at
        admitted.takeFile(sound.getSize() * 6 + (SoundFile.packed(begins) ? UNPACKED : 0), request);
    }

    /** @param revision as it stood then; as it stands when left out */
    @GetMapping("/lines/{id}")
    LineView stand(@PathVariable UUID id, @RequestParam(required = false) Integer revision) {
        return view(revision == null ? lines.snapshot(id) : lines.snapshot(id, revision));
    }

    @PostMapping("/lines/{id}/return")
    LineView returnTo(@PathVariable UUID id, @RequestBody CharacterApi.ReturnBody body) {
        return view(lines.returnTo(id, body.base(), body.to(), CharacterApi.AUTHOR));
    }

    /** A copy of a line, as a line of its own. */
    @PostMapping("/lines/{id}/duplicate")
    @ResponseStatus(HttpStatus.CREATED)
    LineView duplicate(@PathVariable UUID id) {
        return view(lines.duplicate(id, CharacterApi.AUTHOR));
    }

    /** Takes a line out of the list; it can be brought back as it was. */
    @PostMapping("/lines/{id}/put-away")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putAway(@PathVariable UUID id) {
        lines.putAway(id);
    }

    @PostMapping("/lines/{id}/bring-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bringBack(@PathVariable UUID id) {
        lines.bringBack(id);
    }

    /**
     * Edits a shot.
     *
     * @param prefer {@code return=minimal} (RFC 7240) for who makes edits by the same rules: where nothing but this edit was made
     *     since its base, and the mouths are the same, the answer does not hold the shot, which can be large
     */
    @PostMapping("/lines/{id}/edits")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(oneOf = {LineView.class, LineMade.class})))
    ResponseEntity<Object> edit(
            @PathVariable UUID id,
            @RequestHeader(name = "Prefer", required = false) String prefer,
            @RequestBody ShotEditBody body) {
        Bodies.requireWhole(body.edit(), "edit");
        Snapshot<Shot> made = lines.edit(id, body.base(), body.edit(), CharacterApi.AUTHOR);
        boolean brief = MINIMAL.equals(prefer) && lines.follows(made, body.base(), body.edit());
        return brief ? brief(LineMade.of(made, Optional.empty())) : ResponseEntity.ok(view(made));
    }

    /**
     * What came of an edit or a step, for who knows the shot after it.
     *
     * @param like the revision a step went to, whose shot this is; empty after an edit
     */
    public record LineMade(
            UUID id, int revision, Optional<Snapshot.Made> undo, Optional<Snapshot.Made> redo, Optional<Integer> like) {
        static LineMade of(Snapshot<Shot> s, Optional<Integer> like) {
            return new LineMade(s.id(), s.revision(), s.undo(), s.redo(), like);
        }
    }

    private static ResponseEntity<Object> brief(LineMade made) {
        return ResponseEntity.ok().header("Preference-Applied", MINIMAL).body(made);
    }

    /** @param prefer {@code return=minimal} for who kept the shot as it was: the answer says which revision it is again */
    @PostMapping("/lines/{id}/undo")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(oneOf = {LineView.class, LineMade.class})))
    ResponseEntity<Object> undo(
            @PathVariable UUID id,
            @RequestHeader(name = "Prefer", required = false) String prefer,
            @RequestBody CharacterApi.BaseBody body) {
        return stepped(id, lines.undo(id, body.base(), CharacterApi.AUTHOR), prefer, body.base(), true);
    }

    /** @param prefer as with undo */
    @PostMapping("/lines/{id}/redo")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(oneOf = {LineView.class, LineMade.class})))
    ResponseEntity<Object> redo(
            @PathVariable UUID id,
            @RequestHeader(name = "Prefer", required = false) String prefer,
            @RequestBody CharacterApi.BaseBody body) {
        return stepped(id, lines.redo(id, body.base(), CharacterApi.AUTHOR), prefer, body.base(), false);
    }

    private ResponseEntity<Object> stepped(UUID id, Snapshot<Shot> after, String prefer, int base, boolean back) {
        return MINIMAL.equals(prefer)
                ? brief(LineMade.of(after, Optional.of(lines.target(id, base, back))))
                : ResponseEntity.ok(view(after));
    }

    /** A shot without words, or with the line of another shot at its beginning. */
    public record ShotBody(String name, Integer frames, UUID line) {}

    @PostMapping("/characters/{id}/shots")
    @ResponseStatus(HttpStatus.CREATED)
    LineView begin(@PathVariable UUID id, @RequestBody ShotBody body) {
        return view(lines.begin(
                id,
                Bodies.require(body.name(), "name"),
                Optional.ofNullable(body.frames()),
                Optional.ofNullable(body.line()),
                CharacterApi.AUTHOR));
    }

    /**
     * Places the line of another shot of the same character in this one.
     *
     * @param at the frame it begins at
     * @param from the other shot; its first line is taken
     */
    public record PlaceBody(int base, Integer at, UUID from) {}

    @PostMapping("/lines/{id}/place")
    LineView place(@PathVariable UUID id, @RequestBody PlaceBody body) {
        return view(lines.place(
                id,
                body.base(),
                Bodies.require(body.at(), "at"),
                Bodies.require(body.from(), "from"),
                CharacterApi.AUTHOR));
    }

    /**
     * What a first pass is asked for.
     *
     * @param strength 0 to 2; 1 for the usual
     * @param seed the same seed lays the same
     * @param kinds what is laid; all there is when left out
     */
    public record FirstPassBody(int base, Temperament temperament, double strength, long seed, Set<Laid.Kind> kinds) {}

    /** Lays the acting that the lines of a shot ask for, as ordinary keys with their reasons. What hands made stays. */
    @PostMapping("/lines/{id}/first-pass")
    LineView firstPass(@PathVariable UUID id, @RequestBody FirstPassBody body) {
        return view(lines.firstPass(
                id,
                body.base(),
                Bodies.require(body.temperament(), "temperament"),
                body.strength(),
                body.seed(),
                body.kinds() == null ? EnumSet.allOf(Laid.Kind.class) : body.kinds(),
                CharacterApi.AUTHOR));
    }

    /** Has the recording read again with corrected words; what stays the same keeps its times. */
    @PostMapping("/lines/{id}/words")
    @ResponseStatus(HttpStatus.ACCEPTED)
    ReadingView words(@PathVariable UUID id, @RequestBody WordsBody body, HttpServletRequest request) {
        return ReadingView.of(readings.words(
                id, body.base(), body.at(), Bodies.require(body.words(), "words"), ReadingApi.client(request)));
    }

    /**
     * A stretch of a line.
     *
     * @param at the frame the line begins at
     * @param from seconds into its recording
     * @param to seconds into its recording
     */
    public record AgainBody(int base, Integer at, Double from, Double to) {}

    /** Listens to a stretch again; what a hand has put stays where it is. */
    @PostMapping("/lines/{id}/again")
    LineView again(@PathVariable UUID id, @RequestBody AgainBody body) {
        int at = Bodies.require(body.at(), "at");
        double from = Bodies.require(body.from(), "from");
        double to = Bodies.require(body.to(), "to");
        return view(heavy.done(() -> lines.again(id, body.base(), at, from, to, CharacterApi.AUTHOR)));
    }

    /** Corrects how a word is pronounced, for this and all later lines of the character. */
    @PostMapping("/lines/{id}/pronounce")
    @ResponseStatus(HttpStatus.ACCEPTED)
    ReadingView pronounce(@PathVariable UUID id, @RequestBody PronounceBody body, HttpServletRequest request) {
        return ReadingView.of(readings.pronounce(
                id,
                body.base(),
                body.at(),
                Bodies.require(body.word(), "word"),
                Bodies.require(body.soundsLike(), "soundsLike"),
                ReadingApi.client(request)));
    }

    @GetMapping("/lines/{id}/peaks")
    float[] peaks(@PathVariable UUID id, @RequestParam(defaultValue = "600") int count) {
        return lines.sound(lines.snapshot(id).state())
                .map(s -> s.peaks(Math.max(1, Math.min(4000, count))))
                .orElse(new float[0]);
    }

    /** The recording as it was uploaded, or what all lines of the shot sound like together; in ranges when asked for. */
    @GetMapping("/lines/{id}/sound.wav")
    ResponseEntity<Resource> sound(@PathVariable UUID id) {
        byte[] wav = lines.wav(lines.snapshot(id).state());
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("audio/wav"))
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(Sha256.of(wav))
                .body(new ByteArrayResource(wav));
    }

    /** The exposure sheet. */
    @GetMapping("/lines/{id}/exposure.csv")
    ResponseEntity<byte[]> exposure(@PathVariable UUID id) {
        Snapshot<Shot> shot = lines.snapshot(id);
        Playhead playhead = lines.playhead(shot, characters.snapshot(shot.belongsTo()));
        String csv = ExposureCsv.write(playhead);
        return PoseApi.download(
                csv.getBytes(StandardCharsets.UTF_8),
                MediaType.valueOf("text/csv;charset=UTF-8"),
                shot.state().name() + " exposure.csv");
    }
}
