package app.leeward.faces;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Draws one eye.
 *
 * @param eyeX how far its middle is from the axis
 * @param eyeY its middle's height
 * @param eyeW half its width
 * @param eyeH half its height
 */
record EyeDrawing(Traits t, Colours c, Random random, double eyeX, double eyeY, double eyeW, double eyeH) {
    /**
     * The pieces of the eye on the right of the picture, and of the brow over it.
     *
     * @param h half the height of the head
     */
    List<Piece> left(double h) {
        List<Piece> left = new ArrayList<>();
        Side side = t.oneEye() ? Side.MIDDLE : Side.LEFT;
        String group = t.oneEye() ? "eye" : "left eye";
        double pupil = eyeW * Traits.between(random, 0.22, 0.34);
        if (t.eyes() == Traits.Eyes.DOTS) {
            left.add(new Piece(
                    What.PUPIL,
                    side,
                    group,
                    Mark.filled(Curve.ellipse(eyeX, eyeY, eyeW * 0.28, eyeW * 0.36), c.line())));
        } else {
            Curve white = t.kind() == Traits.Kind.ROBOT && Traits.chance(random, 0.5)
                    ? Curve.box(eyeX, eyeY, 2 * eyeW, 2 * eyeH)
                    : Curve.ellipse(eyeX, eyeY, eyeW, eyeH);
            left.add(new Piece(What.WHITE, side, group, Mark.filled(white, "#fdfcf7")));
            if (t.iris()) {
                left.add(new Piece(
                        What.IRIS,
                        side,
                        group,
                        Mark.filled(Curve.ellipse(eyeX, eyeY, pupil * 1.75, pupil * 1.75), c.iris())));
            }
            left.add(new Piece(
                    What.PUPIL, side, group, Mark.filled(Curve.ellipse(eyeX, eyeY, pupil, pupil), "#17131a")));
            if (t.highlight()) {
                left.add(new Piece(
                        What.HIGHLIGHT,
                        side,
                        group,
                        Mark.filled(
                                Curve.ellipse(eyeX - pupil * 0.4, eyeY - pupil * 0.4, pupil * 0.3, pupil * 0.3),
                                "#ffffff")));
            }
            lids(left, white, side, group);
            if (t.eyeLine()) {
                left.add(new Piece(What.EYE_LINE, side, group, Mark.stroke(white, c.line(), t.lineWidth())));
            }
            if (t.lashes()) {
                left.add(new Piece(
                        What.LASHES,
                        side,
                        group,
                        Mark.stroke(
                                Curve.line(
                                        eyeX - eyeW,
                                        eyeY - eyeH * 0.5,
                                        eyeX,
                                        eyeY - eyeH * 1.1,
                                        eyeX + eyeW * 1.1,
                                        eyeY - eyeH * 0.7),
                                c.line(),
                                t.lineWidth() * 1.4)));
            }
        }
        if (t.brows() && !t.oneEye()) {
            double y = eyeY - eyeH - h * 0.12;
            left.add(new Piece(
                    What.BROW,
                    side,
                    "head",
                    Mark.filled(
                            Curve.blob(
                                    eyeX - eyeW,
                                    y + 4,
                                    eyeX,
                                    y - 7,
                                    eyeX + eyeW * 1.1,
                                    y,
                                    eyeX + eyeW,
                                    y + 7,
                                    eyeX,
                                    y + 2,
                                    eyeX - eyeW * 0.9,
                                    y + 11),
                            c.hair())));
        }
        return left;
    }

    private void lids(List<Piece> left, Curve white, Side side, String group) {
        String colour = Colours.mixed(c.skin(), c.shade(), 0.4);
        if (t.lids() == Traits.Lids.UPPER || t.lids() == Traits.Lids.BOTH) {
            left.add(new Piece(
                    What.UPPER_LID,
                    side,
                    group,
                    Mark.filled(
                            Curve.blob(
                                    eyeX - eyeW * 1.15,
                                    eyeY - eyeH * 0.7,
                                    eyeX,
                                    eyeY - eyeH * 0.62,
                                    eyeX + eyeW * 1.15,
                                    eyeY - eyeH * 0.7,
                                    eyeX + eyeW * 1.15,
                                    eyeY - eyeH * 1.35,
                                    eyeX - eyeW * 1.15,
                                    eyeY - eyeH * 1.35),
                            colour)));
        }
        if (t.lids() == Traits.Lids.BOTH) {
            left.add(new Piece(
                    What.LOWER_LID,
                    side,
                    group,
                    Mark.filled(
                            Curve.blob(
                                    eyeX - eyeW * 1.12,
                                    eyeY + eyeH * 0.82,
                                    eyeX,
                                    eyeY + eyeH * 0.86,
                                    eyeX + eyeW * 1.12,
                                    eyeY + eyeH * 0.82,
                                    eyeX + eyeW * 1.1,
                                    eyeY + eyeH * 1.3,
                                    eyeX - eyeW * 1.1,
                                    eyeY + eyeH * 1.3),
                            colour)));
        }
        if (t.lids() == Traits.Lids.DRAWN) {
            int count = 2 + random.nextInt(3);
            for (int i = 1; i <= count; i++) {
                double shut = (double) i / count;
                double edge = eyeY - eyeH + 2 * eyeH * shut * 0.8;
                Piece blink = new Piece(
                        What.BLINK,
                        side,
                        group,
                        Mark.filled(white, colour),
                        Mark.stroke(
                                Curve.line(eyeX - eyeW, edge - 2, eyeX, edge + eyeH * 0.12, eyeX + eyeW, edge - 2),
                                c.line(),
                                t.lineWidth()));
                left.add(blink.hiddenAs(String.valueOf(i)));
            }
        }
    }
}
