package app.leeward.server.api;

import app.leeward.core.eye.BrowView;
import app.leeward.core.eye.WorstCases;
import app.leeward.core.look.ActionUnit;
import app.leeward.core.look.Looks;
import app.leeward.core.look.Prototype;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Snapshot;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is known of a face: its looks, where its brows are, and the poses in which its eyes come off worst. */
@RestController
@RequestMapping("/api/v1/characters/{id}")
@Tag(name = "looks")
class LookApi {
    private static final int WORST = 6;

    private final Characters characters;

    LookApi(Characters characters) {
        this.characters = characters;
    }

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
     * @param units action units by their dial's id, of those the character could have
     */
    public record LooksView(int revision, List<LookEntry> looks, Map<String, String> units) {}

    public record WorstView(int revision, List<WorstCases.Case> cases) {}

    /** Every look. */
    @GetMapping("/looks")
    LooksView looks(@PathVariable UUID id) {
        Snapshot<Character> c = characters.snapshot(id);
        Character character = c.state();
        List<LookEntry> entries = character.library().looks().stream()
                .map(look -> new LookEntry(
                        look,
                        Prototype.of(look).map(p -> p.lacks(character)).orElse(List.of()),
                        Looks.skipped(character, look)))
                .toList();
        Map<String, String> units = new HashMap<>();
        for (ActionUnit u : ActionUnit.values()) {
            units.put(u.id(), u.words());
        }
        return new LooksView(c.revision(), entries, units);
    }

    /** Where the brows are in a pose, for hands to take hold of. */
    public record BrowsView(int revision, List<BrowView> brows) {}

    /** The brows as they are posed. */
    @PostMapping("/brows")
    BrowsView brows(@PathVariable UUID id, @RequestBody SheetBody body) {
        Snapshot<Character> c = characters.snapshot(id);
        return new BrowsView(c.revision(), BrowView.of(c.state(), PoseBody.of(body.pose())));
    }

    /** The worst that the ends of any two dials do to the eyes. */
    @PostMapping("/worst")
    WorstView worst(@PathVariable UUID id) {
        Snapshot<Character> c = characters.snapshot(id);
        return new WorstView(c.revision(), WorstCases.of(c.state(), WORST));
    }
}
