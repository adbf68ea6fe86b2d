package app.leeward.server.api;

import app.leeward.core.art.Point;
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
import java.util.List;
import java.util.Locale;
import java.util.UUID;
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
    private final Characters characters;
    private final Lines lines;
    private final StoredImages images;

    PoseApi(Characters characters, Lines lines, StoredImages images) {
        this.images = images;
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

    @PostMapping("/why")
    WhyView why(@PathVariable UUID id, @RequestBody WhyBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        String part = Bodies.require(body.part(), "part");
        String name =
                c.state().part(part).orElseThrow(() -> Problem.notThere("part")).name();
        Pose live = PoseBody.of(body.pose());
        if (body.line() == null) {
            return new WhyView(part, name, characters.evaluator(c).why(part, live));
        }
        Playhead playhead = lines.playhead(lines.snapshot(body.line()), c);
        return new WhyView(part, name, playhead.why(body.frame() == null ? 0 : body.frame(), part, live));
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
