package app.leeward.server.api;

import app.leeward.core.cue.Cue;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.BrowView;
import app.leeward.core.eye.WorstCases;
import app.leeward.core.look.ActionUnit;
import app.leeward.core.look.Looks;
import app.leeward.core.look.Prototype;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.CuePlay;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Contact sheets of a face: its looks, the frames of a cue, and the poses in which its eyes come off worst. */
@RestController
@RequestMapping("/api/v1/characters/{id}")
@Tag(name = "looks")
class LookApi {
    private static final int WORST = 6;

    private final Characters characters;

    LookApi(Characters characters) {
        this.characters = characters;
    }

    /** @param pose how the head is turned, and for a cue what it is dropped over */
    public record SheetBody(PoseBody pose) {}

    /**
     * One look.
     *
     * @param lacks what the character does not have for a prototype, one sentence an action unit
     * @param skipped what it names that is not there any more
     */
    public record LookEntry(Look look, List<String> lacks, List<String> skipped) {}

    /**
     * The looks of a character.
     *
     * @param frames the face at rest, then every look at full strength in the order of {@code looks}
     * @param units action units by their dial's id, of those the character could have
     */
    public record LooksView(int revision, List<LookEntry> looks, FrameSeries frames, Map<String, String> units) {}

    /** @param frames one for each case, in their order */
    public record WorstView(int revision, List<WorstCases.Case> cases, FrameSeries frames) {}

    /** Every look as a face. */
    @PostMapping("/looks")
    LooksView looks(@PathVariable UUID id, @RequestBody SheetBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        Character character = c.state();
        Evaluator evaluator = characters.evaluator(c);
        Map<String, Double> asked = PoseBody.of(body.pose()).dials();
        Map<String, Double> turned = new HashMap<>();
        for (Dial d : character.controls().dials()) {
            if (d.purpose() == Purpose.TURN && asked.containsKey(d.id())) {
                turned.put(d.id(), asked.get(d.id()));
            }
        }
        Pose plain = Pose.of(turned);
        List<Frame> frames = new ArrayList<>();
        List<LookEntry> entries = new ArrayList<>();
        frames.add(evaluator.frame(plain));
        for (Look look : character.library().looks()) {
            entries.add(new LookEntry(
                    look,
                    Prototype.of(look).map(p -> p.lacks(character)).orElse(List.of()),
                    Looks.skipped(character, look)));
            frames.add(evaluator.frame(plain.withLooks(Map.of(look.id(), 1.0))));
        }
        Map<String, String> units = new HashMap<>();
        for (ActionUnit u : ActionUnit.values()) {
            units.put(u.id(), u.words());
        }
        return new LooksView(c.revision(), entries, FrameSeries.of(character, numbers(frames.size()), frames), units);
    }

    private static List<Double> numbers(int n) {
        List<Double> at = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            at.add((double) i);
        }
        return at;
    }

    /** Where the brows are in a pose, for hands to take hold of. */
    public record BrowsView(int revision, List<BrowView> brows) {}

    /** The brows as they are posed. */
    @PostMapping("/brows")
    BrowsView brows(@PathVariable UUID id, @RequestBody SheetBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        return new BrowsView(c.revision(), BrowView.of(c.state(), PoseBody.of(body.pose())));
    }

    /** The frames of one cue over a pose. */
    @PostMapping("/cues/{cue}/frames")
    FrameSeries cue(@PathVariable UUID id, @PathVariable String cue, @RequestBody SheetBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        Cue shown = c.state().cue(cue).orElseThrow(() -> Problem.notThere("cue"));
        Evaluator evaluator = characters.evaluator(c);
        Pose over = PoseBody.of(body.pose());
        List<Frame> frames = CuePlay.of(c.state(), shown, over).stream()
                .map(evaluator::frame)
                .toList();
        return FrameSeries.of(c.state(), numbers(frames.size()), frames);
    }

    /** The worst that the ends of any two dials do to the eyes. */
    @PostMapping("/worst")
    WorstView worst(@PathVariable UUID id) {
        Snapshot<Character> c = characters.snapshot(id);
        Evaluator evaluator = characters.evaluator(c);
        List<WorstCases.Case> cases = WorstCases.of(c.state(), WORST);
        List<Frame> frames = new ArrayList<>();
        frames.add(evaluator.frame(Pose.REST));
        cases.forEach(x -> frames.add(evaluator.frame(Pose.of(x.dials()))));
        return new WorstView(c.revision(), cases, FrameSeries.of(c.state(), numbers(frames.size()), frames));
    }
}
