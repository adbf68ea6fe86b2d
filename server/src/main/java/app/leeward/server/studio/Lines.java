package app.leeward.server.studio;

import app.leeward.core.edit.Pronounce;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.formats.json.LeewardJson;
import app.leeward.server.store.DocumentKind;
import app.leeward.server.store.SoundRow;
import app.leeward.server.store.Sounds;
import app.leeward.speech.LineReader;
import app.leeward.speech.Sound;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.WavFile;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Lines: recorded, read into timed sounds, corrected, played. */
@Service
public class Lines {
    private static final int LONGEST_TEXT = 6_000;

    private final Ledger ledger;
    private final Characters characters;
    private final Sounds sounds;
    private final LineReader reader;
    private final TransactionTemplate transaction;
    private final Keeping keeping;
    private final Cache<String, Playhead> playheads =
            Caffeine.newBuilder().maximumSize(200).build();

    Lines(Ledger ledger, Characters characters, Sounds sounds, LineReader reader, TransactionTemplate transaction) {
        this.ledger = ledger;
        this.characters = characters;
        this.sounds = sounds;
        this.reader = reader;
        this.transaction = transaction;
        this.keeping = new Keeping(LeewardJson.configure(new ObjectMapper()));
    }

    /** Finds the words in the recording and begins a line with them. */
    public Standing<Shot> record(UUID id, UUID characterId, String name, String words, byte[] wav, String author) {
        Character character = characters.stand(characterId).state();
        Sound sound = heard(() -> WavFile.read(wav));
        String hash = LeewardJson.sha256(wav);
        DialogueLine line = heard(() -> reader.read(within(words), sound, hash, character.lexicon()));
        String title = name == null || name.isBlank() ? titleOf(words) : shortened(name.strip());
        Shot shot = new Shot(title, line, TrackRules.at(character.frameRate()), Map.of());
        return transaction.execute(t -> {
            sounds.keep(hash, wav, sound.seconds());
            return ledger.begin(keeping, id, characterId, shot, new ShotEdit.Record(shot), author);
        });
    }

    private static String within(String words) {
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

    private static <T> T heard(Supplier<T> work) {
        try {
            return work.get();
        } catch (SpeechProblem e) {
            String place = e.code().startsWith("word") || e.code().startsWith("sounds") ? "words" : "recording";
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), place, e.getMessage());
        }
    }

    public Standing<Shot> stand(UUID id) {
        return ledger.stand(keeping, id);
    }

    public Standing<Shot> edit(UUID id, int base, ShotEdit edit, String author) {
        if (edit instanceof ShotEdit.Record || edit instanceof ShotEdit.Reread) {
            throw Problem.refused("read-by-words", "Timed sounds come from a recording and its words.");
        }
        if (edit instanceof ShotEdit.PinMouth pin) {
            requireMouth(characters.stand(stand(id).belongsTo()).state(), pin.drawing());
        }
        if (edit instanceof ShotEdit.SetGesture set) {
            requireRun(
                    characters.stand(stand(id).belongsTo()).state(),
                    set.gesture().run());
        }
        if (edit instanceof ShotEdit.LayBlinks lay) {
            Standing<Shot> now = stand(id);
            edit = lay.near(now.state(), characters.stand(now.belongsTo()).state());
        }
        return ledger.edit(keeping, id, base, edit, author);
    }

    private static void requireRun(Character character, String run) {
        if (character.runs().stream().noneMatch(r -> r.id().equals(run))) {
            throw Problem.refused("no-run", "There is no run '" + run + "'; the Hands bench keeps them.");
        }
    }

    private static void requireMouth(Character character, String drawing) {
        boolean there = character
                .mouths()
                .part()
                .flatMap(character::part)
                .filter(mouth -> mouth.offers(drawing))
                .isPresent();
        if (!there) {
            throw Problem.refused("no-drawing", "The mouth has no drawing '" + drawing + "'.");
        }
    }

    public Standing<Shot> undo(UUID id, int base, String author) {
        return ledger.undo(keeping, id, base, author);
    }

    public Standing<Shot> redo(UUID id, int base, String author) {
        return ledger.redo(keeping, id, base, author);
    }

    /** Reads the recording again with other words. */
    public Standing<Shot> reread(UUID id, int base, String words, String author) {
        Standing<Shot> before = stand(id);
        Character character = characters.stand(before.belongsTo()).state();
        return reread(before, base, words, character, author);
    }

    private Standing<Shot> reread(Standing<Shot> before, int base, String words, Character character, String author) {
        String hash = before.state().line().sound();
        Sound sound = heard(() -> WavFile.read(sound(hash).wav()));
        DialogueLine line = heard(() -> reader.read(within(words), sound, hash, character.lexicon()));
        return ledger.edit(keeping, before.id(), base, new ShotEdit.Reread(line), author);
    }

    /**
     * Writes into the character's lexicon how a word sounds, and reads this line again with it.
     *
     * @param soundsLike English words, or ARPAbet in capitals
     */
    public Standing<Shot> pronounce(UUID id, int base, String word, String soundsLike, String author) {
        Standing<Shot> before = stand(id);
        List<Phone> phones = heard(() -> reader.soundsLike(soundsLike));
        Standing<Character> character = characters.stand(before.belongsTo());
        Standing<Character> taught =
                characters.edit(character.id(), character.revision(), new Pronounce(word, phones), author);
        return reread(before, base, before.state().line().text(), taught.state(), author);
    }

    public SoundRow sound(String hash) {
        return sounds.findById(hash).orElseThrow(() -> Problem.notThere("recording"));
    }

    /** The line over its character as both stand now. */
    public Playhead playhead(Standing<Shot> shot, Standing<Character> character) {
        String key = shot.id() + "/" + shot.revision() + "/" + character.revision();
        return playheads.get(key, k -> new Playhead(characters.evaluator(character), shot.state()));
    }

    private record Keeping(ObjectMapper json) implements Ledger.Keeper<Shot, ShotEdit> {
        @Override
        public DocumentKind kind() {
            return DocumentKind.SHOT;
        }

        @Override
        public String what() {
            return "line";
        }

        @Override
        public boolean holds(Object state) {
            return state instanceof Shot;
        }

        @Override
        public Shot read(String text) {
            return JsonText.read(json, text, Shot.class);
        }

        @Override
        public String write(Shot state) {
            return JsonText.write(json, state);
        }

        @Override
        public String writeEdit(ShotEdit edit) {
            return JsonText.writeAs(json, ShotEdit.class, edit);
        }

        @Override
        public ShotEdit readEdit(String text) {
            return JsonText.read(json, text, ShotEdit.class);
        }

        @Override
        public Shot apply(Shot before, ShotEdit edit) {
            try {
                return edit.apply(before);
            } catch (IllegalArgumentException e) {
                throw Problem.refused("edit-refused", e.getMessage());
            }
        }

        @Override
        public String describe(Shot before, ShotEdit edit) {
            return edit.describe();
        }

        @Override
        public Set<String> touches(ShotEdit edit) {
            return edit.touches();
        }

        @Override
        public String name(Shot state) {
            return state.name();
        }
    }
}
