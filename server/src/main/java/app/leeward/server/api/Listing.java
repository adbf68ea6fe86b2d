package app.leeward.server.api;

import app.leeward.server.store.DocumentKind;
import app.leeward.server.store.DocumentRow;
import app.leeward.server.store.Documents;
import app.leeward.server.store.MilestoneRow;
import app.leeward.server.store.Milestones;
import app.leeward.server.store.Revisions;
import app.leeward.server.studio.Problem;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.ServletWebRequest;

/** Lists: characters, their lines, what was done to either. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "lists")
class Listing {
    private static final int LARGEST_PAGE = 1000;
    /** Beyond it a page's first row could not be counted any more. */
    private static final int FURTHEST_PAGE = 1_000_000;

    private final Documents documents;
    private final Revisions revisions;
    private final Milestones milestones;

    Listing(Documents documents, Revisions revisions, Milestones milestones) {
        this.milestones = milestones;
        this.documents = documents;
        this.revisions = revisions;
    }

    /** One document in a list. */
    public record Item(UUID id, String name, int revision, Instant changedAt) {
        static Item of(DocumentRow d) {
            return new Item(d.getId(), d.name(), d.head(), d.changedAt());
        }
    }

    /**
     * One revision in a history.
     *
     * @param milestone the name somebody gave it; empty for most
     */
    public record Step(int number, String action, String message, String author, Instant madeAt, String milestone) {}

    /** A page of items, and how many there are in all. */
    public record Items(List<Item> items, int page, long total) {
        static Items of(Page<DocumentRow> p) {
            return new Items(p.map(Item::of).getContent(), p.getNumber(), p.getTotalElements());
        }
    }

    /** A page of steps, newest first. */
    public record Steps(List<Step> steps, int page, long total) {}

    private static PageRequest page(int page, int size) {
        if (page > FURTHEST_PAGE) {
            throw Problem.refused("page", "There is no page " + page + "; lists have at most " + FURTHEST_PAGE + ".");
        }
        return PageRequest.of(Math.max(0, page), Math.max(1, Math.min(LARGEST_PAGE, size)));
    }

    /** @param away those that were put away, the last one first, instead of those that are there */
    @GetMapping("/characters")
    ResponseEntity<Items> characters(
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "50") int size,
            @RequestParam(defaultValue = "false") boolean away,
            @Parameter(hidden = true) ServletWebRequest request) {
        Items all = Items.of(
                away
                        ? documents.away(DocumentKind.CHARACTER, page(page, size))
                        : documents.all(DocumentKind.CHARACTER, page(page, size)));
        ArtworkCaching caching = ArtworkCaching.weak(ArtworkCaching.THIS_SERVER, all.toString());
        return caching.known(request)
                ? ResponseEntity.status(HttpStatus.NOT_MODIFIED).build()
                : caching.answer(false, all);
    }

    /** @param away those that were put away, the last one first, instead of those that are there */
    @GetMapping("/characters/{id}/lines")
    Items lines(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "50") int size,
            @RequestParam(defaultValue = "false") boolean away) {
        return Items.of(
                away
                        ? documents.awayOf(DocumentKind.SHOT, id, page(page, size))
                        : documents.of(DocumentKind.SHOT, id, page(page, size)));
    }

    /** @param after only what was done after this revision: what an edit refused as stale missed */
    @GetMapping({"/characters/{id}/history", "/lines/{id}/history"})
    Steps history(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int after,
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "50") int size) {
        Page<Revisions.Told> found = revisions.told(id, after, page(page, size));
        Map<Integer, String> named =
                milestones.of(id).stream().collect(Collectors.toMap(MilestoneRow::number, MilestoneRow::name));
        return new Steps(
                found.map(r -> new Step(
                                r.getNumber(),
                                r.getAction(),
                                r.getMessage(),
                                r.getAuthor(),
                                r.getMadeAt(),
                                named.getOrDefault(r.getNumber(), "")))
                        .getContent(),
                found.getNumber(),
                found.getTotalElements());
    }
}
