package app.leeward.core.mouth;

import java.util.List;

/**
 * A stretch of a shot that is said with another row of mouths.
 *
 * @param from its first frame
 * @param to the first frame behind it
 * @param mood id of the row; empty, or one that is not there any more, for the neutral row
 */
public record MoodSpan(int from, int to, String mood) {
    public MoodSpan {
        mood = mood == null ? "" : mood;
        TimingSpan.requireStretch("mood", from, to);
    }

    /** Id of the row that a frame is said with, by these stretches; {@code otherwise} where none holds it. */
    public static String at(List<MoodSpan> spans, int frame, String otherwise) {
        return spans.stream()
                .filter(s -> s.from() <= frame && frame < s.to())
                .map(MoodSpan::mood)
                .findFirst()
                .orElse(otherwise);
    }
}
