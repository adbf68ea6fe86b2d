package app.leeward.server.api;

import app.leeward.server.studio.AskedScript;
import app.leeward.server.studio.LineReadings;
import app.leeward.server.studio.LongRecordings;
import app.leeward.server.studio.Problem;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.script.ScriptLine;
import app.leeward.speech.script.ScriptReader;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Long recordings and their scripts, out of which lines are cut. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "scripts")
class ScriptApi {
    /** Bytes that splitting holds at a time. */
    private static final long PIECES = 16L << 20;

    private final LongRecordings recordings;
    private final LineReadings readings;
    private final AdmittedRequests admitted;

    ScriptApi(LongRecordings recordings, LineReadings readings, AdmittedRequests admitted) {
        this.recordings = recordings;
        this.readings = readings;
        this.admitted = admitted;
    }

    public record ScriptBody(String text) {}

    /**
     * A line as the script has it.
     *
     * @param place the number of its line in the text, from 1
     * @param from seconds, when the script says
     */
    public record LineOfScript(
            int place, String speaker, String cue, String words, Optional<Double> from, Optional<Double> to) {
        static LineOfScript of(ScriptLine l) {
            return new LineOfScript(
                    l.place(),
                    l.speaker(),
                    l.cue(),
                    l.words(),
                    l.times().map(ScriptLine.Times::from),
                    l.times().map(ScriptLine.Times::to));
        }
    }

    /** Reads a script – plain text, WebVTT, SRT or a table – into its lines; nothing is kept. */
    @PostMapping("/scripts")
    List<LineOfScript> script(@RequestBody ScriptBody body) {
        try {
            return ScriptReader.read(Bodies.require(body.text(), "text")).stream()
                    .map(LineOfScript::of)
                    .toList();
        } catch (SpeechProblem e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), "script", e.getMessage());
        }
    }

    /** Keeps a recording of many lines, until they have been cut out of it. */
    @Operation(
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                                            schema = @Schema(type = "string", format = "binary"))))
    @PostMapping(path = "/characters/{id}/recordings", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    LongRecordings.Kept keep(
            @PathVariable UUID id, @RequestParam(defaultValue = "") String name, HttpServletRequest request)
            throws IOException {
        admitted.takeFile(PIECES, request);
        Path file = Files.createTempFile("leeward-recording", "");
        try (InputStream in = request.getInputStream()) {
            Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
            return recordings.keep(id, name, file, ReadingApi.client(request));
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /**
     * A line to be cut out.
     *
     * @param name what it is to be called
     * @param from seconds into the recording, when the script says
     */
    public record LineToCut(String name, String words, Optional<Double> from, Optional<Double> to) {}

    /**
     * @param byTimes by the times the lines have, instead of by their words
     * @param everyTake whether a line that is said more than once becomes a line each time
     */
    public record CutBody(List<LineToCut> lines, boolean byTimes, boolean everyTake) {
        AskedScript asked() {
            return new AskedScript(
                    Bodies.require(lines, "lines").stream().map(CutBody::asked).toList(), byTimes, everyTake);
        }

        private static AskedScript.Line asked(LineToCut line) {
            Bodies.require(line, "lines");
            return new AskedScript.Line(
                    Bodies.require(line.name(), "name"),
                    Bodies.require(line.words(), "words"),
                    line.from() == null ? null : line.from().orElse(null),
                    line.to() == null ? null : line.to().orElse(null));
        }
    }

    /** Has lines cut out of a recording and read, each by itself. */
    @PostMapping("/recordings/{id}/cut")
    @ResponseStatus(HttpStatus.ACCEPTED)
    ReadingView cut(@PathVariable UUID id, @RequestBody CutBody body, HttpServletRequest request) {
        return ReadingView.of(readings.script(id, body.asked(), ReadingApi.client(request)));
    }
}
