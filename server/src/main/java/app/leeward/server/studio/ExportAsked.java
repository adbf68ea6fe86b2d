package app.leeward.server.studio;

import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;

/**
 * What is asked of an export, as it is kept while it waits.
 *
 * @param exporters ids of the formats
 * @param together whether they come in one archive with a manifest, even if it is one
 * @param options by their ids
 * @param frame which frame of the shot is shown; null to show the pose
 */
public record ExportAsked(
        List<String> exporters,
        boolean together,
        Map<String, Double> options,
        Integer frame,
        Map<String, Double> dials,
        Map<String, String> picks,
        Map<String, String> pins,
        Map<String, Double> looks) {
    public static ExportAsked of(
            List<String> exporters, boolean together, Map<String, Double> options, Integer frame, Pose pose) {
        return new ExportAsked(
                exporters, together, options, frame, pose.dials(), pose.picks(), pose.pins(), pose.looks());
    }

    Pose pose() {
        return new Pose(dials, picks, pins, Map.of()).withLooks(looks);
    }
}
