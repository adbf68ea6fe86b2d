package app.leeward.core.turn;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Cuts at the edge of the face what lies on it and would leave it on the far side of a turn, such as the skin-coloured fold over a
 * lid. Only what lies wholly on the skin at rest is cut, in all its drawings, so the picture at rest stays.
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
            boolean onFace = ON_FACE.contains(solids.kind(id))
                    && c.part(id)
                            .filter(p ->
                                    p.role() != PartRole.FACE_LINE && !p.role().insideEye() && !p.beaked())
                            .isPresent();
            if (over && onFace && !masked.contains(id) && solids.liesOnSkin(id)) {
                more.add(id);
            }
        }
        return more.isEmpty() ? c : c.withRig(rig -> rig.withMasked(skin, more));
    }
}
