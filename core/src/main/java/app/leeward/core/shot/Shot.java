package app.leeward.core.shot;

import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthSolver;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.speech.DialogueLine;
import java.util.Map;
import java.util.TreeMap;

/**
 * A stretch of frames in which a character says a line.
 *
 * @param rules frame rate, ones or twos, lead and minimum hold
 * @param pins frame to the mouth drawing pinned there by hand
 */
public record Shot(String name, DialogueLine line, TrackRules rules, Map<Integer, String> pins) {
    public Shot {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a shot needs a name");
        }
        pins = java.util.Collections.unmodifiableMap(new TreeMap<>(pins));
    }

    /** How many frames it lasts: enough for the whole recording, at least one. */
    public int frames() {
        return Math.max(1, (int) Math.ceil(line.seconds() * rules.frameRate() - 1e-9));
    }

    /** The mouths of this shot for a character with this chart. */
    public MouthTrack mouths(MouthChart chart) {
        return MouthSolver.solve(chart, line.phones(), line.seconds(), rules, pins);
    }

    public Shot withName(String newName) {
        return new Shot(newName, line, rules, pins);
    }

    public Shot withRules(TrackRules newRules) {
        return new Shot(name, line, newRules, pins);
    }

    public Shot withLine(DialogueLine newLine) {
        return new Shot(name, newLine, rules, pins);
    }

    public Shot withPins(Map<Integer, String> newPins) {
        return new Shot(name, line, rules, newPins);
    }
}
