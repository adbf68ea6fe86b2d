package app.leeward.server.api;

import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.FileName;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.HandedOver;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import app.leeward.server.store.ExportRow;
import app.leeward.server.store.ExportState;
import app.leeward.server.studio.ExportAsked;
import app.leeward.server.studio.ExportJobs;
import app.leeward.server.studio.ExportSources;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.Problem;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Everything a character and its lines are handed over as. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "exports")
class ExportApi {
    private final List<Exporter> exporters = Exporter.all();
    private final ExportSources sources;
    private final ExportJobs jobs;
    private final HeavyWork heavy;

    ExportApi(ExportSources sources, ExportJobs jobs, HeavyWork heavy) {
        this.sources = sources;
        this.jobs = jobs;
        this.heavy = heavy;
    }

    /** A format that can be asked for. */
    public record ExporterView(
            String id,
            String label,
            String mediaType,
            String extension,
            Scope scope,
            Family family,
            String about,
            List<Option> options) {
        static ExporterView of(Exporter e) {
            Format f = e.format();
            return new ExporterView(
                    f.id(), f.label(), f.mediaType(), f.extension(), f.scope(), f.family(), f.about(), e.options());
        }
    }

    @GetMapping("/exporters")
    List<ExporterView> exporters() {
        return exporters.stream().map(ExporterView::of).toList();
    }

    /**
     * What each format cannot say of this character and shot, by the formats' ids, a sentence each; formats that lose nothing are left
     * out.
     */
    @GetMapping("/characters/{id}/losses")
    Map<String, List<String>> losses(@PathVariable UUID id, @RequestParam(required = false) UUID line) {
        ExportSource source = sources.now(id, line, null, Pose.REST);
        Map<String, List<String>> all = new TreeMap<>();
        for (Exporter e : exporters) {
            if (line == null && e.format().scope() == Scope.SHOT) {
                continue;
            }
            List<String> lost = e.losses(source);
            if (!lost.isEmpty()) {
                all.put(e.format().id(), lost);
            }
        }
        return all;
    }

    /**
     * @param line the line, for a format of one, or to show the pose as it is at {@code frame}
     * @param options by their ids; as usual where left out
     */
    public record ExportBody(PoseBody pose, UUID line, Integer frame, Map<String, Double> options) {}

    @PostMapping("/characters/{id}/exports/{exporter}")
    ResponseEntity<byte[]> export(@PathVariable UUID id, @PathVariable String exporter, @RequestBody ExportBody body) {
        Exporter asked = exporter(exporter);
        Format format = asked.format();
        Choices choices = Choices.of(asked.options(), body.options() == null ? Map.of() : body.options());
        if (format.scope() == Scope.SHOT && body.line() == null) {
            throw noShot();
        }
        ExportSource source = sources.now(id, body.line(), body.frame(), PoseBody.of(body.pose()));
        byte[] file = heavy.done(() -> written(out -> asked.write(source, choices, out)));
        String name = HandedOver.name(format, source);
        boolean moment = format.scope() == Scope.POSE && body.line() != null && body.frame() != null;
        String numbered = moment ? name.replaceFirst("\\.", "-" + (body.frame() + 1) + ".") : name;
        return PoseApi.download(file, MediaType.valueOf(format.mediaType()), numbered);
    }

    /**
     * @param exporters ids of the formats that are wanted
     * @param line the shot that is handed over; without one, formats of shots are left out
     * @param options by their ids, for whichever format has them
     */
    public record HandOverBody(
            List<String> exporters, PoseBody pose, UUID line, Integer frame, Map<String, Double> options) {}

    /** Several formats in one ZIP with a manifest; what cannot be made is named in it with the reason. */
    @PostMapping("/characters/{id}/hand-over")
    ResponseEntity<byte[]> handOver(@PathVariable UUID id, @RequestBody HandOverBody body) {
        List<Exporter> made = wanted(body.exporters(), body.line(), true);
        ExportSource source = sources.now(id, body.line(), body.frame(), PoseBody.of(body.pose()));
        Map<String, Double> options = body.options() == null ? Map.of() : body.options();
        byte[] file = heavy.done(() -> written(out -> HandedOver.write(made, source, options, out)));
        String of = source.shot().map(Shot::name).orElse(source.character().name());
        return PoseApi.download(file, MediaType.valueOf("application/zip"), FileName.stem(of) + "-hand-over.zip");
    }

    /**
     * @param exporters ids of the formats that are wanted
     * @param together whether they come in one archive with a manifest; one format alone need not
     * @param line the shot that is handed over, or whose {@code frame} is shown
     * @param options by their ids; as usual where left out
     */
    public record AskBody(
            List<String> exporters,
            Boolean together,
            PoseBody pose,
            UUID line,
            Integer frame,
            Map<String, Double> options) {}

    /** Asks for a file to be made of the character and the shot as they stand now; it is fetched when it is done. */
    @PostMapping("/characters/{id}/exports")
    @ResponseStatus(HttpStatus.ACCEPTED)
    ExportView ask(@PathVariable UUID id, @RequestBody AskBody body, HttpServletRequest request) {
        boolean together = body.together() != null && body.together();
        List<Exporter> made = wanted(body.exporters(), body.line(), together);
        Map<String, Double> options = body.options() == null ? Map.of() : body.options();
        ExportAsked asked = ExportAsked.of(
                made.stream().map(e -> e.format().id()).toList(),
                together,
                options,
                body.frame(),
                PoseBody.of(body.pose()));
        return ExportView.of(jobs.ask(id, body.line(), asked, made, ReadingApi.client(request)));
    }

    /** What was asked for of a character lately, the newest first; each is told, and its file kept, for a day. */
    @GetMapping("/characters/{id}/exports")
    List<ExportView> asked(@PathVariable UUID id) {
        return jobs.of(id).stream().map(ExportView::of).toList();
    }

    @GetMapping("/exports/{id}")
    ExportView one(@PathVariable UUID id) {
        return ExportView.of(jobs.told(id));
    }

    /** Ends an export; nothing of it stays. One that has ended already stays as it is. */
    @PostMapping("/exports/{id}/cancel")
    ExportView cancel(@PathVariable UUID id) {
        return ExportView.of(jobs.cancel(id));
    }

    /** Takes an export out of the list, with its file. */
    @DeleteMapping("/exports/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID id) {
        jobs.remove(id);
    }

    @GetMapping("/exports/{id}/file")
    ResponseEntity<StreamingResponseBody> file(@PathVariable UUID id) {
        ExportRow row = jobs.told(id).row();
        if (row.state() != ExportState.DONE) {
            throw Problem.notThere("file");
        }
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf(row.mediaType()))
                .contentLength(row.bytes())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(row.fileName())
                                .build()
                                .toString())
                .body(out -> jobs.file(id, out));
    }

    /** @throws Problem when none of it can be made */
    private List<Exporter> wanted(List<String> ids, UUID line, boolean together) {
        List<Exporter> wanted = ids == null
                ? List.of()
                : ids.stream().distinct().map(this::exporter).toList();
        List<Exporter> made = wanted.stream()
                .filter(e -> line != null || e.format().scope() != Scope.SHOT)
                .toList();
        if (!together && wanted.size() == 1 && made.isEmpty()) {
            throw noShot();
        }
        if (made.isEmpty() || !together && made.size() > 1) {
            throw Problem.refused("nothing-chosen", "No format is chosen that can be made here.");
        }
        return made;
    }

    private static Problem noShot() {
        return Problem.refused("no-line", "This is made of a shot; say which.");
    }

    private Exporter exporter(String id) {
        return exporters.stream()
                .filter(e -> e.format().id().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.notThere("format"));
    }

    private interface Writing {
        void to(OutputStream out) throws IOException;
    }

    private static byte[] written(Writing writing) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            writing.to(out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
