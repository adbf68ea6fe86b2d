package app.leeward.server.api;

import app.leeward.core.rig.Pose;
import app.leeward.server.studio.Problem;
import java.util.Arrays;
import java.util.Map;

/** A pose as the page asks for it; what is left out is empty. */
public record PoseBody(
        Map<String, Double> dials, Map<String, String> picks, Map<String, String> pins, Map<String, Double> looks) {
    /** More than any character has. */
    private static final int MOST = 2_000;

    static Pose of(PoseBody body) {
        if (body != null) {
            body.requireSize();
        }
        return body == null
                ? Pose.REST
                : new Pose(orEmpty(body.dials), orEmpty(body.picks), orEmpty(body.pins), Map.of())
                        .withLooks(orEmpty(body.looks));
    }

    /** Every frame that is asked for goes through all of these. */
    private void requireSize() {
        for (Map<String, ?> map : Arrays.asList(dials, picks, pins, looks)) {
            if (map != null && map.size() > MOST) {
                throw Problem.refused(
                        "pose-large",
                        "A pose names at most " + MOST + " dials, picks, pins or looks, not " + map.size() + ".");
            }
        }
    }

    private static <V> Map<String, V> orEmpty(Map<String, V> map) {
        if (map == null) {
            return Map.of();
        }
        map.values().removeIf(java.util.Objects::isNull);
        return map;
    }
}
