package app.leeward.server.studio;

import app.leeward.core.edit.Touch;
import app.leeward.formats.json.StoredJson;
import app.leeward.server.store.DocumentKind;
import app.leeward.server.store.DocumentRow;
import app.leeward.server.store.Documents;
import app.leeward.server.store.MilestoneRow;
import app.leeward.server.store.Milestones;
import app.leeward.server.store.RevisionKey;
import app.leeward.server.store.RevisionRow;
import app.leeward.server.store.RevisionRow.Action;
import app.leeward.server.store.Revisions;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.PageRequest;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * The chain of revisions behind every document. Writing an edit, undoing and redoing each add one revision in one
 * transaction; the row lock on the document gives them their order.
 */
@Component
public class RevisionService {
    /** How many revisions behind an edit may be and still be made on top of the newest. */
    private static final int FURTHEST_BEHIND = 1_000;
    /** How many of the changes made in the meantime are told; the history has all of them. */
    private static final int SINCE_TOLD = 20;
    /** Letters of stored text whose states are kept in memory; a state takes several times as many bytes. */
    private static final long MOST_LETTERS = 40_000_000;

    private final Documents documents;
    private final Revisions revisions;
    private final Milestones milestones;
    private final Clock clock;
    /** A revision never changes, so what was read of one stays true; keyed by document and number. */
    private final Cache<RevisionKey, Read> read = Caffeine.newBuilder()
            .maximumWeight(MOST_LETTERS)
            .weigher((RevisionKey key, Read r) -> r.letters())
            .build();

    private record Read(Snapshot<?> standing, int letters) {}

    RevisionService(Documents documents, Revisions revisions, Milestones milestones, Clock clock) {
        this.milestones = milestones;
        this.documents = documents;
        this.revisions = revisions;
        this.clock = clock;
    }

    /**
     * How one kind of document is kept.
     *
     * @param <T> what the document is
     * @param <E> how it changes
     */
    public interface DocumentType<T, E> {
        DocumentKind kind();

        String what();

        boolean holds(Object state);

        /** @param schema the number of the form that {@code json} is in */
        T read(int schema, String json);

        String write(T state);

        /** Whether reading what was just written would give the very same state, so that it need not be read. */
        default boolean readsBackAlike(T state) {
            return false;
        }

        /** What a state weighs in memory, in letters of its text; what others share with it is best counted too. */
        default int weight(T state, String text) {
            return text.length();
        }

        String writeEdit(E edit);

        /** @throws Problem when the edit cannot be made */
        T apply(T before, E edit);

        String describe(T before, E edit);

        Set<Touch> touches(E edit);

        String name(T state);
    }

    public <T, E> Snapshot<T> snapshot(DocumentType<T, E> type, UUID id) {
        DocumentRow document = documents
                .peek(id)
                .filter(d -> d.kind() == type.kind())
                .orElseThrow(() -> Problem.notThere(type.what()));
        return kept(type, document, document.head());
    }

    /** What is kept in memory of a revision, or read now; the document must be of the type's kind. */
    private <T, E> Snapshot<T> kept(DocumentType<T, E> type, DocumentRow document, int number) {
        Read known = read.get(new RevisionKey(document.getId(), number), k -> {
            RevisionRow row = row(k.document(), number);
            Snapshot<T> standing = standing(type, document, row);
            return new Read(standing, type.weight(standing.state(), row.state()));
        });
        @SuppressWarnings("unchecked") // the kind alone decides what a document is read as
        Snapshot<T> standing = (Snapshot<T>) known.standing();
        return standing;
    }

    /** A document as it stood at one revision. */
    public <T, E> Snapshot<T> snapshot(DocumentType<T, E> type, UUID id, int revision) {
        Read known = read.getIfPresent(new RevisionKey(id, revision));
        if (known != null && type.holds(known.standing().state())) {
            @SuppressWarnings("unchecked") // the line above asked
            Snapshot<T> here = (Snapshot<T>) known.standing();
            return here;
        }
        DocumentRow document = documents
                .peek(id)
                .filter(d -> d.kind() == type.kind())
                .orElseThrow(() -> Problem.notThere(type.what()));
        if (revision < 1 || revision > document.head()) {
            throw Problem.notThere("revision");
        }
        return kept(type, document, revision);
    }

    private RevisionRow row(UUID id, int number) {
        return revisions
                .findById(new RevisionKey(id, number))
                .orElseThrow(() -> new IllegalStateException("revision " + number + " of " + id + " is missing"));
    }

    private <T, E> Snapshot<T> standing(DocumentType<T, E> type, DocumentRow document, RevisionRow row) {
        return standing(document, row, type.read(row.schema(), row.state()));
    }

    private <T> Snapshot<T> standing(DocumentRow document, RevisionRow row, T state) {
        return new Snapshot<>(
                document.getId(),
                document.belongsTo(),
                row.number(),
                state,
                row.cameFrom() == null ? Optional.empty() : Optional.of(made(row, row.standsAt())),
                row.ahead().stream().findFirst().map(next -> made(row, next)));
    }

    /** An edit of the same document as a revision, which may be that revision itself. */
    private Snapshot.Made made(RevisionRow row, int number) {
        if (number == row.number()) {
            return new Snapshot.Made(row.message(), row.madeAt());
        }
        Revisions.Told told = revisions.told(row.getId().document(), number);
        return new Snapshot.Made(told.getMessage(), told.getMadeAt());
    }

    boolean hasNamed(DocumentKind kind, UUID owner, String name) {
        return documents.existsByKindAndBelongsToAndNameAndPutAwayIsNull(kind, owner, name);
    }

    void putAway(UUID id) {
        documents.putAway(id);
    }

    void bringBack(UUID id) {
        documents.bringBack(id);
    }

    /** Begins a document with the state its first edit makes. */
    @Transactional
    public <T, E> Snapshot<T> begin(DocumentType<T, E> type, UUID id, UUID belongsTo, T state, E edit, String author) {
        return begin(type, id, belongsTo, state, edit, author, clock.instant());
    }

    /** @param asked when it was asked for, by which it is listed */
    @Transactional
    public <T, E> Snapshot<T> begin(
            DocumentType<T, E> type, UUID id, UUID belongsTo, T state, E edit, String author, Instant asked) {
        Instant now = clock.instant();
        DocumentRow document = documents.save(new DocumentRow(id, type.kind(), belongsTo, type.name(state), asked));
        RevisionRow first = new RevisionRow(
                id,
                1,
                Action.EDIT,
                type.writeEdit(edit),
                type.touches(edit),
                type.describe(state, edit),
                author,
                now,
                StoredJson.SCHEMA,
                type.write(state),
                1,
                null,
                List.of());
        revisions.save(first);
        document.advance(1, type.name(state), now);
        return remembered(type, standing(type, document, first), first);
    }

    /**
     * Makes an edit that was asked for on revision {@code base}. When others edited since, it is made on top of theirs,
     * unless they touched the same thing.
     *
     * @throws Problem {@code stale} (409) with what changed, or whatever the edit itself is refused for
     */
    @Transactional
    public <T, E> Snapshot<T> edit(DocumentType<T, E> type, UUID id, int base, E edit, String author) {
        DocumentRow document = locked(type, id);
        requireRoom(id, base, document.head(), type.touches(edit));
        T before = kept(type, document, document.head()).state();
        T after = type.apply(before, edit);
        return add(
                type,
                document,
                Action.EDIT,
                type.writeEdit(edit),
                type.touches(edit),
                type.describe(before, edit),
                author,
                after,
                document.head() + 1,
                revisions.standsAt(id, document.head()),
                List.of());
    }

    private <T, E> DocumentRow locked(DocumentType<T, E> type, UUID id) {
        return documents.lock(id).filter(d -> d.kind() == type.kind()).orElseThrow(() -> Problem.notThere(type.what()));
    }

    /**
     * Whether an edit asked for on {@code base} can still be made: asked before costly work is begun, and again by {@link
     * #edit}.
     *
     * @throws Problem {@code no-revision} (404) for a base that never was, {@code stale} (409) with what changed
     */
    public <T, E> void requireRoom(DocumentType<T, E> type, UUID id, int base, Set<Touch> touched) {
        DocumentRow document = documents
                .peek(id)
                .filter(d -> d.kind() == type.kind())
                .orElseThrow(() -> Problem.notThere(type.what()));
        requireRoom(id, base, document.head(), touched);
    }

    private void requireRoom(UUID id, int base, int head, Set<Touch> touched) {
        requireBase(base, head);
        boolean clash = base != head
                && (head - base > FURTHEST_BEHIND
                        || touched.contains(Touch.EVERYTHING)
                        || revisions.clash(
                                id,
                                base,
                                Touch.EVERYTHING.word(),
                                touched.stream().map(Touch::word).toArray(String[]::new)));
        if (clash) {
            throw stale(id, base, head);
        }
    }

    private static void requireBase(int base, int head) {
        if (base < 1 || base > head) {
            throw new Problem(
                    HttpStatus.NOT_FOUND,
                    "no-revision",
                    "base",
                    "There is no revision " + base + "; the newest is " + head + ".");
        }
    }

    private Problem stale(UUID id, int base, int head) {
        List<String> latest = new ArrayList<>(revisions.messagesSince(id, base, PageRequest.of(0, SINCE_TOLD)));
        Collections.reverse(latest);
        return new Problem(
                HttpStatus.CONFLICT,
                "stale",
                "",
                "This was changed in another window in the meantime; what you see has been brought up to date.",
                latest,
                head - base);
    }

    /** Goes one edit back. */
    @Transactional
    public <T, E> Snapshot<T> undo(DocumentType<T, E> type, UUID id, int base, String author) {
        DocumentRow document = locked(type, id);
        RevisionRow head = fresh(document, base);
        if (head.cameFrom() == null) {
            throw Problem.refused("nothing-to-undo", "There is nothing to undo.");
        }
        RevisionRow target = row(id, head.cameFrom());
        List<Integer> ahead = new ArrayList<>();
        ahead.add(head.standsAt());
        ahead.addAll(head.ahead());
        return add(
                type,
                document,
                Action.UNDO,
                null,
                null,
                "Undid: " + revisions.message(id, head.standsAt()),
                author,
                type.read(target.schema(), target.state()),
                target.standsAt(),
                target.cameFrom(),
                ahead);
    }

    /** Goes to the edit last undone. */
    @Transactional
    public <T, E> Snapshot<T> redo(DocumentType<T, E> type, UUID id, int base, String author) {
        DocumentRow document = locked(type, id);
        RevisionRow head = fresh(document, base);
        if (head.ahead().isEmpty()) {
            throw Problem.refused("nothing-to-redo", "There is nothing to redo.");
        }
        RevisionRow target = row(id, head.ahead().get(0));
        return add(
                type,
                document,
                Action.REDO,
                null,
                null,
                "Did again: " + target.message(),
                author,
                type.read(target.schema(), target.state()),
                target.standsAt(),
                target.cameFrom(),
                head.ahead().subList(1, head.ahead().size()));
    }

    /**
     * To which revision a step leads.
     *
     * @param base a revision from which a step was made
     */
    public int target(UUID id, int base, boolean back) {
        RevisionRow from = row(id, base);
        return back ? from.cameFrom() : from.ahead().get(0);
    }

    /** Makes the document again what it was at one revision; that can be undone like an edit. */
    @Transactional
    public <T, E> Snapshot<T> returnTo(DocumentType<T, E> type, UUID id, int base, int number, String author) {
        DocumentRow document = locked(type, id);
        RevisionRow head = fresh(document, base);
        if (number < 1 || number > document.head()) {
            throw Problem.notThere("revision");
        }
        RevisionRow target = row(id, number);
        String named = milestones
                .findById(new RevisionKey(id, number))
                .map(m -> "“" + m.name() + "”")
                .orElse("revision " + number);
        return add(
                type,
                document,
                Action.RETURN,
                null,
                null,
                "Returned to " + named + ": " + target.message(),
                author,
                type.read(target.schema(), target.state()),
                document.head() + 1,
                head.standsAt(),
                List.of());
    }

    /** Gives a revision a name; an empty one takes the name away. */
    @Transactional
    public <T, E> void name(DocumentType<T, E> type, UUID id, int number, String name) {
        DocumentRow document = locked(type, id);
        if (number < 1 || number > document.head()) {
            throw Problem.notThere("revision");
        }
        RevisionKey key = new RevisionKey(id, number);
        if (name.isBlank()) {
            milestones.deleteById(key);
        } else {
            milestones.save(new MilestoneRow(key, name.strip()));
        }
    }

    private RevisionRow fresh(DocumentRow document, int base) {
        requireBase(base, document.head());
        if (base != document.head()) {
            throw stale(document.getId(), base, document.head());
        }
        return row(document.getId(), document.head());
    }

    private <T, E> Snapshot<T> add(
            DocumentType<T, E> type,
            DocumentRow document,
            Action action,
            String edit,
            Set<Touch> touched,
            String message,
            String author,
            T state,
            int standsAt,
            Integer cameFrom,
            List<Integer> ahead) {
        Instant now = clock.instant();
        RevisionRow row = new RevisionRow(
                document.getId(),
                document.head() + 1,
                action,
                edit,
                touched,
                message,
                author,
                now,
                StoredJson.SCHEMA,
                type.write(state),
                standsAt,
                cameFrom,
                ahead);
        revisions.save(row);
        document.advance(row.number(), type.name(state), now);
        return remembered(
                type, type.readsBackAlike(state) ? standing(document, row, state) : standing(type, document, row), row);
    }

    /** What was read back from what is written need not be read again, once it is certain to stay. */
    private <T, E> Snapshot<T> remembered(DocumentType<T, E> type, Snapshot<T> written, RevisionRow row) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                read.put(row.getId(), new Read(written, type.weight(written.state(), row.state())));
            }
        });
        return written;
    }
}
