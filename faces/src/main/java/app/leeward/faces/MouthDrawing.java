package app.leeward.faces;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Draws the mouths.
 *
 * @param w half the width of the head
 * @param h half its height
 */
record MouthDrawing(Traits t, Colours c, Random random, double w, double h) {
    /** The mouth at rest and, where the face has them, those of five sounds, hidden or laid out beside the figure. */
    List<Piece> all() {
        List<Piece> pieces = new ArrayList<>();
        double y = t.kind() == Traits.Kind.MUZZLE ? h * 0.62 : h * 0.58;
        double wide = w * Traits.between(random, 0.24, 0.36);
        List<Piece> all = new ArrayList<>();
        all.add(mouth("rest", y, wide, 0));
        if (t.mouths() != Traits.Mouths.ONE) {
            all.add(mouth("A", y, wide * 0.95, h * 0.16));
            all.add(mouth("E", y, wide * 1.12, h * 0.08));
            all.add(mouth("O", y, wide * 0.6, h * 0.12));
            all.add(mouth("U", y, wide * 0.42, h * 0.08));
            all.add(mouth("MBP", y, wide * 0.92, 0));
        }
        for (int i = 0; i < all.size(); i++) {
            Piece p = all.get(i);
            if (t.mouths() == Traits.Mouths.LAID_OUT && i > 0) {
                pieces.add(p.laidAside(w * 2.6 + (i - 1) % 2 * w * 1.1, -h * 0.9 - y + (i - 1) / 2 * h * 0.55));
            } else {
                pieces.add(i == 0 ? p : p.hiddenAs(p.detail()));
            }
        }
        return pieces;
    }

    private Piece mouth(String sound, double y, double wide, double open) {
        List<Mark> marks = new ArrayList<>();
        double dip = t.kind() == Traits.Kind.BEAK ? h * 0.1 : h * 0.035;
        if (open == 0 && t.kind() != Traits.Kind.BEAK) {
            double middle = sound.equals("MBP") ? y + 1 : y + dip;
            marks.add(Mark.stroke(Curve.line(-wide, y, 0, middle, wide, y), c.line(), t.lineWidth() * 1.2));
        } else if (t.kind() == Traits.Kind.BEAK) {
            marks.add(Mark.filled(
                    Curve.blob(-wide * 0.9, y + open, 0, y + dip + open * 1.6, wide * 0.9, y + open, 0, y + open * 0.6),
                    Colours.mixed(c.lip(), "#402000", 0.25)));
            if (open > 0) {
                marks.add(Mark.filled(
                        Curve.blob(
                                -wide * 0.8,
                                y,
                                wide * 0.8,
                                y,
                                wide * 0.75,
                                y + open,
                                0,
                                y + open * 1.3,
                                -wide * 0.75,
                                y + open),
                        c.inner()));
            }
            marks.add(Mark.filled(
                    Curve.blob(-wide, y - h * 0.04, 0, y - h * 0.16, wide, y - h * 0.04, 0, y + dip), c.lip()));
        } else {
            Curve hole = Curve.ellipse(0, y + open / 3, wide, open / 2 + 4);
            marks.add(Mark.filled(hole, c.inner()));
            if (!sound.equals("O") && !sound.equals("U")) {
                marks.add(Mark.filled(
                        Curve.blob(
                                -wide * 0.7,
                                y - open * 0.08,
                                wide * 0.7,
                                y - open * 0.08,
                                wide * 0.6,
                                y + open * 0.08,
                                -wide * 0.6,
                                y + open * 0.08),
                        "#fffaf0"));
            }
            marks.add(Mark.stroke(hole, c.line(), t.lineWidth()));
        }
        return new Piece(What.MOUTH, Side.MIDDLE, sound, "mouth", marks, false, false);
    }
}
