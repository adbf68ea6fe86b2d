package app.leeward.core.solid;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import java.util.List;

/**
 * The motion of a small patch of colour on a head, such as a cheek or a spot. The side of a head is steep, and what lies on it
 * comes round the near side several times as wide; nobody draws a cheek so. From where it would be wider than it was drawn it
 * goes as one, and hardly widens.
 */
final class Dab implements Motion {
    /** How wide it becomes at most, as a share of its width at rest; by eye, no source. */
    private static final double WIDEST = 1.12;
    /** How much wider than at rest the surface has it where it goes as one altogether; less would ask for more stops. */
    private static final double AS_ONE = 0.5;
    /** How much of its slant it keeps; by eye. */
    private static final double SLANT = 0.4;

    private record Held(View view, double share, Matrix placed) {}

    private final Motion exact;
    private final HeadSolids.Sampled points;
    /** For the view that was asked for last: all its points are asked for it one after the other. */
    private volatile Held last;

    Dab(Motion exact, List<Point> along) {
        this.exact = exact;
        points = new HeadSolids.Sampled(along, along.stream().map(exact::of).toList());
    }

    @Override
    public Follow of(Point rest) {
        Follow follow = exact.of(rest);
        return view -> {
            Held held = last;
            if (held == null || held.view != view) {
                held = held(view);
                last = held;
            }
            Point at = follow.at(view);
            return held.share == 0 ? at : at.towards(held.placed.apply(rest), held.share);
        };
    }

    private Held held(View view) {
        double wide = Affine.of(points, view, 0, Double.MAX_VALUE, 1).a();
        double share = Skull.smooth((wide - 1) / AS_ONE);
        return share == 0
                ? new Held(view, 0, Matrix.IDENTITY)
                : new Held(view, share, Affine.of(points, view, 0, WIDEST, SLANT));
    }
}
