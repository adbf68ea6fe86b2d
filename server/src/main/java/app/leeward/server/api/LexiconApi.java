package app.leeward.server.api;

import app.leeward.core.edit.TeachWords;
import app.leeward.core.rig.Character;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.Problem;
import app.leeward.speech.LexiconFile;
import app.leeward.speech.LineReader;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.VoiceBooth;
import app.leeward.speech.WordSounds;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** How this crew says its words. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "lexicon")
class LexiconApi {
    private static final int LONGEST_WORD = 60;

    private final Characters characters;
    private final LineReader reader;
    private final AdmittedRequests admitted;
    private final HeavyWork heavy;
    private final VoiceBooth booth = new VoiceBooth();

    LexiconApi(Characters characters, LineReader reader, AdmittedRequests admitted, HeavyWork heavy) {
        this.heavy = heavy;
        this.characters = characters;
        this.reader = reader;
        this.admitted = admitted;
    }

    /** The lexicon as a file in the form of the CMU dictionary. */
    @GetMapping("/characters/{id}/lexicon.dict")
    ResponseEntity<byte[]> file(@PathVariable UUID id) {
        Character c = characters.snapshot(id).state();
        return PoseApi.download(
                LexiconFile.write(c.voice().lexicon()).getBytes(StandardCharsets.UTF_8),
                MediaType.valueOf("text/plain;charset=UTF-8"),
                c.name() + " lexicon.dict");
    }

    /** Takes in the words of such a file. */
    @PostMapping(path = "/characters/{id}/lexicon", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    CharacterApi.CharacterView take(
            @PathVariable UUID id, @RequestParam int base, @RequestPart MultipartFile file, HttpServletRequest request)
            throws IOException {
        admitted.takeFile(file.getSize() * 4, request);
        byte[] bytes = file.getBytes();
        Lexicon words = heard("file", () -> LexiconFile.read(bytes));
        return CharacterApi.CharacterView.of(characters.edit(id, base, new TeachWords(words), CharacterApi.AUTHOR));
    }

    /** How a word would be said: by the lexicon, the dictionary, or its letters. */
    @GetMapping("/characters/{id}/word-sounds")
    WordSounds sounds(@PathVariable UUID id, @RequestParam String word) {
        if (word.isBlank() || word.length() > LONGEST_WORD) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_ENTITY,
                    "word-unreadable",
                    "word",
                    "A word has 1 to " + LONGEST_WORD + " letters.");
        }
        Lexicon lexicon = characters.snapshot(id).state().voice().lexicon();
        return heard("word", () -> reader.sounds(word.strip(), lexicon));
    }

    /**
     * Sounds as the voice booth says them.
     *
     * @param sounds in ARPAbet, parted by spaces
     */
    @GetMapping(path = "/booth.wav", produces = "audio/wav")
    ResponseEntity<byte[]> aloud(@RequestParam String sounds) {
        List<Phone> phones = Phone.parseAll(sounds)
                .orElseThrow(() -> new Problem(
                        HttpStatus.UNPROCESSABLE_ENTITY, "sounds-unknown", "sounds", "These are no sounds."));
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("audio/wav"))
                .body(heard("sounds", () -> heavy.done(() -> booth.speak(phones))));
    }

    private static <T> T heard(String place, Supplier<T> work) {
        try {
            return work.get();
        } catch (SpeechProblem e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), place, e.getMessage());
        }
    }
}
