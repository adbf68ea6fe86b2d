package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Offers roles for layers whose names say nothing, from where they lie on the face, their colour, their size, what they lie
 * inside, and their mirrored twin. Shares are of the face's width and height; they are rules of thumb, no source. A role
 * that is filled already is not offered again, unless it comes as a set.
 */
public final class Recogniser {
    /** How far the edge of a lid or a line may lie from the white's, as a share of the white's height. */
    private static final double NEAR_EYE = 0.35;
    /** How far a lid's colour may be from the face's, ΔE. */
    private static final double LIKE_SKIN = 25;

    private final Character character;
    private final Box face;
    private final double axis;
    /** The whites there are, and those just recognised. */
    private final List<Part> whites = new ArrayList<>();

    private Recogniser(Character character, Box face) {
        this.character = character;
        this.face = face;
        this.axis = character.sheet().model().axis();
        character.rig().parts().stream()
                .filter(p -> p.role() == PartRole.WHITE && p.bounds().isPresent())
                .forEach(whites::add);
    }

    /** The surest first; nothing when there is no face to compare with. */
    public static List<Recognition> in(Character c) {
        Optional<Box> face = c.part(PartRole.FACE)
                .or(() -> c.part(PartRole.HEAD))
                .flatMap(Part::bounds)
                .filter(b -> b.width() > 0 && b.height() > 0);
        if (face.isEmpty()) {
            return List.of();
        }
        Recogniser g = new Recogniser(c, face.get());
        // what lies in and about an eye is known by its white, so whites come first
        for (Recognition o : g.offers()) {
            if (o.role() == PartRole.WHITE) {
                Part white = c.part(o.part()).orElseThrow();
                g.whites.add(white.withRole(PartRole.WHITE, o.side())
                        .withName(o.side().prefix() + "eye white"));
            }
        }
        return g.offers();
    }

    private List<Recognition> offers() {
        List<Recognition> all = new ArrayList<>();
        for (Part p : character.rig().parts()) {
            if (p.role() == PartRole.OTHER && !p.drawings().isEmpty()) {
                p.bounds().flatMap(b -> guess(p, b)).filter(o -> free(o, all)).ifPresent(all::add);
            }
        }
        all.sort((a, b) -> Double.compare(b.sure(), a.sure()));
        return all;
    }

    private boolean free(Recognition g, List<Recognition> before) {
        boolean filled = character.rig().parts().stream()
                .anyMatch(p -> p.role() == g.role()
                        && p.side() == g.side()
                        && !p.drawings().isEmpty());
        boolean offered = before.stream().anyMatch(o -> o.role() == g.role() && o.side() == g.side());
        return !filled && !offered;
    }

    private Optional<Recognition> guess(Part p, Box b) {
        double across = (b.centre().x() - axis) / face.width();
        double down = (b.centre().y() - face.minY()) / face.height();
        double wide = b.width() / face.width();
        double tall = b.height() / face.height();
        Side side = Math.abs(across) < 0.06 ? Side.NONE : across > 0 ? Side.LEFT : Side.RIGHT;
        boolean itself = whites.stream().anyMatch(w -> w.id().equals(p.id()));
        Optional<Part> white = itself ? Optional.empty() : around(b);
        if (white.isPresent()) {
            return inEye(p, b, white.get());
        }
        Optional<Recognition> atEye = itself ? Optional.empty() : atEye(p, b);
        if (atEye.isPresent()) {
            return atEye;
        }
        boolean twin = twin(p, b).isPresent();
        double surer = twin ? 0.2 : 0;
        String also = twin ? ", with a mirrored twin" : "";
        if (side != Side.NONE && pale(p) && down > 0.25 && down < 0.65 && wide > 0.1 && wide < 0.4) {
            return offer(p, PartRole.WHITE, side, 0.65 + surer, "pale, at the height of the eyes" + also);
        }
        if (side != Side.NONE && down > 0.1 && down < 0.5 && wide > 0.12 && wide < 0.5 && tall < 0.6 * wide) {
            return offer(p, PartRole.BROW, side, 0.5 + surer, "flat and above the eyes" + also);
        }
        if (side != Side.NONE
                && Math.abs(across) > 0.4
                && down > 0.25
                && down < 0.8
                && tall > wide * 0.8
                && tall < 0.5) {
            return offer(p, PartRole.EAR, side, 0.5 + surer, "at the side of the face" + also);
        }
        if (side != Side.NONE && down > 0.5 && down < 0.85 && wide < 0.35 && Math.abs(across) < 0.42 && twin) {
            return offer(p, PartRole.CHEEK, side, 0.55, "low at the side of the face, with a mirrored twin");
        }
        if (side == Side.NONE && down > 0.4 && down < 0.72 && wide < 0.3 && tall < 0.4) {
            return offer(p, PartRole.NOSE, side, 0.6, "small, in the middle of the face");
        }
        if (side == Side.NONE && down >= 0.68 && down < 0.97 && wide > 0.1 && wide < 0.7 && tall < 0.4) {
            return offer(p, PartRole.MOUTH, side, 0.6, "on the axis between nose and chin");
        }
        if (side == Side.NONE && down < 0.3 && wide > 0.6) {
            boolean behind = character.rig().order().indexOf(p.id())
                    < character
                            .part(PartRole.FACE)
                            .map(f -> character.rig().order().indexOf(f.id()))
                            .orElse(0);
            return behind
                    ? offer(p, PartRole.BACK_HAIR, side, 0.55, "wide, high and behind the face")
                    : offer(p, PartRole.FRINGE, side, 0.5, "wide, high and before the face");
        }
        if (side == Side.NONE && down > 1.05 && wide > 0.7) {
            return offer(p, PartRole.TORSO, side, 0.5, "wide and below the face");
        }
        if (side == Side.NONE && down > 0.9 && down < 1.3 && wide > 0.15 && wide < 0.6) {
            return offer(p, PartRole.NECK, side, 0.45, "narrow and right below the face");
        }
        return Optional.empty();
    }

    private Optional<Recognition> inEye(Part p, Box b, Part white) {
        Box w = white.bounds().orElseThrow();
        double size = b.width() / w.width();
        double light = lightness(p);
        if (size > 0.85) {
            return Optional.empty();
        }
        if (light > 80) {
            return offer(p, PartRole.HIGHLIGHT, white.side(), 0.6, "pale and small inside the " + white.name());
        }
        return light < 30 || size < 0.3
                ? offer(p, PartRole.PUPIL, white.side(), 0.75, "dark, inside the " + white.name())
                : offer(p, PartRole.IRIS, white.side(), 0.7, "coloured, inside the " + white.name());
    }

    /** A line round a white, or skin that lies over or under one, as wide as it. */
    private Optional<Recognition> atEye(Part p, Box b) {
        for (Part white : whites) {
            Box w = white.bounds().orElseThrow();
            double near = NEAR_EYE * w.height();
            boolean round = Math.abs(b.minX() - w.minX()) < near
                    && Math.abs(b.maxX() - w.maxX()) < near
                    && Math.abs(b.minY() - w.minY()) < near
                    && Math.abs(b.maxY() - w.maxY()) < near;
            if (round && colour(p).isEmpty()) {
                return offer(p, PartRole.EYE_OUTLINE, white.side(), 0.7, "a line round the " + white.name());
            }
            double over = Math.min(b.maxX(), w.maxX()) - Math.max(b.minX(), w.minX());
            boolean wide = over >= 0.8 * w.width() && b.width() <= 2.4 * w.width();
            if (wide && skin(p)) {
                if (Math.abs(b.maxY() - w.minY()) < near && b.centre().y() < w.minY()) {
                    return offer(p, PartRole.UPPER_LID, white.side(), 0.7, "skin right above the " + white.name());
                }
                if (Math.abs(b.minY() - w.maxY()) < near && b.centre().y() > w.maxY()) {
                    return offer(p, PartRole.LOWER_LID, white.side(), 0.7, "skin right below the " + white.name());
                }
            }
        }
        return Optional.empty();
    }

    /** Whether it is of about the colour of the face. */
    private boolean skin(Part p) {
        Optional<Lab> face = character
                .part(PartRole.FACE)
                .or(() -> character.part(PartRole.HEAD))
                .filter(f -> !f.drawings().isEmpty())
                .flatMap(Recogniser::colour);
        return face.isPresent()
                && colour(p).filter(c -> c.difference(face.get()) < LIKE_SKIN).isPresent();
    }

    private static Optional<Recognition> offer(Part p, PartRole role, Side side, double sure, String why) {
        return Optional.of(new Recognition(p.id(), role, side, sure, why));
    }

    /** The eye white that a box lies in. */
    private Optional<Part> around(Box b) {
        return whites.stream()
                .filter(p -> {
                    Box w = p.bounds().orElseThrow();
                    return w.contains(b.centre()) && b.width() < w.width() && b.height() < w.height() * 1.05;
                })
                .findFirst();
    }

    private Optional<Part> twin(Part p, Box b) {
        double x = 2 * axis - b.centre().x();
        double near = 0.05 * face.width();
        return character.rig().parts().stream()
                .filter(o -> o != p && !o.drawings().isEmpty())
                .filter(o -> o.bounds()
                        .filter(c -> Math.abs(c.centre().x() - x) < near
                                && Math.abs(c.centre().y() - b.centre().y()) < near
                                && Math.abs(c.width() - b.width()) < near)
                        .isPresent())
                .findFirst();
    }

    private static boolean pale(Part p) {
        return lightness(p) > 85;
    }

    /** L* of the largest filled shape; middling when nothing is filled. */
    private static double lightness(Part part) {
        return colour(part).map(Lab::l).orElse(50.0);
    }

    /** Of the largest filled shape. */
    private static Optional<Lab> colour(Part part) {
        Artwork art = part.drawing(part.shown()).orElse(part.drawings().get(0)).art();
        double most = -1;
        Lab found = null;
        for (Shape s : art.shapes()) {
            double area = s.path().bounds().map(b -> b.width() * b.height()).orElse(0.0);
            String colour = s.fill() instanceof Paint.Picture p
                    ? p.average()
                    : s.fill().colours().findFirst().orElse(null);
            if (colour != null && area > most) {
                most = area;
                found = Lab.of(colour);
            }
        }
        return Optional.ofNullable(found);
    }
}
