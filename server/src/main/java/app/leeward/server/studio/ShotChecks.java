package app.leeward.server.studio;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.core.shotcheck.ShotCheck;
import app.leeward.core.shotcheck.ShotFinding;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import org.springframework.stereotype.Service;

/** What is wrong along shots, measured once for each state of a shot and its character. */
@Service
public class ShotChecks {
    private final Lines lines;
    private final Cache<String, List<ShotFinding>> found =
            Caffeine.newBuilder().maximumSize(64).build();

    ShotChecks(Lines lines) {
        this.lines = lines;
    }

    public List<ShotFinding> of(Snapshot<Shot> shot, Snapshot<Character> character) {
        String key = shot.id() + "/" + shot.revision() + "/" + character.revision();
        return found.get(key, k -> ShotCheck.of(lines.playhead(shot, character)));
    }
}
