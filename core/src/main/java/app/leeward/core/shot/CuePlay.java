package app.leeward.core.shot;

import app.leeward.core.cue.Cue;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/** A cue played once over a pose. */
public final class CuePlay {
    private CuePlay() {}

    /** A pose for each of the cue's frames. */
    public static List<Pose> of(Character character, Cue cue, Pose over) {
        Set<String> straight = character.controls().straightDials();
        return IntStream.range(0, cue.frames())
                .mapToObj(f -> over.withCues(cue.at(f, straight)))
                .toList();
    }
}
