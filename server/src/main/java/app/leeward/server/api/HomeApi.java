package app.leeward.server.api;

import app.leeward.core.check.Progress;
import app.leeward.core.check.RigStep;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.server.store.DocumentKind;
import app.leeward.server.store.DocumentRow;
import app.leeward.server.store.Documents;
import app.leeward.server.store.Exports;
import app.leeward.server.studio.Bundles;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Faces;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.Lines;
import app.leeward.server.studio.Snapshot;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.PageRequest;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What the page of all characters shows of each: its face, how far it is, and what was acted last. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "home")
class HomeApi {
    /** Most shots that are looked through for how far a character is. */
    private static final int SHOTS = 100;
    /** Most shots in the list of the latest. */
    private static final int LATEST = 50;

    private final Characters characters;
    private final Lines lines;
    private final Faces faces;
    private final Bundles bundles;
    private final HeavyWork heavy;
    private final Documents documents;
    private final Exports exports;

    HomeApi(
            Characters characters,
            Lines lines,
            Faces faces,
            Bundles bundles,
            HeavyWork heavy,
            Documents documents,
            Exports exports) {
        this.characters = characters;
        this.lines = lines;
        this.faces = faces;
        this.bundles = bundles;
        this.heavy = heavy;
        this.documents = documents;
        this.exports = exports;
    }

    /**
     * How far a character is.
     *
     * @param lines how many shots it has
     * @param done stages whose work shows
     * @param next the stage that waits; left out when none does
     */
    public record CardView(UUID id, int revision, long lines, List<RigStep> done, Optional<RigStep> next) {}

    @GetMapping("/characters/{id}/card")
    CardView card(@PathVariable UUID id) {
        Snapshot<Character> c = characters.snapshot(id);
        var shots = documents.of(DocumentKind.SHOT, id, PageRequest.of(0, SHOTS));
        List<Shot> states = shots.map(DocumentRow::getId)
                .map(shot -> lines.snapshot(shot).state())
                .toList();
        Progress progress = Progress.of(c.state(), states, exports.existsByCharacter(id));
        return new CardView(id, c.revision(), shots.getTotalElements(), List.copyOf(progress.done()), progress.next());
    }

    /**
     * The head at rest.
     *
     * @param revision of the character; the newest when it is left out. A revision's face never changes, so a browser keeps it
     */
    @GetMapping(value = "/characters/{id}/face.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> face(@PathVariable UUID id, @RequestParam(required = false) Integer revision) {
        Snapshot<Character> c = revision == null ? characters.snapshot(id) : characters.snapshot(id, revision);
        return picture(heavy.done(() -> faces.face(c)), revision != null);
    }

    /** Three moments of a shot beside each other, of the character as it is now. */
    @GetMapping(value = "/lines/{id}/moments.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> moments(
            @PathVariable UUID id,
            @RequestParam(required = false) Integer revision,
            @RequestParam(required = false) Integer of) {
        Snapshot<Shot> shot = revision == null ? lines.snapshot(id) : lines.snapshot(id, revision);
        Snapshot<Character> c =
                of == null ? characters.snapshot(shot.belongsTo()) : characters.snapshot(shot.belongsTo(), of);
        return picture(heavy.done(() -> faces.moments(c, shot)), revision != null && of != null);
    }

    private static ResponseEntity<byte[]> picture(byte[] png, boolean forGood) {
        CacheControl kept =
                forGood ? CacheControl.maxAge(Duration.ofDays(365)).immutable().cachePrivate() : CacheControl.noCache();
        return ResponseEntity.ok().cacheControl(kept).body(png);
    }

    /** A copy of a character with its shots. */
    @PostMapping("/characters/{id}/duplicate")
    @ResponseStatus(HttpStatus.CREATED)
    CharacterApi.CharacterView duplicate(@PathVariable UUID id) {
        UUID copy = UUID.randomUUID();
        return CharacterApi.CharacterView.of(heavy.done(() -> bundles.duplicate(id, copy, CharacterApi.AUTHOR)));
    }

    /**
     * A shot in the list of the latest.
     *
     * @param frames how long
     * @param seconds the same
     * @param of revision of the character, for the picture of its moments
     */
    public record RecentShot(
            UUID id,
            String name,
            int revision,
            Instant changedAt,
            int frames,
            double seconds,
            UUID character,
            String characterName,
            int of) {}

    /** The shots that were changed last, of all characters. */
    @GetMapping("/shots/latest")
    List<RecentShot> latest(@RequestParam(defaultValue = "8") int size) {
        return documents.latest(DocumentKind.SHOT, PageRequest.of(0, Math.max(1, Math.min(LATEST, size)))).stream()
                .map(d -> {
                    Shot shot = lines.snapshot(d.getId()).state();
                    DocumentRow owner = documents.peek(d.belongsTo()).orElseThrow();
                    return new RecentShot(
                            d.getId(),
                            d.name(),
                            d.head(),
                            d.changedAt(),
                            shot.frames(),
                            shot.frames() / (double) shot.rules().frameRate(),
                            owner.getId(),
                            owner.name(),
                            owner.head());
                })
                .toList();
    }
}
