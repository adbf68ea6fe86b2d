package app.leeward.server.studio;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.ExportWork;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What files are made of: a character, and a shot of it, as they stood at one revision. */
@Component
public class ExportSources {
    private final Characters characters;
    private final Lines lines;
    private final StoredImages images;
    private final Bundles bundles;

    ExportSources(Characters characters, Lines lines, StoredImages images, Bundles bundles) {
        this.characters = characters;
        this.lines = lines;
        this.images = images;
        this.bundles = bundles;
    }

    /**
     * As they stand now.
     *
     * @param line the shot; null for none
     * @param frame which frame of it is shown; null to show the pose, whatever shot is handed over beside it
     * @throws Problem {@code other-character} when the shot is of another
     */
    public ExportSource now(UUID character, UUID line, Integer frame, Pose live) {
        Snapshot<Character> c = characters.snapshot(character);
        Optional<Snapshot<Shot>> shot = Optional.ofNullable(line).map(lines::snapshot);
        shot.ifPresent(s -> requireOf(s, character));
        return of(c, shot, frame, live);
    }

    static void requireOf(Snapshot<Shot> shot, UUID character) {
        if (!shot.belongsTo().equals(character)) {
            throw Problem.refused(
                    "other-character",
                    "“" + shot.state().name() + "” is a shot of another character; open that one to hand it over.");
        }
    }

    ExportSource of(Snapshot<Character> c, Optional<Snapshot<Shot>> shot, Integer frame, Pose live) {
        Optional<Playhead> playhead = shot.map(s -> lines.playhead(s, c));
        Pose shown =
                frame == null ? live : playhead.map(p -> p.poseAt(frame, live)).orElse(live);
        return new ExportSource(
                c.state(),
                characters.evaluator(c).frame(shown),
                shot.map(Snapshot::state),
                playhead,
                images,
                () -> shot.map(Snapshot::state).flatMap(lines::spoken),
                () -> bundles.of(c.id()),
                ExportWork.HERE);
    }
}
