package app.leeward.core.shot;

import app.leeward.core.speech.DialogueLine;

/**
 * A line of dialogue in a shot.
 *
 * @param at the frame its recording begins at
 */
public record PlacedLine(int at, DialogueLine line) {
    public PlacedLine {
        if (at < 0) {
            throw new IllegalArgumentException("A line cannot begin before the shot, at frame " + at + ".");
        }
    }

    /** The first frame behind its recording. */
    int end(int frameRate) {
        return at + Math.max(1, (int) Math.ceil(line.seconds() * frameRate - 1e-9));
    }

    /** Seconds into the shot at which its first sound is spoken; of one whose sounds were not found, at which it begins. */
    double speaks(int frameRate) {
        return (double) at / frameRate
                + (line.phones().isEmpty() ? 0 : line.phones().get(0).start());
    }

    /** Seconds into the shot at which its last sound has ended. */
    double silent(int frameRate) {
        int last = line.phones().size() - 1;
        return (double) at / frameRate
                + (last < 0 ? line.seconds() : line.phones().get(last).end());
    }
}
