package app.leeward.core.mouth;

import java.util.List;

/**
 * A stretch of a shot in which mouths run ahead of the sound, and are held, by other numbers than the shot's.
 *
 * @param from its first frame
 * @param to the first frame behind it
 * @param lead frames by which the mouth runs ahead of the sound
 * @param minimumHold frames below which a drawing flickers
 */
public record TimingSpan(int from, int to, int lead, int minimumHold) {
    public TimingSpan {
        requireStretch("timing of mouths", from, to);
        TrackRules.requireTiming(lead, minimumHold);
    }

    /** The rules that hold at a frame, by these stretches; {@code otherwise} where none holds it. */
    public static TrackRules at(List<TimingSpan> spans, int frame, TrackRules otherwise) {
        return spans.stream()
                .filter(s -> s.from() <= frame && frame < s.to())
                .map(s -> new TrackRules(otherwise.frameRate(), otherwise.exposure(), s.lead(), s.minimumHold()))
                .findFirst()
                .orElse(otherwise);
    }

    static void requireStretch(String what, int from, int to) {
        if (from < 0 || to <= from) {
            throw new IllegalArgumentException("A " + what
                    + " begins at frame 0 or later and lasts a frame at least; it cannot go from frame " + from
                    + " to frame " + to + ".");
        }
    }
}
