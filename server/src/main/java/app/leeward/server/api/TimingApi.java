package app.leeward.server.api;

import app.leeward.core.speech.Phone;
import app.leeward.server.studio.Lines;
import app.leeward.server.studio.Problem;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.script.SoundLabels;
import app.leeward.speech.script.TimingGrid;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Lines that were timed elsewhere, in any language: a recording with its TextGrid or a table of times. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "lines")
class TimingApi {
    private final Lines lines;
    private final LineApi recordings;
    private final ObjectMapper json;

    TimingApi(Lines lines, LineApi recordings, ObjectMapper json) {
        this.lines = lines;
        this.recordings = recordings;
        this.json = json;
    }

    public record GridBody(String text) {}

    /**
     * A tier of intervals.
     *
     * @param labelled how many intervals are not silence
     * @param sounds how many of those are sounds that are known
     * @param odd labels that are none, each once, in their order
     */
    public record TierView(String name, int labelled, int sounds, List<String> odd) {
        static TierView of(TimingGrid.Tier tier) {
            List<String> labels = tier.intervals().stream()
                    .map(TimingGrid.Interval::label)
                    .filter(l -> !SoundLabels.silent(l))
                    .toList();
            List<String> odd =
                    labels.stream().filter(l -> SoundLabels.sound(l).isEmpty()).toList();
            return new TierView(
                    tier.name(),
                    labels.size(),
                    labels.size() - odd.size(),
                    odd.stream().distinct().limit(200).toList());
        }
    }

    public record GridView(double seconds, List<TierView> tiers) {}

    /** Reads a TextGrid or a table of times; nothing is kept. */
    @PostMapping("/timing-grids")
    GridView grid(@RequestBody GridBody body) {
        TimingGrid grid = heard(() -> TimingGrid.read(Bodies.require(body.text(), "text")));
        return new GridView(
                grid.seconds(), grid.tiers().stream().map(TierView::of).toList());
    }

    /**
     * A new line as it was timed elsewhere.
     *
     * @param sounds number of the tier of sounds, from 0
     * @param words number of the tier of words; -1 for none
     * @param meant sounds by the odd labels that mean them, as JSON
     */
    @PostMapping(path = "/characters/{id}/timed-lines", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    LineApi.LineView timed(
            @PathVariable UUID id,
            @RequestPart MultipartFile sound,
            @RequestPart MultipartFile grid,
            @RequestParam int sounds,
            @RequestParam(defaultValue = "-1") int words,
            @RequestParam(defaultValue = "{}") String meant,
            @RequestParam(defaultValue = "") String name,
            HttpServletRequest request)
            throws IOException {
        recordings.take(sound, request);
        String text = new String(grid.getBytes(), StandardCharsets.UTF_8);
        TimingGrid read = heard(() -> TimingGrid.read(text));
        return recordings.view(lines.timed(
                id,
                name,
                lines.wav(sound.getBytes()),
                read,
                sounds,
                words < 0 ? Optional.empty() : Optional.of(words),
                phones(meant),
                CharacterApi.AUTHOR));
    }

    private Map<String, Phone> phones(String meant) {
        try {
            return json.readValue(meant, new TypeReference<>() {});
        } catch (JsonProcessingException e) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST, "sounds-unknown", "meant", "'meant' does not give a sound for each label.");
        }
    }

    private static <T> T heard(Supplier<T> work) {
        try {
            return work.get();
        } catch (SpeechProblem e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), "grid", e.getMessage());
        }
    }
}
