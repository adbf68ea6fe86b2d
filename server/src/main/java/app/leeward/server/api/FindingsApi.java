package app.leeward.server.api;

import app.leeward.core.check.Checks;
import app.leeward.core.check.Finding;
import app.leeward.core.check.SafeMend;
import app.leeward.core.rig.Character;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is wrong with a character, whatever it is about, and what puts it right. */
@RestController
@RequestMapping("/api/v1/characters/{id}")
@Tag(name = "findings")
class FindingsApi {
    private final Characters characters;

    FindingsApi(Characters characters) {
        this.characters = characters;
    }

    /**
     * What was found at one revision.
     *
     * @param checks what was looked at, by the ids checks are asked for
     */
    public record FindingsView(int revision, List<String> checks, List<Finding> findings) {}

    /**
     * What can be mended at one revision without asking.
     *
     * @param mends in the order they are made in
     */
    public record SafeMendsView(int revision, List<SafeMend> mends) {}

    /** @param check the checks to make; all of them when none is named */
    @GetMapping("/findings")
    FindingsView findings(@PathVariable UUID id, @RequestParam(required = false) List<String> check) {
        Snapshot<Character> c = characters.snapshot(id);
        List<String> asked = check == null || check.isEmpty() ? Checks.ids() : check;
        for (String one : asked) {
            if (!Checks.ids().contains(one)) {
                throw Problem.notThere("check");
            }
        }
        return new FindingsView(
                c.revision(),
                asked,
                asked.stream()
                        .distinct()
                        .flatMap(k -> characters.findings(c, k).stream())
                        .toList());
    }

    /** Mends that are the only one for their finding and leave nothing worse, each tried on what those before it left. */
    @GetMapping("/safe-mends")
    SafeMendsView safeMends(@PathVariable UUID id) {
        Snapshot<Character> c = characters.snapshot(id);
        return new SafeMendsView(c.revision(), characters.safeMends(c));
    }
}
