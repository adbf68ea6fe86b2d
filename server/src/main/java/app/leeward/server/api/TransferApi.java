package app.leeward.server.api;

import app.leeward.core.art.Box;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.transfer.Transfer;
import app.leeward.core.transfer.TransferItem;
import app.leeward.core.transfer.TransferSheet;
import app.leeward.formats.svg.SvgWriter;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import app.leeward.server.studio.StoredImages;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What one character takes from another, by role. */
@RestController
@RequestMapping("/api/v1/characters/{id}/from/{other}")
@Tag(name = "characters")
class TransferApi {
    private static final int MOST = 2_000;
    /** Pictures are asked for with both revisions, which never change. */
    private static final Duration KEPT = Duration.ofHours(1);

    private final Characters characters;
    private final StoredImages images;
    private final HeavyWork heavy;

    TransferApi(Characters characters, StoredImages images, HeavyWork heavy) {
        this.characters = characters;
        this.images = images;
        this.heavy = heavy;
    }

    /**
     * What could be taken.
     *
     * @param revision of the character that takes
     * @param otherRevision of the one that has it
     * @param name of the one that has it
     */
    public record TransferView(int revision, int otherRevision, String name, List<TransferItem> items) {}

    @GetMapping
    TransferView items(@PathVariable UUID id, @PathVariable UUID other) {
        Snapshot<Character> to = characters.snapshot(id);
        Snapshot<Character> from = other(id, other);
        return new TransferView(to.revision(), from.revision(), from.state().name(), heavy.done(() -> characters
                .transfer(from, to)
                .items()));
    }

    /**
     * A thing as it looks on both.
     *
     * @param captions of the pictures, in their order
     */
    public record TransferSheetView(List<String> captions) {}

    /** Which pictures there are of a thing; none where it has no place. */
    @GetMapping("/sheet")
    TransferSheetView sheet(@PathVariable UUID id, @PathVariable UUID other, @RequestParam String key) {
        return new TransferSheetView(made(characters.snapshot(id), other(id, other), key).cells().stream()
                .map(TransferSheet.Cell::caption)
                .toList());
    }

    /**
     * One picture of a contact sheet.
     *
     * @param revision of the character that takes, and {@code otherRevision} of the one that has it
     * @param cell from 0
     * @param here whether the thing is shown as it would be here, and not as it is there
     */
    @GetMapping(path = "/picture.svg", produces = "image/svg+xml")
    ResponseEntity<String> picture(
            @PathVariable UUID id,
            @PathVariable UUID other,
            @RequestParam String key,
            @RequestParam int revision,
            @RequestParam int otherRevision,
            @RequestParam int cell,
            @RequestParam boolean here) {
        Snapshot<Character> from = characters.snapshot(other, otherRevision);
        TransferSheet sheet = made(characters.snapshot(id, revision), from, key);
        if (cell < 0 || cell >= sheet.cells().size()) {
            throw Problem.notThere("picture");
        }
        TransferSheet.Cell shown = sheet.cells().get(cell);
        Character of = here ? sheet.after() : from.state();
        Pose pose = here ? shown.here() : shown.there();
        Box box = here ? shown.hereBox() : shown.thereBox();
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                .body(SvgWriter.write(of, new Evaluator(of).frame(pose), images, box));
    }

    /** @param keys which things, as they are listed */
    public record TakeBody(int base, List<String> keys) {}

    /** Takes them, in one step that can be undone. */
    @PostMapping
    CharacterApi.CharacterView take(@PathVariable UUID id, @PathVariable UUID other, @RequestBody TakeBody body) {
        List<String> keys = Bodies.require(body.keys(), "keys");
        if (keys.size() > MOST) {
            throw Problem.refused("many-things", "At most " + MOST + " things can be taken at once.");
        }
        other(id, other);
        return CharacterApi.CharacterView.of(
                heavy.done(() -> characters.take(id, body.base(), other, keys, CharacterApi.AUTHOR)));
    }

    private Snapshot<Character> other(UUID id, UUID other) {
        if (id.equals(other)) {
            throw Problem.refused("same-character", "A character takes things from another one, not from itself.");
        }
        return characters.snapshot(other);
    }

    private TransferSheet made(Snapshot<Character> to, Snapshot<Character> from, String key) {
        Transfer transfer = characters.transfer(from, to);
        return transfer.sheet(key).orElseThrow(() -> Problem.notThere("thing"));
    }
}
