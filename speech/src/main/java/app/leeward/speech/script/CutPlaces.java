package app.leeward.speech.script;

import app.leeward.speech.Listening;
import app.leeward.speech.acoustic.LongSound;
import app.leeward.speech.acoustic.Pauses;
import app.leeward.speech.acoustic.ScriptFinder;
import java.util.ArrayList;
import java.util.List;

/** Where a recording is cut so that each piece holds one line of a script, with a little quiet around it. */
public final class CutPlaces {
    /** Quiet that is kept at each end, seconds. */
    private static final double AROUND = 0.4;
    /** A time of a script may be so far off, seconds; that much around it is listened to. */
    private static final double OFF = 0.6;

    private CutPlaces() {}

    /**
     * @param line its number among those looked for, from 0
     * @param from seconds into the recording
     * @param to seconds into the recording
     */
    public record Cut(int line, double from, double to) {}

    /** Around what was found; where two lines are near to each other, in the quietest place between them. */
    public static List<Cut> around(List<ScriptFinder.Found> found, LongSound sound) {
        List<Cut> out = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
            ScriptFinder.Found f = found.get(i);
            double from = f.from() - AROUND;
            double to = f.to() + AROUND;
            if (i > 0 && found.get(i - 1).to() > from - AROUND) {
                from = between(sound, found.get(i - 1).to(), f.from());
            }
            if (i + 1 < found.size() && found.get(i + 1).from() < to + AROUND) {
                to = between(sound, f.to(), found.get(i + 1).from());
            }
            out.add(new Cut(f.line(), Math.max(0, from), Math.min(sound.seconds(), to)));
        }
        return out;
    }

    private static double between(LongSound sound, double from, double to) {
        double first = Math.max(0, Math.min(from, to) - 0.1);
        return first
                + Pauses.quietest(sound.part(first, Math.max(from, to) + 0.1), 0, Math.max(from, to) + 0.1 - first);
    }

    /** By the times a script has; those of lines that lie beyond the recording are left out. */
    public static List<Cut> byTimes(List<ScriptLine.Times> times, LongSound sound, Listening listening) {
        List<Cut> out = new ArrayList<>();
        for (int i = 0; i < times.size(); i++) {
            listening.reached((double) i / times.size());
            ScriptLine.Times t = times.get(i);
            if (t.from() < sound.seconds()) {
                out.add(new Cut(i, quietNear(sound, t.from(), -1), quietNear(sound, t.to(), 1)));
            }
        }
        return out;
    }

    /** The quietest place near a time, rather outside of the line than in it. */
    private static double quietNear(LongSound sound, double time, int outwards) {
        double first = Math.max(0, time - (outwards < 0 ? OFF : OFF / 2));
        double last = Math.min(sound.seconds(), time + (outwards < 0 ? OFF / 2 : OFF));
        if (last <= first) {
            return Math.min(time, sound.seconds());
        }
        return first + Pauses.quietest(sound.part(first, last), 0, last - first);
    }
}
