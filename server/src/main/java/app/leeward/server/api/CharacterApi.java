package app.leeward.server.api;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Shape;
import app.leeward.core.edit.Edit;
import app.leeward.core.intake.IntakeReport;
import app.leeward.core.intake.LayerChange;
import app.leeward.core.intake.NewVersion;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.TurnPlan;
import app.leeward.formats.bundle.BundleReader;
import app.leeward.server.studio.Bundles;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import app.leeward.server.studio.StoredArt;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.multipart.MultipartFile;

/** Characters: begun by a file, changed by edits. */
@RestController
@RequestMapping("/api/v1/characters")
@Tag(name = "characters")
class CharacterApi {
    /** Who edits, until people sign in. */
    static final String AUTHOR = "this crew";

    private final Characters characters;
    private final StoredArt art;
    private final AdmittedRequests admitted;
    private final HeavyWork heavy;
    private final Bundles bundles;

    CharacterApi(Characters characters, StoredArt art, AdmittedRequests admitted, HeavyWork heavy, Bundles bundles) {
        this.bundles = bundles;
        this.heavy = heavy;
        this.characters = characters;
        this.art = art;
        this.admitted = admitted;
    }

    /** A character as it stands; drawings hold the hash of their artwork. */
    public record CharacterView(
            UUID id,
            int revision,
            Optional<Snapshot.Made> undo,
            Optional<Snapshot.Made> redo,
            Character character,
            List<Serving> mouths) {
        static CharacterView of(Snapshot<Character> s) {
            return new CharacterView(
                    s.id(),
                    s.revision(),
                    s.undo(),
                    s.redo(),
                    sent(s.state()),
                    servings(s.state().voice().mouths()));
        }
    }

    /** Without what only the keeper needs: the file that newer ones are held against, and how the turn was when it was made. */
    private static Character sent(Character c) {
        return c.withOrigin(origin -> origin.withSource(Optional.empty()))
                .withControls(controls -> controls.withTurn(controls.turn().map(TurnPlan::shapeOnly)));
    }

    /** Which mouth a class of sounds gets, and why. */
    public record Serving(
            Viseme viseme, int number, String sounds, List<String> examples, String drawing, boolean own, String why) {}

    private static List<Serving> servings(MouthChart chart) {
        return Arrays.stream(Viseme.values())
                .filter(Viseme::spoken)
                .flatMap(v -> chart.serve(v).stream())
                .map(s -> new Serving(
                        s.asked(),
                        s.asked().number(),
                        s.asked().words(),
                        s.asked().examples(),
                        s.drawing(),
                        s.own(),
                        s.why()))
                .toList();
    }

    /** An edit and the revision it was asked for on. */
    public record EditBody(int base, Edit edit) {}

    /** The revision something was asked for on. */
    public record BaseBody(int base) {}

    /**
     * Begins a character from layered art, or takes one in from a bundle with its shots and recordings.
     *
     * @param name what one from a bundle is to be called
     * @param ask whether a name of a bundle's that is taken is refused ({@code name-taken}) instead of numbered
     * @param over whether a bundle comes in place of the character of its name, as an edit of that one
     */
    @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    CharacterView read(
            @RequestPart MultipartFile file,
            @RequestParam(required = false) String name,
            @RequestParam(required = false, defaultValue = "false") boolean ask,
            @RequestParam(required = false, defaultValue = "false") boolean over,
            HttpServletRequest request)
            throws IOException {
        byte[] bytes = admitted(file, request);
        UUID id = UUID.randomUUID();
        if (over && !BundleReader.is(bytes)) {
            throw Problem.refused(
                    "no-bundle",
                    "Only a bundle comes in place of a character; newer art is held against it on Intake.");
        }
        return CharacterView.of(heavy.done(() -> over
                ? bundles.takeInPlace(bytes, nameOf(file), AUTHOR)
                : BundleReader.is(bytes)
                        ? bundles.take(id, bytes, nameOf(file), name, ask, AUTHOR)
                        : characters.read(id, bytes, nameOf(file), AUTHOR)));
    }

    /** A newer version of the art beside what is here. */
    public record VersionView(String file, String was, List<String> message, List<ChangeView> changes) {
        static VersionView of(NewVersion v) {
            return new VersionView(
                    v.file(),
                    v.was(),
                    v.message(),
                    v.changes().stream().map(ChangeView::of).toList());
        }
    }

    /** One drawing of it; shapes are left out of what stayed the same. */
    public record ChangeView(
            String key,
            LayerChange.Kind kind,
            String name,
            String message,
            String warning,
            boolean advised,
            List<Shape> before,
            List<Shape> after) {
        static ChangeView of(LayerChange c) {
            boolean same = c.kind() == LayerChange.Kind.SAME;
            return new ChangeView(
                    c.key(),
                    c.kind(),
                    c.name(),
                    c.message(),
                    c.warning(),
                    c.advised(),
                    shapes(c.before(), same),
                    shapes(c.after(), same));
        }

        private static List<Shape> shapes(Optional<Artwork> art, boolean same) {
            return same ? List.of() : art.map(Artwork::shapes).orElse(List.of());
        }
    }

    /** Holds a newer file against the character; nothing is changed. */
    @PostMapping(path = "/{id}/versions", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    VersionView compare(@PathVariable UUID id, @RequestPart MultipartFile file, HttpServletRequest request)
            throws IOException {
        byte[] bytes = admitted(file, request);
        return VersionView.of(heavy.done(() -> characters.compare(id, bytes, nameOf(file))));
    }

    /** Takes changes over from a newer file, by the keys that holding it against the character gave them. */
    @PostMapping(path = "/{id}/versions/taken", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    CharacterView take(
            @PathVariable UUID id,
            @RequestPart MultipartFile file,
            @RequestParam int base,
            @RequestParam(required = false) List<String> keys,
            HttpServletRequest request)
            throws IOException {
        List<String> wanted = keys == null ? List.of() : keys;
        // reading the file takes long, so what cannot be taken over any more is told first
        characters.requireRoomForVersion(id, base);
        byte[] bytes = admitted(file, request);
        return CharacterView.of(heavy.done(() -> characters.take(id, base, bytes, nameOf(file), wanted, AUTHOR)));
    }

    /** A file's bytes, once there is memory to read it. */
    private byte[] admitted(MultipartFile file, HttpServletRequest request) throws IOException {
        admitted.takeFile(file.getSize(), request);
        byte[] bytes = file.getBytes();
        admitted.take(BundleReader.is(bytes) ? BundleReader.cost(bytes) : Characters.cost(bytes));
        return bytes;
    }

    private static String nameOf(MultipartFile file) {
        return file.getOriginalFilename() == null ? "character.svg" : file.getOriginalFilename();
    }

    /** Asked for every few seconds by every page that is open: whoever has it already is told so and nothing else. */
    @GetMapping("/{id}")
    ResponseEntity<CharacterView> stand(
            @PathVariable UUID id,
            @RequestParam(required = false) Integer revision,
            @Parameter(hidden = true) ServletWebRequest request) {
        Snapshot<Character> s = revision == null ? characters.snapshot(id) : characters.snapshot(id, revision);
        ArtworkCaching caching =
                ArtworkCaching.weak(ArtworkCaching.THIS_SERVER, s.id().toString(), String.valueOf(s.revision()));
        return caching.known(request)
                ? ResponseEntity.status(HttpStatus.NOT_MODIFIED).build()
                : caching.answer(false, CharacterView.of(s));
    }

    /** Takes a character out of the list; it can be brought back as it was. */
    @PostMapping("/{id}/put-away")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putAway(@PathVariable UUID id) {
        characters.putAway(id);
    }

    @PostMapping("/{id}/bring-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bringBack(@PathVariable UUID id) {
        characters.bringBack(id);
    }

    /** What was recognised, what is missing, and what could be put right, of a character as it is. */
    @GetMapping("/{id}/intake")
    IntakeReport intake(@PathVariable UUID id) {
        return characters.report(characters.snapshot(id));
    }

    /**
     * Which revision to go back to.
     *
     * @param to its number
     */
    public record ReturnBody(int base, int to) {}

    @PostMapping("/{id}/return")
    CharacterView returnTo(@PathVariable UUID id, @RequestBody ReturnBody body) {
        return CharacterView.of(characters.returnTo(id, body.base(), body.to(), AUTHOR));
    }

    /** A name for a revision; an empty one takes it away. */
    public record MilestoneBody(int number, String name) {}

    @PostMapping("/{id}/milestones")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void milestone(@PathVariable UUID id, @RequestBody MilestoneBody body) {
        characters.nameRevision(id, body.number(), Bodies.require(body.name(), "name"));
    }

    /**
     * The shapes of all drawings, by the hash of their artwork. A revision's artwork never changes, so a browser that asks for a
     * revision keeps it; whoever asks for the newest is told whether it is still the same.
     */
    @GetMapping("/{id}/artwork")
    ResponseEntity<Map<String, List<Shape>>> artwork(
            @PathVariable UUID id,
            @RequestParam(required = false) Integer revision,
            @Parameter(hidden = true) ServletWebRequest request) {
        Map<String, List<Shape>> out = new TreeMap<>();
        Character c = (revision == null ? characters.snapshot(id) : characters.snapshot(id, revision)).state();
        c.rig().parts().forEach(p -> p.drawings()
                .forEach(d -> out.put(art.hashOf(d.art()), d.art().shapes())));
        ArtworkCaching caching = ArtworkCaching.of(out.keySet(), request);
        return caching.known(request)
                ? ResponseEntity.status(HttpStatus.NOT_MODIFIED).build()
                : caching.answer(revision != null, out);
    }

    @PostMapping("/{id}/edits")
    CharacterView edit(@PathVariable UUID id, @RequestBody EditBody body) {
        Bodies.requireWhole(body.edit(), "edit");
        return CharacterView.of(characters.edit(id, body.base(), body.edit(), AUTHOR));
    }

    @PostMapping("/{id}/undo")
    CharacterView undo(@PathVariable UUID id, @RequestBody BaseBody body) {
        return CharacterView.of(characters.undo(id, body.base(), AUTHOR));
    }

    @PostMapping("/{id}/redo")
    CharacterView redo(@PathVariable UUID id, @RequestBody BaseBody body) {
        return CharacterView.of(characters.redo(id, body.base(), AUTHOR));
    }
}
