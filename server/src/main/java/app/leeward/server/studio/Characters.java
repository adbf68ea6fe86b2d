package app.leeward.server.studio;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.check.Checks;
import app.leeward.core.check.Finding;
import app.leeward.core.check.SafeMend;
import app.leeward.core.check.SafeMends;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.ImportCharacter;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.TakeFrom;
import app.leeward.core.edit.TakeVersion;
import app.leeward.core.edit.Touch;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.hand.Hands;
import app.leeward.core.intake.IntakeReport;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.intake.NewVersion;
import app.leeward.core.intake.Versions;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.ImportedSource;
import app.leeward.core.rig.StackingOrder;
import app.leeward.core.transfer.Transfer;
import app.leeward.core.turn.TurnCheck;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.formats.json.StoredJson;
import app.leeward.server.store.DocumentKind;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Characters: read from art, edited, undone, posed. */
@Service
public class Characters {
    private static final int FRAME_RATE = 24;
    private static final int MOST_PARTS = 20_000;

    private final RevisionService ledger;
    private final Keeping keeping;
    private final StoredImages images;
    /** Weighed by parts, since a rig of a thousand takes ten times the memory of one of a hundred. */
    private final Cache<String, Evaluator> evaluators = Caffeine.newBuilder()
            .maximumWeight(MOST_PARTS)
            .weigher(
                    (String key, Evaluator e) -> 1 + e.character().rig().parts().size())
            .build();

    private final Cache<String, List<Hands.Hand>> hands =
            Caffeine.newBuilder().maximumSize(50).build();
    private final Cache<String, IntakeReport> reports =
            Caffeine.newBuilder().maximumSize(50).build();

    private final Cache<String, List<Finding>> findings =
            Caffeine.newBuilder().maximumSize(500).build();

    private final Cache<String, List<SafeMend>> safe =
            Caffeine.newBuilder().maximumSize(50).build();

    private final Cache<String, List<TurnCheck.Position>> turns =
            Caffeine.newBuilder().maximumSize(50).build();

    private final Cache<String, Transfer> transfers =
            Caffeine.newBuilder().maximumSize(20).build();

    private final HeavyWork heavy;

    Characters(RevisionService ledger, StoredJson json, StoredArt shelf, StoredImages images, HeavyWork heavy) {
        this.heavy = heavy;
        this.images = images;
        this.ledger = ledger;
        this.keeping = new Keeping(json, shelf);
    }

    /**
     * A new character from a layered file.
     *
     * @param fileName what the file was called; its stem is the name when the art has no title
     */
    public Snapshot<Character> read(UUID id, byte[] file, String fileName, String author) {
        return read(id, file, fileName, author, read -> read);
    }

    /** The same, with something done to what was read before it is kept. */
    public Snapshot<Character> read(
            UUID id, byte[] file, String fileName, String author, UnaryOperator<Character> finish) {
        Character read = finish.apply(hung(file, fileName));
        Character character =
                read.withOrigin(origin -> origin.withSource(Optional.of(ImportedSource.of(shortened(fileName), read))));
        return ledger.begin(keeping, id, null, character, new ImportCharacter(character, shortened(fileName)), author);
    }

    /** A character as it was in another Leeward. */
    Snapshot<Character> begin(UUID id, Character character, String fileName, String author) {
        return ledger.begin(keeping, id, null, character, new ImportCharacter(character, shortened(fileName)), author);
    }

    /** Makes a character what it is in another Leeward; one that is so already stays as it is. */
    Snapshot<Character> replace(UUID id, Character character, String fileName, String author) {
        Snapshot<Character> now = snapshot(id);
        return now.state().equals(character)
                ? now
                : ledger.edit(keeping, id, now.revision(), new ImportCharacter(character, shortened(fileName)), author);
    }

    /**
     * What a newer version of a character's art changes; nothing of it is made.
     *
     * @throws Problem when the file cannot be read
     */
    public NewVersion compare(UUID id, byte[] file, String fileName) {
        return Versions.between(snapshot(id).state(), shortened(fileName), hung(file, fileName))
                .report();
    }

    /** @throws Problem when a newer version of the art could not be taken over any more */
    public void requireRoomForVersion(UUID id, int base) {
        ledger.requireRoom(keeping, id, base, Set.of(Touch.EVERYTHING));
    }

    /** Takes changes over from a newer version of the art. */
    public Snapshot<Character> take(UUID id, int base, byte[] file, String fileName, List<String> keys, String author) {
        Edit edit = new TakeVersion(shortened(fileName), hung(file, fileName), keys);
        return ledger.edit(keeping, id, base, edit, author);
    }

    /**
     * Begins a character up to the last statement and measures its hands, so that the Java machine has translated what that takes before somebody waits.
     * The transaction it is called in has to be taken back.
     */
    public void practise(byte[] file) {
        Snapshot<Character> made = read(UUID.randomUUID(), file, "practice.svg", "practice");
        keeping.shelf().practise();
        Hands.of(made.state());
    }

    /** What a character could take from another, worked out once for two revisions. */
    public Transfer transfer(Snapshot<Character> other, Snapshot<Character> standing) {
        return transfers.get(
                other.id() + "/" + other.revision() + ">" + standing.id() + "/" + standing.revision(),
                k -> Transfer.between(other.state(), standing.state()));
    }

    /** Takes things from another character, as it stands now. */
    public Snapshot<Character> take(UUID id, int base, UUID other, List<String> keys, String author) {
        return ledger.edit(keeping, id, base, new TakeFrom(snapshot(other).state(), keys), author);
    }

    private static List<Artwork> arts(Character c) {
        return c.rig().parts().stream()
                .flatMap(p -> p.drawings().stream())
                .map(Drawing::art)
                .toList();
    }

    /** A file's layers hung together as a character of their own; its pictures are kept, its drawings not yet. */
    private Character hung(byte[] file, String fileName) {
        LayeredArt art = layered(file);
        String stem = fileName.replaceAll("^.*[/\\\\]", "")
                .replaceAll("\\.[A-Za-z0-9]{1,5}$", "")
                .strip();
        String name = art.title()
                .filter(t -> t.length() <= Edits.LONGEST_NAME)
                .orElse(stem.isBlank() ? "Character" : shortened(stem));
        IntakeResult result = art.assembled(name, FRAME_RATE);
        if (result instanceof IntakeResult.Unusable u) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, u.code(), "the whole file", u.message());
        }
        Character hung = ((IntakeResult.Hung) result).character();
        images.keep(art.images());
        return art.stacked() ? hung : hung.withRig(rig -> rig.withOrder(StackingOrder.byRole(hung)));
    }

    private static String shortened(String s) {
        return s.length() > Edits.LONGEST_NAME ? s.substring(0, Edits.LONGEST_NAME) : s;
    }

    private static LayeredArt layered(byte[] file) {
        return asked(() -> ArtReader.read(file));
    }

    /** Bytes of memory that reading a file takes, about. */
    public static long cost(byte[] file) {
        return asked(() -> ArtReader.cost(file));
    }

    private static <T> T asked(Supplier<T> work) {
        try {
            return work.get();
        } catch (ArtProblem e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), e.place(), e.getMessage());
        }
    }

    public Snapshot<Character> snapshot(UUID id) {
        return ledger.snapshot(keeping, id);
    }

    /** As it stood at one revision. */
    public Snapshot<Character> snapshot(UUID id, int revision) {
        return ledger.snapshot(keeping, id, revision);
    }

    public Snapshot<Character> edit(UUID id, int base, Edit edit, String author) {
        if (edit instanceof ImportCharacter || edit instanceof TakeVersion || edit instanceof TakeFrom) {
            throw Problem.refused(
                    "art-by-file", "Art is read from a file or taken from a character here, not sent with an edit.");
        }
        return ledger.edit(keeping, id, base, edit, author);
    }

    public Snapshot<Character> undo(UUID id, int base, String author) {
        return ledger.undo(keeping, id, base, author);
    }

    public Snapshot<Character> redo(UUID id, int base, String author) {
        return ledger.redo(keeping, id, base, author);
    }

    /** The compiled form of a character's newest revision. */
    public Evaluator evaluator(Snapshot<Character> standing) {
        return evaluators.get(standing.id() + "/" + standing.revision(), k -> new Evaluator(standing.state()));
    }

    /**
     * What an edit makes of a character, without storing anything.
     *
     * @throws Problem when the edit cannot be made
     */
    public static Character applied(Character before, Edit edit) {
        Outcome outcome = Edits.apply(before, edit);
        if (outcome instanceof Outcome.Refused r) {
            throw Problem.refused(r.code(), r.message());
        }
        return ((Outcome.Done) outcome).character();
    }

    public Snapshot<Character> returnTo(UUID id, int base, int number, String author) {
        return ledger.returnTo(keeping, id, base, number, author);
    }

    /** Takes a character out of the list, with its shots; nothing of it is thrown away. */
    public void putAway(UUID id) {
        snapshot(id);
        ledger.putAway(id);
    }

    /** Puts it there again, as it was. */
    public void bringBack(UUID id) {
        snapshot(id);
        ledger.bringBack(id);
    }

    public void nameRevision(UUID id, int number, String name) {
        if (name.strip().length() > Edits.LONGEST_NAME) {
            throw Problem.refused("long-name", "A name has at most " + Edits.LONGEST_NAME + " letters.");
        }
        ledger.name(keeping, id, number, name);
    }

    /** What the Intake bench shows, measured once a revision. */
    public IntakeReport report(Snapshot<Character> standing) {
        return reports.get(standing.id() + "/" + standing.revision(), k -> IntakeReport.of(standing.state()));
    }

    /** What one check finds; measured once for each revision. */
    public List<Finding> findings(Snapshot<Character> standing, String check) {
        return findings.get(
                standing.id() + "/" + standing.revision() + "/" + check,
                k -> Checks.of(standing.state(), check).orElseThrow());
    }

    /** What can be mended without asking, tried once for each revision. */
    public List<SafeMend> safeMends(Snapshot<Character> standing) {
        return safe.get(
                standing.id() + "/" + standing.revision(), k -> heavy.done(() -> SafeMends.of(standing.state())));
    }

    /** What the head turn hides and uncovers, measured once a revision. */
    public List<TurnCheck.Position> turnMeasured(Snapshot<Character> standing, List<Double> at) {
        return turns.get(standing.id() + "/" + standing.revision(), k -> TurnCheck.of(standing.state(), at));
    }

    /** Every hand at its wrist, measured once a revision. */
    public List<Hands.Hand> handsMeasured(Snapshot<Character> standing) {
        return hands.get(standing.id() + "/" + standing.revision(), k -> Hands.of(standing.state()));
    }

    private record Keeping(StoredJson json, StoredArt shelf) implements RevisionService.DocumentType<Character, Edit> {
        @Override
        public DocumentKind kind() {
            return DocumentKind.CHARACTER;
        }

        @Override
        public String what() {
            return "character";
        }

        @Override
        public boolean holds(Object state) {
            return state instanceof Character;
        }

        @Override
        public Character read(int schema, String text) {
            return json.read(schema, text, Character.class);
        }

        @Override
        public String write(Character state) {
            return json.write(Character.class, state);
        }

        /** Only new outlines lose digits when they are kept. */
        @Override
        public boolean readsBackAlike(Character state) {
            return !shelf.puts();
        }

        @Override
        public String writeEdit(Edit edit) {
            if (edit instanceof ImportCharacter a) {
                shelf.putAll(arts(a.character()));
            }
            return json.write(Edit.class, edit);
        }

        @Override
        public Character apply(Character before, Edit edit) {
            return applied(before, edit);
        }

        @Override
        public String describe(Character before, Edit edit) {
            return edit.describe(before);
        }

        @Override
        public Set<Touch> touches(Edit edit) {
            return edit.touches();
        }

        @Override
        public String name(Character state) {
            return state.name();
        }
    }
}
