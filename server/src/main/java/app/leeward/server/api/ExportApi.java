package app.leeward.server.api;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
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
import app.leeward.server.studio.Bundles;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.HeavyWork;
import app.leeward.server.studio.Lines;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import app.leeward.server.studio.StoredImages;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
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
    private final Bundles bundles;

    ExportApi(Characters characters, Lines lines, StoredImages images, HeavyWork heavy, Bundles bundles) {
        this.bundles = bundles;
        this.characters = characters;
        this.lines = lines;
        this.images = images;
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
        ExportSource source = source(id, null, line, null);
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
            throw Problem.refused("no-line", "This is made of a shot; say which.");
        }
        ExportSource source = source(id, body.pose(), body.line(), body.frame());
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
        List<Exporter> wanted = body.exporters() == null
                ? List.of()
                : body.exporters().stream().distinct().map(this::exporter).toList();
        List<Exporter> made = wanted.stream()
                .filter(e -> body.line() != null || e.format().scope() != Scope.SHOT)
                .toList();
        if (made.isEmpty()) {
            throw Problem.refused("nothing-chosen", "No format is chosen that can be made here.");
        }
        ExportSource source = source(id, body.pose(), body.line(), body.frame());
        Map<String, Double> options = body.options() == null ? Map.of() : body.options();
        byte[] file = heavy.done(() -> written(out -> HandedOver.write(made, source, options, out)));
        String of = source.shot().map(Shot::name).orElse(source.character().name());
        return PoseApi.download(file, MediaType.valueOf("application/zip"), FileName.stem(of) + "-hand-over.zip");
    }

    private Exporter exporter(String id) {
        return exporters.stream()
                .filter(e -> e.format().id().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.notThere("format"));
    }

    private ExportSource source(UUID id, PoseBody pose, UUID line, Integer frame) {
        Snapshot<Character> c = characters.snapshot(id);
        Optional<Snapshot<Shot>> shot = Optional.ofNullable(line).map(lines::snapshot);
        if (shot.isPresent() && !shot.get().belongsTo().equals(id)) {
            throw Problem.refused(
                    "other-character",
                    "“" + shot.get().state().name()
                            + "” is a shot of another character; open that one to hand it over.");
        }
        Optional<Playhead> playhead = shot.map(s -> lines.playhead(s, c));
        Pose live = PoseBody.of(pose);
        // without a frame the picture is of the pose, whatever shot is handed over beside it
        Pose shown =
                frame == null ? live : playhead.map(p -> p.poseAt(frame, live)).orElse(live);
        return new ExportSource(
                c.state(),
                characters.evaluator(c).frame(shown),
                shot.map(Snapshot::state),
                playhead,
                images,
                () -> shot.map(Snapshot::state).flatMap(lines::spoken),
                () -> bundles.of(id));
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
