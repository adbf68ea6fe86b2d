package app.leeward.server.api;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.Lines;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import app.leeward.server.studio.StoredImages;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Everything a character and its lines are handed over as. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "exports")
class ExportApi {
    private final List<Exporter> exporters = Exporter.all();
    private final Characters characters;
    private final Lines lines;
    private final StoredImages images;
    private final HeavyWork heavy;

    ExportApi(Characters characters, Lines lines, StoredImages images, HeavyWork heavy) {
        this.characters = characters;
        this.lines = lines;
        this.images = images;
        this.heavy = heavy;
    }

    /** A format that can be asked for. */
    public record ExporterView(
            String id, String label, String mediaType, String extension, Scope scope, List<Option> options) {
        static ExporterView of(Exporter e) {
            Format f = e.format();
            return new ExporterView(f.id(), f.label(), f.mediaType(), f.extension(), f.scope(), e.options());
        }
    }

    @GetMapping("/exporters")
    List<ExporterView> exporters() {
        return exporters.stream().map(ExporterView::of).toList();
    }

    /**
     * @param line the line, for a format of one, or to show the pose as it is at {@code frame}
     * @param options by their ids; as usual where left out
     */
    public record ExportBody(PoseBody pose, UUID line, Integer frame, Map<String, Double> options) {}

    @PostMapping("/characters/{id}/exports/{exporter}")
    ResponseEntity<byte[]> export(@PathVariable UUID id, @PathVariable String exporter, @RequestBody ExportBody body) {
        Exporter asked = exporters.stream()
                .filter(e -> e.format().id().equals(exporter))
                .findFirst()
                .orElseThrow(() -> Problem.notThere("format"));
        Format format = asked.format();
        Choices choices = Choices.of(asked.options(), body.options() == null ? Map.of() : body.options());
        Snapshot<Character> c = characters.snapshot(id);
        Optional<Snapshot<Shot>> shot = Optional.ofNullable(body.line()).map(lines::snapshot);
        if (format.scope() == Scope.SHOT && shot.isEmpty()) {
            throw Problem.refused("no-line", "This is made of a line; say which.");
        }
        Optional<Playhead> playhead = shot.map(s -> lines.playhead(s, c));
        Pose live = PoseBody.of(body.pose());
        int at = body.frame() == null ? 0 : body.frame();
        Pose pose = playhead.map(p -> p.poseAt(at, live)).orElse(live);
        Evaluator evaluator = characters.evaluator(c);
        ExportSource source = new ExportSource(
                c.state(), evaluator.frame(pose), shot.map(Snapshot::state), playhead, images, () -> shot.map(
                                Snapshot::state)
                        .filter(s -> !s.lines().isEmpty())
                        .map(lines::wav));
        byte[] file = heavy.done(() -> written(asked, source, choices));
        String name = format.scope() == Scope.SHOT
                ? shot.get().state().name() + (format.id().startsWith("exposure") ? " exposure" : "")
                : c.state().name();
        String numbered = format.scope() == Scope.POSE && shot.isPresent() ? name + "-" + (at + 1) : name;
        return PoseApi.download(file, MediaType.valueOf(format.mediaType()), numbered + "." + format.extension());
    }

    private static byte[] written(Exporter exporter, ExportSource source, Choices choices) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            exporter.write(source, choices, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
