package app.leeward.core.turn;

import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;

/**
 * How the outline of a face changes when the head turns: the chin goes with the turn further than the forehead, the far
 * cheek comes in above the jaw, the near jaw comes out. By eye, no source.
 */
final class FaceTurn {
    private static final double CHIN = 0.13;
    private static final double FAR_CHEEK = 0.07;
    private static final double FAR_JAW = 0.10;
    private static final double NEAR_JAW = 0.05;

    private FaceTurn() {}

    /** @param share -1 at full turn to screen left, 1 to screen right */
    static List<PointDeltas> reshapes(Part face, Ball ball, double share) {
        List<PointDeltas> out = new ArrayList<>();
        face.drawing(face.shown()).ifPresent(d -> {
            for (int i = 0; i < d.art().shapes().size(); i++) {
                Shape s = d.art().shapes().get(i);
                // a line within the face is no edge of it, and pixels cannot be reshaped
                boolean edge = s.path().bounds().isPresent()
                        && s.path().bounds().get().width() > ball.rx()
                        && !(s.fill() instanceof Paint.Picture);
                if (edge) {
                    Path turned = s.path().map(p -> turned(p, ball, share));
                    out.add(PointDeltas.between(d.id(), i, s.path(), turned));
                }
            }
        });
        return out;
    }

    private static Point turned(Point p, Ball ball, double share) {
        double away = Math.abs(share);
        double u = (p.x() - ball.centre().x()) / ball.rx();
        double v = (p.y() - ball.centre().y()) / ball.ry();
        double low = smooth((v + 0.1) / 1.1);
        double side = Math.max(-1, Math.min(1, u * Math.signum(share)));
        double far = smooth(side);
        double near = smooth(-side);
        double jaw = bump((v - 0.55) / 0.6);
        double cheek = bump((v - 0.1) / 0.6);
        double inwards = away * far * (FAR_CHEEK * cheek + FAR_JAW * jaw);
        double outwards = away * near * NEAR_JAW * jaw;
        double x = u + CHIN * share * low - Math.signum(share) * (inwards + outwards);
        return new Point(ball.centre().x() + ball.rx() * x, p.y());
    }

    /** 0 up to 0, 1 from 1 on, smoothly between. */
    private static double smooth(double t) {
        double held = Math.max(0, Math.min(1, t));
        return held * held * (3 - 2 * held);
    }

    /** 1 in the middle, 0 from one away on. */
    private static double bump(double t) {
        return smooth(1 - Math.abs(t));
    }
}
