package app.leeward.server.studio;

import app.leeward.core.acting.FirstPass;
import app.leeward.core.acting.Spoken;
import app.leeward.core.acting.Temperament;
import app.leeward.core.cue.Laid;
import app.leeward.core.edit.Facet;
import app.leeward.core.edit.Touch;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.LayoutEdit;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.formats.art.Sha256;
import app.leeward.formats.json.StoredJson;
import app.leeward.server.store.SoundRow;
import app.leeward.server.store.Sounds;
import app.leeward.speech.LineReader;
import app.leeward.speech.Listening;
import app.leeward.speech.Prominence;
import app.leeward.speech.Sound;
import app.leeward.speech.SoundFile;
import app.leeward.speech.SoundMix;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.WavFile;
import app.leeward.speech.WordReader;
import app.leeward.speech.script.TimedLine;
import app.leeward.speech.script.TimingGrid;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Lines: recorded, read into timed sounds, corrected, played. */
@Service
public class Lines {
    private static final int LONGEST_TEXT = 12_000;
    private static final int LONGEST_SOUNDS = 400;
    /** Frames of lines kept ready to be played. */
    private static final int MOST_FRAMES = 400_000;
    /** What reading a line again touches. */
    private static final Set<Touch> REALIGNED = Set.of(Facet.LINE.all());

    private final RevisionService ledger;
    private final Characters characters;
    private final Sounds sounds;
    private final LineReader reader;
    private final TransactionTemplate transaction;
    private final ShotKeeping keeping;
    private final SoundFile soundFile = new SoundFile();
    private final Cache<String, Playhead> playheads = Caffeine.newBuilder()
            .maximumWeight(MOST_FRAMES)
            .weigher((String key, Playhead p) ->
                    1 + p.mouths().map(m -> m.drawings().size()).orElse(0))
            .build();

    Lines(
            RevisionService ledger,
            Characters characters,
            Sounds sounds,
            LineReader reader,
            StoredJson json,
            TransactionTemplate transaction) {
        this.ledger = ledger;
        this.characters = characters;
        this.sounds = sounds;
        this.reader = reader;
        this.transaction = transaction;
        this.keeping = new ShotKeeping(json);
    }

    ShotKeeping keeping() {
        return keeping;
    }

    /** Any recording as a WAV that can be read. */
    public byte[] wav(byte[] recording) {
        return heard(() -> soundFile.wav(recording));
    }

    /** Finds the words in the recording and begins a line with them, while the caller waits. */
    public Snapshot<Shot> record(UUID id, UUID characterId, String name, String words, byte[] wav, String author) {
        Character character = characters.snapshot(characterId).state();
        Shot shot = shot(name, words, wav, character, Listening.ALONE);
        return transaction.execute(t -> {
            keep(shot, wav);
            return ledger.begin(keeping, id, characterId, shot, new ShotEdit.Record(shot), author);
        });
    }

    /**
     * A shot as it was in another Leeward.
     *
     * @param recordings the WAV file of each of its lines by its hash
     */
    void begin(UUID characterId, Shot shot, Map<String, byte[]> recordings, String author) {
        keepSounds(shot, recordings);
        ledger.begin(keeping, UUID.randomUUID(), characterId, shot, new ShotEdit.Record(shot), author);
    }

    /** Makes a shot what it is elsewhere; one that is so already stays as it is. */
    void replace(UUID id, Shot shot, Map<String, byte[]> recordings, String author) {
        keepSounds(shot, recordings);
        Snapshot<Shot> now = snapshot(id);
        if (!now.state().equals(shot)) {
            ledger.edit(keeping, id, now.revision(), new ShotEdit.Record(shot), author);
        }
    }

    private void keepSounds(Shot shot, Map<String, byte[]> recordings) {
        for (PlacedLine placed : shot.lines()) {
            byte[] wav = recordings.get(placed.line().sound());
            heard(() -> WavFile.read(wav));
            sounds.keep(placed.line().sound(), wav, placed.line().seconds());
        }
    }

    void keep(Shot shot, byte[] wav) {
        DialogueLine line = shot.lines().get(0).line();
        sounds.keep(line.sound(), wav, line.seconds());
    }

    /** The first line of a shot, which its words and sounds are corrected of. */
    static PlacedLine first(Shot shot) {
        return shot.lines().stream()
                .findFirst()
                .orElseThrow(() -> Problem.refused("no-line", "Nothing is said in the shot '" + shot.name() + "'."));
    }

    /**
     * A line of a shot.
     *
     * @param at the frame it begins at; null for the first
     */
    static PlacedLine line(Shot shot, Integer at) {
        return at == null
                ? first(shot)
                : shot.lines().stream()
                        .filter(p -> p.at() == at)
                        .findFirst()
                        .orElseThrow(() -> Problem.notThere("line"));
    }

    /**
     * Begins a shot.
     *
     * @param frames how long; as long as its line, or two seconds, when nobody says
     * @param line the shot whose first line is said at its beginning
     */
    public Snapshot<Shot> begin(
            UUID characterId, String name, Optional<Integer> frames, Optional<UUID> line, String author) {
        Snapshot<Character> character = characters.snapshot(characterId);
        TrackRules rules = TrackRules.at(character.state().sheet().frameRate());
        Shot silent = Shot.silent(
                name.isBlank() ? "" : shortened(name.strip()),
                rules,
                frames.orElse(line.isPresent() ? 1 : 2 * rules.frameRate()));
        Shot shot = line.map(from ->
                        new LayoutEdit.PlaceLine(0, first(of(from, characterId)).line()).apply(silent))
                .orElse(silent);
        UUID id = UUID.randomUUID();
        return transaction.execute(
                t -> ledger.begin(keeping, id, characterId, shot, new ShotEdit.Record(shot), author));
    }

    /** Places the first line of another shot in this one. */
    public Snapshot<Shot> place(UUID id, int base, int at, UUID from, String author) {
        DialogueLine line = first(of(from, snapshot(id).belongsTo())).line();
        return ledger.edit(keeping, id, base, new LayoutEdit.PlaceLine(at, line), author);
    }

    /** Lays a first pass of acting over a shot. */
    public Snapshot<Shot> firstPass(
            UUID id,
            int base,
            Temperament temperament,
            double strength,
            long seed,
            Set<Laid.Kind> kinds,
            String author) {
        if (kinds.isEmpty()) {
            throw Problem.refused("no-change", "No kind of acting is chosen.");
        }
        Snapshot<Shot> now = snapshot(id);
        // listening takes a moment: what is stale is refused before it
        ledger.requireRoom(keeping, id, base, Set.of(Facet.BLINKS.all(), Facet.LOOK.all()));
        Shot shot = now.state();
        List<Spoken> words = shot.lines().stream()
                .flatMap(p -> Prominence.of(
                                WavFile.read(recording(p.line().sound()).wav()), p.line())
                        .stream()
                        .map(w -> w.later(shot.starts(p))))
                .toList();
        Character character = characters.snapshot(now.belongsTo()).state();
        return ledger.edit(
                keeping,
                id,
                base,
                FirstPass.propose(character, shot, words, temperament, strength, seed, kinds),
                author);
    }

    private Shot of(UUID shot, UUID character) {
        Snapshot<Shot> there = snapshot(shot);
        if (!there.belongsTo().equals(character)) {
            throw Problem.notThere("line");
        }
        return there.state();
    }

    Shot shot(String name, String words, byte[] wav, Character character, Listening listening) {
        Sound sound = heard(() -> WavFile.read(wav));
        String hash = Sha256.of(wav);
        DialogueLine line = heard(() -> words.isBlank()
                ? reader.withoutWords("", sound, hash, listening)
                : reader.read(within(words), sound, hash, character.voice().lexicon(), listening));
        return shot(name, line, character);
    }

    static Shot shot(String name, DialogueLine line, Character character) {
        String title = name == null || name.isBlank() ? titleOf(line.text()) : shortened(name.strip());
        return new Shot(title, line, TrackRules.at(character.sheet().frameRate()), Map.of());
    }

    static String within(String words) {
        if (words.length() > LONGEST_TEXT) {
            throw new SpeechProblem(
                    "words-many", "The words are " + words.length() + " letters long; at most " + LONGEST_TEXT + ".");
        }
        return words.strip();
    }

    private static String titleOf(String words) {
        String[] all = words.strip().replaceAll("[.!?].*", "").split("\\s+");
        return shortened(String.join(" ", List.of(all).subList(0, Math.min(5, all.length))));
    }

    private static String shortened(String s) {
        String text = s.isBlank() ? "Line" : s;
        return text.length() > 80 ? text.substring(0, 80) : text;
    }

    static <T> T heard(Supplier<T> work) {
        try {
            return work.get();
        } catch (SpeechProblem e) {
            String place = e.code().startsWith("word") || e.code().startsWith("sounds")
                    ? "words"
                    : e.code().startsWith("grid") ? "grid" : "recording";
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), place, e.getMessage());
        }
    }

    public Snapshot<Shot> snapshot(UUID id) {
        return ledger.snapshot(keeping, id);
    }

    /** As it stood at one revision. */
    public Snapshot<Shot> snapshot(UUID id, int revision) {
        return ledger.snapshot(keeping, id, revision);
    }

    public Snapshot<Shot> edit(UUID id, int base, ShotEdit edit, String author) {
        if (edit instanceof ShotEdit.Record
                || edit instanceof ShotEdit.Realign
                || edit instanceof LayoutEdit.PlaceLine
                || edit instanceof LayoutEdit.Retake) {
            throw Problem.refused("read-by-words", "Timed sounds come from a recording and its words.");
        }
        if (CastCheck.looksAt(edit)) {
            CastCheck.require(characters.snapshot(snapshot(id).belongsTo()).state(), edit);
        }
        if (edit instanceof ShotEdit.LayBlinks lay) {
            Snapshot<Shot> now = snapshot(id);
            edit = lay.near(now.state(), characters.snapshot(now.belongsTo()).state());
        }
        return ledger.edit(keeping, id, base, edit, author);
    }

    /** Whether a state is just what an edit makes of the state at its base, and is said with the same mouths. */
    public boolean follows(Snapshot<Shot> made, int base, ShotEdit edit) {
        return made.revision() == base + 1
                && !(edit instanceof ShotEdit.LayBlinks)
                && made.state().speaksLike(snapshot(made.id(), base).state());
    }

    public Snapshot<Shot> undo(UUID id, int base, String author) {
        return ledger.undo(keeping, id, base, author);
    }

    public Snapshot<Shot> redo(UUID id, int base, String author) {
        return ledger.redo(keeping, id, base, author);
    }

    /** The revision whose shot is that after a step from {@code base}. */
    public int target(UUID id, int base, boolean back) {
        return ledger.target(id, base, back);
    }

    public Snapshot<Shot> returnTo(UUID id, int base, int to, String author) {
        return ledger.returnTo(keeping, id, base, to, author);
    }

    /** A new line as a grid times it. */
    public Snapshot<Shot> timed(
            UUID characterId,
            String name,
            byte[] wav,
            TimingGrid grid,
            int sounds,
            Optional<Integer> words,
            Map<String, Phone> meant,
            String author) {
        Character character = characters.snapshot(characterId).state();
        double seconds = heard(() -> WavFile.read(wav)).seconds();
        DialogueLine line = heard(() -> TimedLine.of(grid, sounds, words, meant, Sha256.of(wav), seconds));
        Shot read = shot(name, line, character);
        return transaction.execute(t -> {
            keep(read, wav);
            Shot shot = apart(read, characterId);
            return ledger.begin(keeping, UUID.randomUUID(), characterId, shot, new ShotEdit.Record(shot), author);
        });
    }

    /** With a number behind its name when the character has a line of that name already. */
    Shot apart(Shot shot, UUID characterId) {
        String name = shot.name();
        for (int i = 2; ledger.hasNamed(keeping.kind(), characterId, name); i++) {
            name = shortened(shot.name()) + " " + i;
        }
        return shot.withName(name);
    }

    /** A copy of a line of one character for another one: what it holds of drawings and dials is found by their names there. */
    Snapshot<Shot> copyTo(UUID characterId, Shot shot, String author) {
        return ledger.begin(
                keeping, UUID.randomUUID(), characterId, apart(shot, characterId), new ShotEdit.Record(shot), author);
    }

    /** A copy of a line, which is another line from then on. */
    public Snapshot<Shot> duplicate(UUID id, String author) {
        Snapshot<Shot> now = snapshot(id);
        Shot copy = apart(now.state(), now.belongsTo());
        return ledger.begin(keeping, UUID.randomUUID(), now.belongsTo(), copy, new ShotEdit.Record(copy), author);
    }

    /** Takes a line out of the list; nothing of it is thrown away. */
    public void putAway(UUID id) {
        snapshot(id);
        ledger.putAway(id);
    }

    /** Puts it there again, as it was. */
    public void bringBack(UUID id) {
        snapshot(id);
        ledger.bringBack(id);
    }

    /** Listens to a stretch of a line again; times are seconds into its recording. */
    public Snapshot<Shot> again(UUID id, int base, int at, double from, double to, String author) {
        // listening takes a moment: what is stale is refused before it
        requireRoom(id, base);
        Snapshot<Shot> now = snapshot(id);
        DialogueLine line = line(now.state(), at).line();
        Lexicon lexicon = characters.snapshot(now.belongsTo()).state().voice().lexicon();
        DialogueLine read = heard(() -> reader.again(
                line, from, to, WavFile.read(recording(line.sound()).wav()), lexicon));
        return ledger.edit(keeping, id, base, new ShotEdit.Realign(at, read), author);
    }

    /** @throws Problem when a line read again could not be written any more */
    void requireRoom(UUID id, int base) {
        ledger.requireRoom(keeping, id, base, REALIGNED);
    }

    /** @throws Problem when another take could not be put in any more */
    void requireRoomForTake(UUID id, int base) {
        ledger.requireRoom(keeping, id, base, Set.of(Touch.EVERYTHING));
    }

    /** @throws Problem when the line does not have the word */
    void requireWord(DialogueLine line, String word) {
        boolean there = WordReader.read(line.text()).stream()
                .flatMap(w -> w.spoken().stream())
                .anyMatch(word.strip()::equalsIgnoreCase);
        if (!there) {
            String told = word.length() > 40 ? word.substring(0, 40) + "…" : word;
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_ENTITY, "word-not-there", "word", "This line has no word '" + told + "'.");
        }
    }

    /** @throws Problem when nobody could say it */
    List<Phone> phones(String soundsLike) {
        if (soundsLike.length() > LONGEST_SOUNDS) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_ENTITY,
                    "sounds-many",
                    "soundsLike",
                    "How a word sounds is told in " + LONGEST_SOUNDS + " letters at most.");
        }
        return heard(() -> reader.soundsLike(soundsLike));
    }

    /**
     * Looks at a recording and its words without listening to it.
     *
     * @return how long it lasts, seconds
     * @throws Problem for what can be seen to be wrong
     */
    double readable(String words, byte[] wav, Lexicon lexicon) {
        Sound sound = heard(() -> WavFile.read(wav));
        if (!words.isBlank()) {
            heard(() -> {
                reader.requireReadable(within(words), sound.seconds(), lexicon);
                return true;
            });
        }
        return sound.seconds();
    }

    void readable(String words, double seconds, Lexicon lexicon) {
        heard(() -> {
            reader.requireReadable(within(words), seconds, lexicon);
            return true;
        });
    }

    /** The file of a recording. */
    byte[] wavOf(String hash) {
        return recording(hash).wav();
    }

    private SoundRow recording(String hash) {
        return sounds.findById(hash).orElseThrow(() -> Problem.notThere("recording"));
    }

    /** What is heard in a shot, in time; empty where nothing is said. */
    public Optional<Sound> sound(Shot shot) {
        List<SoundMix.Placed> placed = shot.lines().stream()
                .map(p -> new SoundMix.Placed(
                        shot.starts(p), WavFile.read(recording(p.line().sound()).wav())))
                .toList();
        double seconds = (double) shot.frames() / shot.rules().frameRate();
        return placed.isEmpty() ? Optional.empty() : Optional.of(SoundMix.of(placed, seconds));
    }

    /**
     * The sound of a shot as a file: the recording as it was uploaded where that is all there is.
     *
     * @throws Problem when nothing is said in it
     */
    public byte[] wav(Shot shot) {
        PlacedLine first = first(shot);
        boolean alone = shot.lines().size() == 1
                && first.at() == 0
                && Math.abs(first.line().seconds() * shot.rules().frameRate() - shot.frames()) < 1;
        return alone
                ? recording(first.line().sound()).wav()
                : WavFile.write(sound(shot).orElseThrow());
    }

    /** The same, empty where nothing is said. */
    public Optional<byte[]> spoken(Shot shot) {
        return shot.lines().isEmpty() ? Optional.empty() : Optional.of(wav(shot));
    }

    /** The line over its character as both stand now. */
    public Playhead playhead(Snapshot<Shot> shot, Snapshot<Character> character) {
        String key = shot.id() + "/" + shot.revision() + "/" + character.revision();
        return playheads.get(key, k -> new Playhead(characters.evaluator(character), shot.state()));
    }
}
