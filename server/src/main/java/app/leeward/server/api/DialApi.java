package app.leeward.server.api;

import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Asymmetry;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.StopChange;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Problem;
import app.leeward.server.studio.Snapshot;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a dial does, stop by stop, in words. */
@RestController
@RequestMapping("/api/v1/characters/{id}/dials")
@Tag(name = "dials")
class DialApi {
    private final Characters characters;

    DialApi(Characters characters) {
        this.characters = characters;
    }

    /**
     * A dial as it stands.
     *
     * @param changes every change of every stop
     * @param findings what is wrong with its bands, in sentences
     * @param uneven where its halves differ most; none when they are alike
     */
    public record DialView(int revision, List<StopChange> changes, List<String> findings, List<Asymmetry> uneven) {}

    @PostMapping("/{dial}")
    DialView dial(@PathVariable UUID id, @PathVariable String dial) {
        Snapshot<Character> c = characters.snapshot(id);
        Dial d = c.state().dial(dial).orElseThrow(() -> Problem.notThere("dial"));
        return new DialView(
                c.revision(),
                StopChange.of(c.state(), d),
                StopChange.findings(c.state(), d),
                Asymmetry.of(c.state(), d).stream().toList());
    }
}
