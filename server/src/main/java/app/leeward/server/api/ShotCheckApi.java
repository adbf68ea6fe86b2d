package app.leeward.server.api;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.core.shotcheck.ShotFinding;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Lines;
import app.leeward.server.studio.ShotChecks;
import app.leeward.server.studio.Snapshot;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is wrong along a shot, frame by frame, and what puts it right. */
@RestController
@RequestMapping("/api/v1/lines/{id}/findings")
@Tag(name = "lines")
class ShotCheckApi {
    private final Lines lines;
    private final Characters characters;
    private final ShotChecks checks;

    ShotCheckApi(Lines lines, Characters characters, ShotChecks checks) {
        this.lines = lines;
        this.characters = characters;
        this.checks = checks;
    }

    /**
     * What was found.
     *
     * @param revision of the shot
     * @param character revision of the character in it
     * @param findings the most harmful first
     */
    public record ShotFindingsView(int revision, int character, List<ShotFinding> findings) {}

    @GetMapping
    ShotFindingsView findings(@PathVariable UUID id) {
        Snapshot<Shot> shot = lines.snapshot(id);
        Snapshot<Character> character = characters.snapshot(shot.belongsTo());
        return new ShotFindingsView(shot.revision(), character.revision(), checks.of(shot, character));
    }
}
