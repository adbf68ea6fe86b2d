package app.leeward.core.mouth;

import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.util.List;
import java.util.Map;

/**
 * A sound that has to be seen: lips that meet on p, b and m, teeth on the lip for f and v.
 *
 * @param at seconds into the shot at which it is heard
 * @param from the first exposure it can be seen in
 * @param to the last one, in
 * @param drawings ids of those that show it; empty when the character has none
 */
public record MustShow(Phone phone, double at, int from, int to, List<String> drawings) {
    /**
     * Every such sound, in the order they are heard; what the mouth track is solved with.
     *
     * @throws IllegalArgumentException when the chart has no drawing at all
     */
    public static List<MustShow> of(MouthChart chart, List<TimedPhone> phones, double seconds, TrackRules rules) {
        TrackProblem problem = new TrackProblem(chart, MouthSounds.of(phones), seconds, rules, Map.of());
        return problem.demands.stream()
                .map(d -> new MustShow(
                        d.phone(),
                        d.at(),
                        d.from(),
                        d.to(),
                        d.serving().stream()
                                .filter(k -> k >= 0)
                                .map(problem.drawings::get)
                                .toList()))
                .toList();
    }
}
