package app.leeward.core.mouth;

import app.leeward.core.speech.Phone;
import java.util.List;
import java.util.Set;

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
    public static List<MustShow> of(MouthRequest asked) {
        TrackProblem problem = new TrackProblem(asked);
        return problem.demands.stream()
                .filter(TrackProblem.Demand::hard)
                .map(d -> new MustShow(
                        d.phone(),
                        d.at(),
                        d.from(),
                        d.to(),
                        d.serving().stream()
                                .flatMap(Set::stream)
                                .distinct()
                                .filter(k -> k >= 0)
                                .map(problem.drawings::get)
                                .toList()))
                .toList();
    }
}
