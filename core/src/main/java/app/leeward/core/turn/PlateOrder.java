package app.leeward.core.turn;

import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import java.util.ArrayList;
import java.util.List;

/**
 * Where ears lie while a head turns: the one on the near side before the face, the one on the far side behind it. Other
 * plates stay where they were drawn.
 */
final class PlateOrder {
    /** From which share of the way on. */
    private static final double OPENS = 0.07;

    private final HeadSolids solids;
    private final List<String> order;
    private final Dial dial;
    /** The highest of the skin and its line, and what the skin lies over. */
    private final String face;

    private final String below;
    private final int skin;

    PlateOrder(Character c, HeadSolids solids, Dial dial) {
        this.solids = solids;
        this.dial = dial;
        order = c.rig().order();
        skin = order.indexOf(solids.skin());
        String top = solids.skin();
        for (String id : order.subList(skin, order.size())) {
            boolean line =
                    c.part(id).filter(p -> p.role() == PartRole.FACE_LINE).isPresent();
            top = line && solids.pieces().contains(id) ? id : top;
        }
        face = top;
        below = skin > 0 ? order.get(skin - 1) : Dial.BACK;
    }

    List<Bands> made() {
        List<Bands> all = new ArrayList<>();
        for (String id : solids.pieces()) {
            if (solids.kind(id) != SolidKind.EAR || !solids.keepsDrawing(id) || solids.upright(id)) {
                continue;
            }
            List<String> pieces = solids.carried(id);
            if (pieces.isEmpty()) {
                continue;
            }
            boolean before = order.indexOf(pieces.get(0)) > skin;
            boolean screenRight = solids.root(id).x() > solids.axis();
            if (before) {
                bands(all, pieces, !screenRight, below);
            } else {
                bands(all, pieces, screenRight, face);
            }
        }
        return all;
    }

    /** Lays pieces over another part, each over the one before, on one side of the dial. */
    private void bands(List<Bands> all, List<String> pieces, boolean lowSide, String over) {
        double end = lowSide ? dial.from() : dial.to();
        double opens = dial.rest() + OPENS * (end - dial.rest());
        if (end == opens) {
            // a dial that goes to the other side only
            return;
        }
        String at = over;
        for (String piece : pieces) {
            all.add(new Bands(piece, List.of(lowSide ? new Band(end, opens, at) : new Band(opens, end, at))));
            at = piece;
        }
    }
}
