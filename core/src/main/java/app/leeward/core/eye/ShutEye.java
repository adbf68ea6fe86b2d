package app.leeward.core.eye;

import app.leeward.core.art.Regions;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * What is seen of one eye's white between its lids. A look moves neither, so most poses of a sweep ask for the same picture
 * again; each is measured once.
 */
final class ShutEye {
    private final Part white;
    private final List<Part> lids;
    private final Fills fills;
    private final Map<List<Frame.Placed>, Geometry> open = new HashMap<>();
    private final Map<List<Frame.Placed>, Geometry> within = new HashMap<>();

    private ShutEye(Part white, List<Part> lids, Fills fills) {
        this.white = white;
        this.lids = lids;
        this.fills = fills;
    }

    /** Empty for an eye without a white that is drawn. */
    static Optional<ShutEye> of(EyePieces eye, Fills fills) {
        List<Part> lids = eye.pieces().stream()
                .filter(p -> p.role() == PartRole.UPPER_LID
                        || p.role() == PartRole.LOWER_LID
                        || p.role() == PartRole.BLINK
                        || p.role() == PartRole.LASHES)
                .toList();
        return eye.piece(PartRole.WHITE)
                .filter(p -> !p.drawings().isEmpty())
                .map(white -> new ShutEye(white, lids, fills));
    }

    /** The white no lid covers; an empty area when none is seen. */
    Geometry open(Frame frame) {
        return open.computeIfAbsent(pieces(frame), k -> without(frame, 0));
    }

    /** The white no lid covers when every lid is smaller all round by {@code by} units. */
    Geometry nearlyOpen(Frame frame, double by) {
        return within.computeIfAbsent(pieces(frame), k -> without(frame, by));
    }

    private List<Frame.Placed> pieces(Frame frame) {
        List<Frame.Placed> all = new ArrayList<>();
        frame.of(white.id()).ifPresent(w -> {
            all.add(w);
            w.windows().forEach(by -> frame.of(by).ifPresent(all::add));
        });
        lids.forEach(l -> frame.of(l.id()).ifPresent(all::add));
        return all;
    }

    private Geometry without(Frame frame, double by) {
        Optional<Geometry> window = fills.window(frame, white.id());
        Geometry seen = fills.in(frame, white.id())
                .filter(w -> frame.of(white.id()).orElseThrow().opacity() > 0)
                .map(w -> window.map(o -> Regions.both(w, o)).orElse(w))
                .orElseGet(() -> new org.locationtech.jts.geom.GeometryFactory().createPolygon());
        for (Part lid : lids) {
            Optional<Geometry> fill = seen.isEmpty() ? Optional.empty() : fills.in(frame, lid.id());
            if (fill.isPresent()) {
                seen = Regions.without(seen, by == 0 ? fill.get() : fill.get().buffer(-by, 2));
            }
        }
        return seen;
    }
}
