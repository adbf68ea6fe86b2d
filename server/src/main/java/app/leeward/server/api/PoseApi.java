package app.leeward.server.api;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Redrawn;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.Reason;
import app.leeward.core.eye.EyeView;
import app.leeward.core.eye.GazeField;
import app.leeward.core.eye.LidLine;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Joint;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.formats.svg.SvgWriter;
import app.leeward.render.FramePainter;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Lines;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import app.leeward.server.studio.StoredImages;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Poses: what a character looks like with its dials here or there, alone or in the middle of a line. */
@RestController
@RequestMapping("/api/v1/characters/{id}")
@Tag(name = "poses")
class PoseApi {
    private static final int MOST_SAMPLES = 241;
    private static final int MOST_ROWS = 41;

    private final Characters characters;
    private final Lines lines;
    private final StoredImages images;
    private final AdmittedRequests admitted;

    PoseApi(Characters characters, Lines lines, StoredImages images, AdmittedRequests admitted) {
        this.images = images;
        this.admitted = admitted;
        this.characters = characters;
        this.lines = lines;
    }

    /**
     * @param line the line being spoken, when there is one
     * @param frame which frame of it, from 0
     * @param revision of the character, as the asker knows it; the newest when it is left out. A revision never changes,
     *     so asking by its number spares the question whether there is a newer one
     * @param draft an edit a hand is in the middle of: shown as if it were made, not made
     * @param joints whether pivots are wanted as well
     */
    public record Moment(PoseBody pose, UUID line, Integer frame, Integer revision, Edit draft, Boolean joints) {}

    /**
     * @param joints the pivots of every part; empty when nobody asked
     * @param redrawn drawings whose art the draft changes
     */
    public record PoseView(int revision, Frame frame, List<Joint> joints, List<Redrawn> redrawn) {}

    public record SweepBody(PoseBody pose, UUID line, Integer frame, String dial, int samples) {}

    /**
     * @param across the pad's first dial
     * @param down its second
     * @param samples of each, evenly over its range
     */
    public record GridBody(PoseBody pose, UUID line, Integer frame, String across, String down, int samples) {}

    public record WhyBody(PoseBody pose, UUID line, Integer frame, String part) {}

    public record WhyView(String part, String name, List<Reason> reasons) {}

    /**
     * @param format {@code svg} or {@code png}
     * @param width pixels, for png; 1 to 4000
     */
    public record PictureBody(PoseBody pose, UUID line, Integer frame, String format, Integer width) {}

    private Pose pose(Snapshot<Character> character, PoseBody body, UUID line, Integer frame) {
        Pose live = PoseBody.of(body);
        if (line == null) {
            return live;
        }
        Snapshot<Shot> shot = lines.snapshot(line);
        Playhead playhead = lines.playhead(shot, character);
        return playhead.poseAt(frame == null ? 0 : frame, live);
    }

    @PostMapping("/pose")
    PoseView pose(@PathVariable UUID id, @RequestBody Moment moment) {
        Snapshot<Character> c =
                moment.revision() == null ? characters.snapshot(id) : characters.snapshot(id, moment.revision());
        Pose pose = pose(c, moment.pose(), moment.line(), moment.frame());
        Evaluator evaluator = moment.draft() == null ? characters.evaluator(c) : drafted(c.state(), moment.draft());
        boolean joints = Boolean.TRUE.equals(moment.joints());
        return new PoseView(
                c.revision(),
                evaluator.frame(pose),
                joints ? evaluator.joints(pose) : List.of(),
                moment.draft() == null ? List.of() : Redrawn.between(c.state(), evaluator.character()));
    }

    private static Evaluator drafted(Character c, Edit draft) {
        Bodies.requireWhole(draft, "draft");
        return new Evaluator(Characters.applied(c, draft));
    }

    /**
     * The eyes in a pose.
     *
     * @param field edge of what the gaze dials may reach in this pose, in their units
     * @param lidsRest where upper and lower lids rest, as shares of their way from as drawn to shut
     */
    public record EyesView(int revision, List<EyeView> eyes, List<Point> field, double[] lidsRest) {}

    /** Both eyes as they are posed, with what was measured about them. */
    @PostMapping("/eyes")
    EyesView eyes(@PathVariable UUID id, @RequestBody Moment moment) {
        Snapshot<Character> c =
                moment.revision() == null ? characters.snapshot(id) : characters.snapshot(id, moment.revision());
        Pose pose = pose(c, moment.pose(), moment.line(), moment.frame());
        return new EyesView(
                c.revision(), EyeView.of(c.state(), pose), GazeField.of(c.state(), pose), LidLine.resting(c.state()));
    }

    /** The frames of one dial over its whole range, the rest of the pose staying as it is. */
    @PostMapping("/sweep")
    FrameSeries sweep(@PathVariable UUID id, @RequestBody SweepBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        Dial dial = c.state().dial(Bodies.require(body.dial(), "dial")).orElseThrow(() -> Problem.notThere("dial"));
        int n = Math.max(2, Math.min(MOST_SAMPLES, body.samples()));
        admitted.takeFrames(n, c.state().rig().parts().size());
        Pose pose = pose(c, body.pose(), body.line(), body.frame());
        Evaluator evaluator = characters.evaluator(c);
        List<Double> at = values(dial, n);
        List<Frame> frames = at.stream()
                .map(v -> evaluator.frame(pose.withDial(dial.id(), v)))
                .toList();
        return FrameSeries.of(c.state(), at, frames).along(c.state(), dial);
    }

    /** The frames of two dials over both their ranges, row by row, the rest of the pose staying as it is. */
    @PostMapping("/grid")
    PadFrames grid(@PathVariable UUID id, @RequestBody GridBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        Dial across =
                c.state().dial(Bodies.require(body.across(), "across")).orElseThrow(() -> Problem.notThere("dial"));
        Dial down = c.state().dial(Bodies.require(body.down(), "down")).orElseThrow(() -> Problem.notThere("dial"));
        int n = Math.max(2, Math.min(MOST_ROWS, body.samples()));
        admitted.takeFrames(n * n, c.state().rig().parts().size());
        Pose pose = pose(c, body.pose(), body.line(), body.frame());
        Evaluator evaluator = characters.evaluator(c);
        List<Double> columns = values(across, n);
        List<Double> rows = values(down, n);
        List<Double> at = new ArrayList<>(n * n);
        List<Frame> frames = new ArrayList<>(n * n);
        for (double row : rows) {
            for (double column : columns) {
                at.add((double) at.size());
                frames.add(evaluator.frame(pose.withDial(across.id(), column).withDial(down.id(), row)));
            }
        }
        return new PadFrames(
                FrameSeries.of(c.state(), at, frames),
                PadFrames.PadWay.of(c.state(), across, columns),
                PadFrames.PadWay.of(c.state(), down, rows));
    }

    private static List<Double> values(Dial dial, int steps) {
        return IntStream.range(0, steps).mapToObj(i -> at(dial, i, steps)).toList();
    }

    private static double at(Dial dial, int step, int steps) {
        return dial.from() + (dial.to() - dial.from()) * step / (steps - 1);
    }

    public record ChoicesBody(PoseBody pose, UUID line, Integer frame, String part) {}

    /**
     * @param drawings what can be picked, as a pick names it, in the order of the frames
     * @param frames one for each pick
     */
    public record ChoicesView(List<String> drawings, FrameSeries frames) {}

    /** The pose with each choice of one part picked, so that stepping through them needs no answer each time. */
    @PostMapping("/choices")
    ChoicesView choices(@PathVariable UUID id, @RequestBody ChoicesBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        Part part = c.state().part(Bodies.require(body.part(), "part")).orElseThrow(() -> Problem.notThere("part"));
        Pose pose = pose(c, body.pose(), body.line(), body.frame());
        Evaluator evaluator = characters.evaluator(c);
        List<String> drawings = Stream.concat(part.drawings().stream().map(Drawing::id), Stream.of(Part.NOTHING))
                .toList();
        admitted.takeFrames(drawings.size(), c.state().rig().parts().size());
        List<Frame> frames = drawings.stream()
                .map(d -> evaluator.frame(pose.withPicks(Map.of(part.id(), d))))
                .toList();
        List<Double> at =
                IntStream.range(0, drawings.size()).mapToObj(i -> (double) i).toList();
        return new ChoicesView(drawings, FrameSeries.of(c.state(), at, frames));
    }

    @PostMapping("/why")
    WhyView why(@PathVariable UUID id, @RequestBody WhyBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        String part = Bodies.require(body.part(), "part");
        String name =
                c.state().part(part).orElseThrow(() -> Problem.notThere("part")).name();
        Pose pose = pose(c, body.pose(), body.line(), body.frame());
        return new WhyView(part, name, characters.evaluator(c).why(part, pose));
    }

    /** The present picture as a file. */
    @PostMapping("/picture")
    ResponseEntity<byte[]> picture(@PathVariable UUID id, @RequestBody PictureBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        Frame frame = characters.evaluator(c).frame(pose(c, body.pose(), body.line(), body.frame()));
        boolean png = "png".equals(body.format());
        int width = body.width() == null ? 1280 : body.width();
        if (width < 1 || width > 4000) {
            throw Problem.refused("picture-size", "A picture is 1 to 4000 pixels wide, not " + width + ".");
        }
        byte[] file = png
                ? FramePainter.of(c.state(), width, images).png(frame)
                : SvgWriter.write(c.state(), frame, images).getBytes(StandardCharsets.UTF_8);
        return download(
                file,
                png ? MediaType.IMAGE_PNG : MediaType.valueOf("image/svg+xml"),
                c.state().name() + (png ? ".png" : ".svg"));
    }

    static ResponseEntity<byte[]> download(byte[] file, MediaType type, String name) {
        String safe = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9.]+", "-");
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(safe).build().toString())
                .body(file);
    }
}
