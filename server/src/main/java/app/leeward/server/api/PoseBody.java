package app.leeward.server.api;

import app.leeward.core.rig.Pose;
import java.util.Map;

/** A pose as the page asks for it; what is left out is empty. */
public record PoseBody(
        Map<String, Double> dials, Map<String, String> picks, Map<String, String> pins, Map<String, Double> looks) {
    static Pose of(PoseBody body) {
        return body == null
                ? Pose.REST
                : new Pose(orEmpty(body.dials), orEmpty(body.picks), orEmpty(body.pins), Map.of())
                        .withLooks(orEmpty(body.looks));
    }

    private static <V> Map<String, V> orEmpty(Map<String, V> map) {
        if (map == null) {
            return Map.of();
        }
        map.values().removeIf(java.util.Objects::isNull);
        return map;
    }
}
