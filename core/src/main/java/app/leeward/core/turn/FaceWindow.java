package app.leeward.core.turn;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Cuts at the edge of the face what lies on it and would leave it on the far side of a turn, such as the skin-coloured fold over a
 * lid. Moustaches stand out beyond it, and badges go with their hat. Only what lies wholly on the skin at rest is cut, in all its drawings, so the picture at rest stays.
 */
final class FaceWindow {
    private static final Set<SolidKind> ON_FACE = Set.of(SolidKind.SKULL, SolidKind.DECAL, SolidKind.MOUTH);

    private FaceWindow() {}

    static Character cut(Character c, HeadSolids solids) {
        String skin = solids.skin();
        Set<String> masked = new HashSet<>();
        c.rig().windows().forEach(w -> masked.addAll(w.masked()));
        List<String> order = c.rig().order();
        List<String> more = new ArrayList<>();
        for (String id : solids.pieces()) {
            boolean over = order.indexOf(id) > order.indexOf(skin);
            boolean onFace = (ON_FACE.contains(solids.kind(id)) || spills(c, solids, id))
                    && c.part(id)
                            .filter(p ->
                                    p.role() != PartRole.FACE_LINE && !p.role().insideEye() && !p.beaked())
                            .filter(p -> p.role() != PartRole.MOUSTACHE && !solids.onHat(id))
                            .isPresent();
            if (over && onFace && !masked.contains(id) && solids.liesOnSkin(id)) {
                more.add(id);
            }
        }
        return more.isEmpty() ? c : c.withRig(rig -> rig.withMasked(skin, more));
    }

    /** A muzzle that is a patch of colour would lie beyond the head's line, with no line of its own to close it. */
    private static boolean spills(Character c, HeadSolids solids, String id) {
        return solids.kind(id) == SolidKind.MASS
                && c.part(id)
                        .filter(p -> p.role() == PartRole.MUZZLE && !outlined(p))
                        .isPresent()
                && outlinedFace(c, solids, id);
    }

    /** Whether the face has a line: that of its skin, or a layer of its own over the piece. */
    private static boolean outlinedFace(Character c, HeadSolids solids, String piece) {
        List<String> order = c.rig().order();
        return c.part(solids.skin()).filter(FaceWindow::outlined).isPresent()
                || c.rig().parts().stream()
                        .anyMatch(p -> p.role() == PartRole.FACE_LINE && order.indexOf(p.id()) > order.indexOf(piece));
    }

    private static boolean outlined(Part part) {
        return part.drawings().stream().flatMap(d -> d.art().shapes().stream()).anyMatch(s -> s.stroke()
                .visible());
    }
}
