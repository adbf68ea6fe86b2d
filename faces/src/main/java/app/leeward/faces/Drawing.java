package app.leeward.faces;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Draws all pieces of a face, back to front, in the face's own coordinates. */
final class Drawing {
    private final Traits t;
    private final Colours c;
    private final Random random;
    private final List<Piece> pieces = new ArrayList<>();
    /** Half the head's width and height. */
    private final double w;

    private final double h;
    /** Height of the eyes, how far they are from the axis, and half their width and height. */
    private final double eyeY;

    private final double eyeX;
    private final double eyeW;
    private final double eyeH;

    private Drawing(Traits t, Random random) {
        this.t = t;
        this.random = random;
        c = Colours.drawn(random, t.kind());
        w = 100 * t.wide();
        h = 125 * t.tall();
        eyeY = -12 + Traits.between(random, -10, 8);
        eyeX = t.oneEye() ? 0 : w * Traits.between(random, 0.38, 0.46);
        eyeW = w * Traits.between(random, 0.2, 0.27);
        eyeH = eyeW * Traits.between(random, 0.75, 1.15);
    }

    static List<Piece> of(Traits t, Random random) {
        Drawing d = new Drawing(t, random);
        d.all();
        return d.pieces;
    }

    private void all() {
        if (t.body()) {
            body();
        }
        if (t.backHair()) {
            add(new Piece(
                    What.BACK_HAIR,
                    Side.MIDDLE,
                    "head",
                    filled(
                            Curve.blob(
                                    0, -h * 1.12, w * 0.9, -h * 0.9, w * 1.2, 0, w * 1.12, h * 0.95, w * 0.5, h * 1.12,
                                    -w * 0.5, h * 1.12, -w * 1.12, h * 0.95, -w * 1.2, 0, -w * 0.9, -h * 0.9),
                            c.hair())));
        }
        if (t.body()) {
            add(new Piece(
                    What.NECK,
                    Side.MIDDLE,
                    "body",
                    filled(
                            Curve.blob(
                                    -w * 0.3, h * 0.7, w * 0.3, h * 0.7, w * 0.34, h * 1.25, 0, h * 1.32, -w * 0.34,
                                    h * 1.25),
                            c.shade())));
            if (Traits.chance(random, 0.4)) {
                add(new Piece(
                        What.COLLAR,
                        Side.MIDDLE,
                        "body",
                        filled(
                                Curve.blob(
                                        -w * 0.55, h * 1.16, 0, h * 1.26, w * 0.55, h * 1.16, w * 0.5, h * 1.36, 0,
                                        h * 1.46, -w * 0.5, h * 1.36),
                                c.trim())));
            }
        }
        ears();
        head();
        features();
        eyes();
        if (t.beard()) {
            add(new Piece(
                    What.BEARD,
                    Side.MIDDLE,
                    "head",
                    filled(
                            Curve.blob(
                                    -w * 0.8, h * 0.35, -w * 0.45, h * 0.62, 0, h * 0.86, w * 0.45, h * 0.62, w * 0.8,
                                    h * 0.35, w * 0.62, h * 0.95, 0, h * 1.2, -w * 0.62, h * 0.95),
                            c.hair())));
        }
        mouths();
        if (t.moustache()) {
            add(new Piece(
                    What.MOUSTACHE,
                    Side.MIDDLE,
                    "head",
                    filled(
                            Curve.blob(
                                    0, h * 0.36, w * 0.25, h * 0.36, w * 0.44, h * 0.5, w * 0.15, h * 0.46, 0, h * 0.43,
                                    -w * 0.15, h * 0.46, -w * 0.44, h * 0.5, -w * 0.25, h * 0.36),
                            c.hair())));
        }
        hair();
        if (t.glasses()) {
            glasses();
        }
        hat();
    }

    private Mark filled(Curve curve, String fill) {
        return t.outline() == Traits.Outline.STROKE
                ? Mark.lined(curve, fill, c.line(), t.lineWidth())
                : Mark.filled(curve, fill);
    }

    private void add(Piece p) {
        pieces.add(p);
    }

    /** The right piece first: it is on the left of the picture. */
    private void both(Piece left) {
        add(left.mirrored());
        add(left);
    }

    private void body() {
        add(new Piece(
                What.TORSO,
                Side.MIDDLE,
                "body",
                filled(
                        Curve.blob(
                                -w * 0.5, h * 1.2, w * 0.5, h * 1.2, w * 1.15, h * 1.45, w * 1.2, h * 2.3, 0, h * 2.4,
                                -w * 1.2, h * 2.3, -w * 1.15, h * 1.45),
                        c.cloth())));
        if (t.arms()) {
            both(new Piece(
                    What.UPPER_ARM,
                    Side.LEFT,
                    "left arm",
                    filled(
                            Curve.blob(
                                    w * 1.0, h * 1.42, w * 1.35, h * 1.5, w * 1.62, h * 1.95, w * 1.38, h * 2.05,
                                    w * 1.02, h * 1.7),
                            c.cloth())));
            both(new Piece(
                    What.FOREARM,
                    Side.LEFT,
                    "left arm",
                    filled(
                            Curve.blob(w * 1.36, h * 1.9, w * 1.64, h * 1.92, w * 1.72, h * 2.4, w * 1.46, h * 2.42),
                            c.skin())));
            both(new Piece(
                    What.HAND,
                    Side.LEFT,
                    "left arm",
                    filled(
                            Curve.blob(
                                    w * 1.47, h * 2.38, w * 1.71, h * 2.37, w * 1.84, h * 2.6, w * 1.72, h * 2.78,
                                    w * 1.5, h * 2.76, w * 1.38, h * 2.56),
                            c.skin())));
        }
    }

    private void ears() {
        if (t.kind() == Traits.Kind.MUZZLE && t.ears()) {
            Piece ear = new Piece(
                    What.EAR,
                    Side.LEFT,
                    "head",
                    filled(
                            Curve.blob(
                                    w * 0.42, -h * 0.72, w * 0.62, -h * 1.35, w * 0.85, -h * 1.3, w * 0.92, -h * 0.45),
                            c.skin()));
            both(ear);
            if (t.innerEars()) {
                both(new Piece(
                        What.INNER_EAR,
                        Side.LEFT,
                        "head",
                        Mark.filled(
                                Curve.blob(
                                        w * 0.56, -h * 0.78, w * 0.67, -h * 1.18, w * 0.78, -h * 1.12, w * 0.82,
                                        -h * 0.62),
                                c.shade())));
            }
        } else if (t.ears()) {
            both(new Piece(
                    What.EAR,
                    Side.LEFT,
                    "head",
                    filled(Curve.ellipse(w * 0.99, h * 0.02, w * 0.16, h * 0.2), c.skin())));
            if (t.innerEars()) {
                both(new Piece(
                        What.INNER_EAR,
                        Side.LEFT,
                        "head",
                        Mark.filled(Curve.ellipse(w * 1.03, h * 0.02, w * 0.08, h * 0.11), c.shade())));
            }
        }
        if (t.kind() == Traits.Kind.ROBOT && Traits.chance(random, 0.7)) {
            add(new Piece(
                    What.ANTENNA,
                    Side.MIDDLE,
                    "head",
                    Mark.stroke(Curve.line(0, -h * 0.9, 0, -h * 1.35), c.line(), 4),
                    filled(Curve.ellipse(0, -h * 1.4, 9, 9), c.trim())));
        }
        if (t.kind() == Traits.Kind.BEAK && Traits.chance(random, 0.4)) {
            both(new Piece(
                    What.HORN,
                    Side.LEFT,
                    "head",
                    filled(Curve.blob(w * 0.35, -h * 0.85, w * 0.6, -h * 1.25, w * 0.62, -h * 0.7), c.hair())));
        }
    }

    private void head() {
        Curve skull =
                switch (t.kind()) {
                    case ROBOT -> Curve.box(0, 0, 2 * w, 2 * h * 0.95);
                    case MUZZLE ->
                        Curve.blob(
                                0, -h * 0.95, w * 0.75, -h * 0.75, w, -h * 0.1, w * 0.9, h * 0.45, w * 0.45, h * 0.9, 0,
                                h, -w * 0.45, h * 0.9, -w * 0.9, h * 0.45, -w, -h * 0.1, -w * 0.75, -h * 0.75);
                    case BEAK -> Curve.ellipse(0, 0, w, h * 0.95);
                    case HUMAN ->
                        Curve.blob(
                                0, -h, w * 0.7, -h * 0.82, w, -h * 0.2, w * 0.93, h * 0.35, w * 0.55, h * 0.85, 0, h,
                                -w * 0.55, h * 0.85, -w * 0.93, h * 0.35, -w, -h * 0.2, -w * 0.7, -h * 0.82);
                };
        add(new Piece(What.SKIN, Side.MIDDLE, "head", filled(skull, c.skin())));
        if (t.outline() == Traits.Outline.LAYER) {
            add(new Piece(What.HEAD_LINE, Side.MIDDLE, "head", Mark.stroke(skull, c.line(), t.lineWidth())));
        }
    }

    private void features() {
        if (t.cheeks()) {
            both(new Piece(
                    What.CHEEK,
                    Side.LEFT,
                    "head",
                    Mark.filled(
                            Curve.ellipse(w * 0.55, h * 0.3, w * 0.16, h * 0.09),
                            Colours.mixed(c.skin(), "#e0475b", 0.35))));
        }
        if (t.freckles()) {
            List<Mark> dots = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                Mark dot = Mark.filled(
                        Curve.ellipse(w * (0.3 + 0.1 * i), h * (0.22 + 0.04 * (i % 2)), 2.4, 2.4), c.shade());
                dots.add(dot);
                dots.add(dot.mirrored());
            }
            add(new Piece(What.FRECKLES, Side.MIDDLE, "", "head", dots, false, false));
        }
        if (t.kind() == Traits.Kind.MUZZLE) {
            add(new Piece(
                    What.MUZZLE,
                    Side.MIDDLE,
                    "head",
                    filled(
                            Curve.blob(
                                    0, h * 0.16, w * 0.36, h * 0.28, w * 0.5, h * 0.58, w * 0.3, h * 0.88, 0, h * 0.94,
                                    -w * 0.3, h * 0.88, -w * 0.5, h * 0.58, -w * 0.36, h * 0.28),
                            Colours.mixed(c.skin(), "#ffffff", 0.6))));
            if (Traits.chance(random, 0.4)) {
                both(new Piece(
                        What.WHISKERS,
                        Side.LEFT,
                        "",
                        "head",
                        List.of(
                                Mark.stroke(Curve.line(w * 0.36, h * 0.5, w * 0.8, h * 0.42), c.line(), 1.5),
                                Mark.stroke(Curve.line(w * 0.36, h * 0.56, w * 0.82, h * 0.58), c.line(), 1.5)),
                        false,
                        false));
            }
        }
        if (t.nose()) {
            Curve nose = t.kind() == Traits.Kind.MUZZLE
                    ? Curve.blob(
                            -w * 0.16, h * 0.22, w * 0.16, h * 0.22, w * 0.1, h * 0.34, 0, h * 0.39, -w * 0.1, h * 0.34)
                    : Curve.blob(
                            0, h * 0.08, w * 0.1, h * 0.26, w * 0.13, h * 0.32, 0, h * 0.36, -w * 0.13, h * 0.32,
                            -w * 0.1, h * 0.26);
            add(new Piece(
                    What.NOSE,
                    Side.MIDDLE,
                    "head",
                    filled(nose, t.kind() == Traits.Kind.MUZZLE ? c.line() : c.shade())));
        }
    }

    private void eyes() {
        List<Piece> left = new EyeDrawing(t, c, random, eyeX, eyeY, eyeW, eyeH).left(h);
        if (!t.oneEye()) {
            left.forEach(p -> add(p.mirrored()));
        }
        left.forEach(this::add);
    }

    private void mouths() {
        pieces.addAll(new MouthDrawing(t, c, random, w, h).all());
    }

    private void hair() {
        if (t.sideHair()) {
            both(new Piece(
                    What.SIDE_HAIR,
                    Side.LEFT,
                    "head",
                    filled(
                            Curve.blob(w * 0.86, -h * 0.5, w * 1.06, -h * 0.35, w * 1.04, h * 0.3, w * 0.9, h * 0.36),
                            c.hair())));
        }
        if (t.fringe()) {
            add(new Piece(
                    What.FRINGE,
                    Side.MIDDLE,
                    "head",
                    filled(
                            Curve.blob(
                                    -w * 1.03, -h * 0.3, -w * 0.9, -h * 0.88, 0, -h * 1.14, w * 0.9, -h * 0.88,
                                    w * 1.03, -h * 0.3, w * 0.6, -h * 0.62, w * 0.2, -h * 0.55, -w * 0.2, -h * 0.62,
                                    -w * 0.6, -h * 0.56),
                            c.hair())));
        }
    }

    private void glasses() {
        double rx = eyeW * 1.35;
        double ry = eyeH * 1.25;
        if (!t.oneEye()) {
            add(new Piece(
                    What.LENS,
                    Side.RIGHT,
                    "glasses",
                    Mark.filled(Curve.ellipse(-eyeX, eyeY, rx, ry), "#bfe3f0").seenThrough(0.35)));
        }
        add(new Piece(
                What.LENS,
                t.oneEye() ? Side.MIDDLE : Side.LEFT,
                "glasses",
                Mark.filled(Curve.ellipse(eyeX, eyeY, rx, ry), "#bfe3f0").seenThrough(0.35)));
        List<Mark> frame = new ArrayList<>();
        frame.add(Mark.stroke(Curve.ellipse(eyeX, eyeY, rx, ry), c.line(), 5));
        if (!t.oneEye()) {
            frame.add(Mark.stroke(Curve.ellipse(-eyeX, eyeY, rx, ry), c.line(), 5));
            if (eyeX > rx) {
                frame.add(Mark.stroke(Curve.line(-eyeX + rx, eyeY, 0, eyeY - 4, eyeX - rx, eyeY), c.line(), 5));
            }
        }
        add(new Piece(What.GLASSES, Side.MIDDLE, "", "glasses", frame, false, false));
    }

    private void hat() {
        Curve crown = Curve.blob(
                -w * 1.02, -h * 0.62, -w * 0.85, -h * 1.2, 0, -h * 1.42, w * 0.85, -h * 1.2, w * 1.02, -h * 0.62, 0,
                -h * 0.7);
        if (t.hat() == Traits.Hat.ONE_PIECE) {
            add(new Piece(
                    What.HAT_CROWN,
                    Side.MIDDLE,
                    "hat",
                    filled(crown, c.hat()),
                    Mark.filled(
                            Curve.blob(
                                    -w * 1.04, -h * 0.72, 0, -h * 0.82, w * 1.04, -h * 0.72, w * 1.02, -h * 0.56, 0,
                                    -h * 0.64, -w * 1.02, -h * 0.56),
                            c.trim())));
        } else if (t.hat() == Traits.Hat.PIECES) {
            add(new Piece(What.HAT_CROWN, Side.MIDDLE, "hat", filled(crown, c.hat())));
            add(new Piece(
                    What.HAT_BAND,
                    Side.MIDDLE,
                    "hat",
                    filled(
                            Curve.blob(
                                    -w * 1.04, -h * 0.74, 0, -h * 0.84, w * 1.04, -h * 0.74, w * 1.02, -h * 0.56, 0,
                                    -h * 0.64, -w * 1.02, -h * 0.56),
                            c.trim())));
            if (Traits.chance(random, 0.6)) {
                add(new Piece(
                        What.HAT_BADGE,
                        Side.MIDDLE,
                        "hat",
                        filled(Curve.ellipse(0, -h * 0.86, w * 0.12, w * 0.12), "#e8c547")));
            }
            add(new Piece(
                    What.HAT_PEAK,
                    Side.MIDDLE,
                    "hat",
                    filled(
                            Curve.blob(
                                    -w * 0.7, -h * 0.62, 0, -h * 0.7, w * 0.7, -h * 0.62, w * 0.5, -h * 0.46, 0,
                                    -h * 0.42, -w * 0.5, -h * 0.46),
                            Colours.mixed(c.hat(), "#000000", 0.3))));
            if (Traits.chance(random, 0.4)) {
                add(new Piece(
                        What.HAT_BUTTON,
                        Side.MIDDLE,
                        "hat",
                        filled(Curve.ellipse(0, -h * 1.42, w * 0.07, w * 0.07), c.trim())));
            }
        }
    }
}
