package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Side;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Whose left is meant, for a whole file: where every sided part really lies.
 *
 * @param asNamed parts whose names agree with the character's own sides, as it faces us
 * @param turned parts that lie on the other side than their names say
 * @param right the sides by place, for the parts that would change
 */
public record SideCheck(int asNamed, int turned, Map<String, Side> right) {
    /** A part nearer to the axis than this share of the drawing's width is on neither side. */
    private static final double ON_THE_AXIS = 0.01;

    /** A character facing us has its left on the right of the screen. */
    public static SideCheck of(Character c) {
        double near = ON_THE_AXIS * c.sheet().canvas().width();
        Map<String, Side> right = new LinkedHashMap<>();
        int asNamed = 0;
        int turned = 0;
        // a face seen from the side has its left eye wherever it looks
        for (Part p : c.mainParts()) {
            Optional<Box> box = c.rig().boundsWithFollowers(p.id());
            if (box.isEmpty()) {
                continue;
            }
            double off = box.get().centre().x() - c.sheet().model().axis();
            Side side = off > 0 ? Side.LEFT : Side.RIGHT;
            boolean sided = Math.abs(off) > near;
            if (p.side() != Side.NONE && sided) {
                if (p.side() == side) {
                    asNamed++;
                } else {
                    turned++;
                    right.put(p.id(), side);
                }
            } else if (p.side() == Side.NONE && sided && p.role().inPairs()) {
                right.put(p.id(), side);
            }
        }
        return new SideCheck(asNamed, turned, right);
    }
}
