package app.leeward.server.api;

import app.leeward.core.hand.Hands;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Hands on their arms, and drawings that play. */
@RestController
@RequestMapping("/api/v1/characters/{id}")
@Tag(name = "hands")
class HandApi {
    private final Characters characters;

    HandApi(Characters characters) {
        this.characters = characters;
    }

    /**
     * A run as it plays, frame by frame.
     *
     * @param round the drawing of every frame of one round; of one that plays once, the last stays
     * @param back for each of its drawings, those of the frames on the way out from there
     */
    public record RunSheet(String id, List<String> round, Map<String, List<String>> back) {
        static RunSheet of(DrawnRun run) {
            Map<String, List<String>> back = new TreeMap<>();
            run.steps().forEach(s -> back.put(s.drawing(), run.back(s.drawing())));
            return new RunSheet(run.id(), run.round(), back);
        }
    }

    public record RunsView(int revision, List<RunSheet> runs) {}

    @GetMapping("/runs")
    RunsView runs(@PathVariable UUID id) {
        Snapshot<Character> standing = characters.snapshot(id);
        return new RunsView(
                standing.revision(),
                standing.state().rig().runs().stream().map(RunSheet::of).toList());
    }

    /** @param hands every hand with drawings, each drawing measured at the wrist */
    public record HandsView(int revision, List<Hands.Hand> hands) {}

    @GetMapping("/hands")
    HandsView hands(@PathVariable UUID id) {
        Snapshot<Character> standing = characters.snapshot(id);
        return new HandsView(standing.revision(), characters.handsMeasured(standing));
    }

    /** @param drawings by id; those of which no wrist is known are left out, and all of a hand that turns as one piece */
    public record BentView(int revision, Map<String, Hands.Bent> drawings) {}

    /** The drawings of a hand turned by some degrees, its wrist bending. */
    @GetMapping("/hands/{part}/bent")
    BentView bent(@PathVariable UUID id, @PathVariable String part, @RequestParam double by) {
        if (!(Math.abs(by) <= 180)) {
            throw Problem.refused("angle", "A hand is turned by -180 to 180°, not " + by + ".");
        }
        Snapshot<Character> standing = characters.snapshot(id);
        standing.state().part(part).orElseThrow(() -> Problem.notThere("part"));
        return new BentView(standing.revision(), Hands.bentBy(standing.state(), part, by));
    }
}
