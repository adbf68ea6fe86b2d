package app.leeward.server.api;

import app.leeward.core.hand.Hands;
import app.leeward.core.rig.Character;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Standing;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Hands on their arms. */
@RestController
@RequestMapping("/api/v1/characters/{id}")
@Tag(name = "hands")
class HandApi {
    private final Characters characters;

    HandApi(Characters characters) {
        this.characters = characters;
    }

    /** @param hands every hand with drawings, each drawing measured at the wrist */
    public record HandsView(int revision, List<Hands.Hand> hands) {}

    @GetMapping("/hands")
    HandsView hands(@PathVariable UUID id) {
        Standing<Character> standing = characters.stand(id);
        return new HandsView(standing.revision(), Hands.of(standing.state()));
    }
}
