package app.leeward.core.shotcheck;

import app.leeward.core.art.Point;
import app.leeward.core.check.Extents;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One photographed frame of a shot; not for several threads. */
final class Exposure {
    private final int frame;
    private final Pose pose;
    private final Frame picture;
    private final Extents extents;
    private final Map<String, Frame.Placed> parts = new HashMap<>();
    private final Map<Frame.Placed, List<Point>> corners = new IdentityHashMap<>();

    /** @param frame its number in the shot */
    Exposure(int frame, Pose pose, Frame picture, Extents extents) {
        this.frame = frame;
        this.pose = pose;
        this.picture = picture;
        this.extents = extents;
        picture.placed().forEach(p -> parts.put(p.part(), p));
    }

    int frame() {
        return frame;
    }

    Pose pose() {
        return pose;
    }

    Frame picture() {
        return picture;
    }

    /** The entry of a part, when it shows a drawing. */
    Optional<Frame.Placed> of(String part) {
        return Optional.ofNullable(parts.get(part));
    }

    /** Where the corners of the box of what a part shows lie on the canvas; empty for a drawing with nothing in it. */
    List<Point> corners(Frame.Placed p) {
        return corners.computeIfAbsent(p, extents::corners);
    }
}
