package app.leeward.core.mouth;

import app.leeward.core.speech.TimedPhone;
import java.util.List;
import java.util.Map;

/**
 * What a mouth track is asked for.
 *
 * @param chart all rows of the character
 * @param phones what is heard, in rising order
 * @param seconds how long the track is
 * @param rules where no timing span says otherwise
 * @param pins frame to the id of the drawing it must show
 * @param mood id of the row where no mood span says otherwise; empty for the neutral row
 * @param moods stretches in other moods, none overlapping
 * @param timings stretches with another lead and hold, none overlapping
 */
public record MouthRequest(
        MouthChart chart,
        List<TimedPhone> phones,
        double seconds,
        TrackRules rules,
        Map<Integer, String> pins,
        String mood,
        List<MoodSpan> moods,
        List<TimingSpan> timings) {
    public MouthRequest {
        phones = List.copyOf(phones);
        pins = Map.copyOf(pins);
        moods = List.copyOf(moods);
        timings = List.copyOf(timings);
    }

    /** In the neutral row and by the same numbers from end to end. */
    public MouthRequest(
            MouthChart chart, List<TimedPhone> phones, double seconds, TrackRules rules, Map<Integer, String> pins) {
        this(chart, phones, seconds, rules, pins, "", List.of(), List.of());
    }

    int frames() {
        return Math.max(1, (int) Math.ceil(seconds * rules.frameRate() - 1e-9));
    }

    /** Id of the row that a frame is said with. */
    String moodAt(int frame) {
        return MoodSpan.at(moods, frame, mood);
    }

    TrackRules rulesAt(int frame) {
        return TimingSpan.at(timings, frame, rules);
    }
}
