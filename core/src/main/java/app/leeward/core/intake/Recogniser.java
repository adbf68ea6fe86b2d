package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Lab;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Offers roles for layers whose names say nothing, from where they lie on the face, their colour, their size, what they lie
 * inside, what is painted before them, and their mirrored twin. Shares are of the face's width and height; they are rules of thumb, no
 * source. A role that is filled already is not offered again. What lies in and about an eye is known by its white, a hat's pieces by the
 * hat, so whites and hats are looked for first.
 */
public final class Recogniser {
    /** How far the edge of a lid or a line may lie from the white's, as a share of the white's height. */
    private static final double NEAR_EYE = 0.35;
    /** How far a lid's colour may be from the face's, ΔE. */
    private static final double LIKE_SKIN = 25;

    private final Character character;
    private final List<Part> parts;
    private final Box face;
    private final int facePlace;
    private final Optional<Lab> skin;
    private final List<Sighted> all = new ArrayList<>();
    private final List<Recognition> offers = new ArrayList<>();
    private final Set<String> offered = new HashSet<>();
    private final List<Sighted> whites = new ArrayList<>();
    private final List<Sighted> ears = new ArrayList<>();
    private Optional<Sighted> hat = Optional.empty();
    private Optional<Lab> hair = Optional.empty();

    Recogniser(Character character, List<Part> parts, Part skinPart, Box face) {
        this.character = character;
        this.parts = parts;
        this.face = face;
        double axis = character.sheet().model().axis();
        List<String> order = character.rig().order();
        facePlace = order.indexOf(skinPart.id());
        List<Part> drawn = parts.stream()
                .filter(p -> !p.drawings().isEmpty() && p.bounds().isPresent())
                .toList();
        for (Part p : drawn) {
            Box b = p.bounds().orElseThrow();
            all.add(Sighted.of(p, b, face, axis, twin(drawn, p, b, axis), order.indexOf(p.id())));
        }
        skin = all.stream().filter(s -> s.part() == skinPart).findFirst().flatMap(Sighted::colour);
    }

    private boolean twin(List<Part> drawn, Part p, Box b, double axis) {
        double x = 2 * axis - b.centre().x();
        double near = 0.05 * face.width();
        return drawn.stream().filter(o -> o != p).anyMatch(o -> o.bounds()
                .filter(c -> Math.abs(c.centre().x() - x) < near
                        && Math.abs(c.centre().y() - b.centre().y()) < near
                        && Math.abs(c.width() - b.width()) < near)
                .isPresent());
    }

    List<Recognition> offers() {
        of(PartRole.WHITE).forEach(whites::add);
        of(PartRole.EAR).forEach(ears::add);
        hat = of(PartRole.CAP).stream().findFirst();
        hair = of(PartRole.BROW).stream().findFirst().flatMap(Sighted::colour);
        each(this::line);
        each(this::white);
        each(this::inEye);
        each(this::atEye);
        each(this::glasses);
        each(this::brow);
        each(this::hat);
        each(this::hatPiece);
        each(this::ear);
        each(this::innerEar);
        each(this::muzzle);
        each(this::middle);
        each(this::sides);
        each(this::body);
        arms();
        return offers;
    }

    private List<Sighted> of(PartRole role) {
        return all.stream().filter(s -> s.part().role() == role).toList();
    }

    private interface Rule {
        Optional<Recognition> look(Sighted s);
    }

    private void each(Rule rule) {
        for (Sighted s : all) {
            if (s.part().role() == PartRole.OTHER && !offered.contains(s.part().id())) {
                rule.look(s)
                        .filter(this::free)
                        .filter(o -> Belonging.allows(character, s.part(), o.role()))
                        .ifPresent(o -> {
                            offers.add(o);
                            offered.add(o.part());
                        });
            }
        }
    }

    private boolean free(Recognition g) {
        boolean pieces = g.role() == PartRole.CAP_BADGE || g.role() == PartRole.HIGHLIGHT;
        boolean filled = parts.stream()
                .anyMatch(p -> p.role() == g.role()
                        && p.side() == g.side()
                        && !p.drawings().isEmpty());
        return pieces || !filled && offers.stream().noneMatch(o -> o.role() == g.role() && o.side() == g.side());
    }

    private static Optional<Recognition> offer(Sighted s, PartRole role, Side side, double sure, String why) {
        return Optional.of(
                new Recognition(s.part().id(), role, side, sure, why + (s.twin() ? ", with a mirrored twin" : "")));
    }

    private static Optional<Recognition> offer(Sighted s, PartRole role, double sure, String why) {
        return offer(s, role, s.side(), sure, why);
    }

    private Optional<Recognition> line(Sighted s) {
        double near = 0.03;
        boolean round = s.middle()
                && Math.abs(s.wide() - 1) < near
                && Math.abs(s.tall() - 1) < near
                && Math.abs(s.down() - 0.5) < near;
        return round && !s.filled()
                ? offer(s, PartRole.FACE_LINE, Side.NONE, 0.9, "a line round the face")
                : Optional.empty();
    }

    private Optional<Recognition> white(Sighted s) {
        boolean atEyes =
                s.pale() && s.down() > 0.25 && s.down() < 0.65 && s.wide() > 0.1 && s.wide() < 0.4 && s.tall() < 0.4;
        boolean paired = s.side() != Side.NONE;
        boolean alone = s.side() == Side.NONE && all.stream().anyMatch(o -> o != s && o.dark() && o.inside(s.box()));
        if (!atEyes || s.place() < facePlace || s.through() || !(paired || alone) || insideAnother(s)) {
            return Optional.empty();
        }
        whites.add(s);
        return offer(s, PartRole.WHITE, s.twin() ? 0.85 : 0.65, "pale, at the height of the eyes");
    }

    /** A highlight is pale too, but lies in something that lies in the white. */
    private boolean insideAnother(Sighted s) {
        return all.stream()
                .anyMatch(o -> o != s
                        && o.pale()
                        && !o.through()
                        && o.place() < s.place()
                        && o.place() > facePlace
                        && s.inside(o.box()));
    }

    private Optional<Sighted> whiteAround(Sighted s) {
        return whites.stream()
                .filter(w -> w != s && w.box().contains(s.box().centre()))
                .filter(w -> s.box().width() < 0.85 * w.box().width()
                        && s.box().height() < 1.05 * w.box().height())
                .findFirst();
    }

    private static Side sideOf(Sighted white) {
        return white.part().role() == PartRole.WHITE ? white.part().side() : white.side();
    }

    private Optional<Recognition> inEye(Sighted s) {
        Optional<Sighted> white = whiteAround(s).filter(w -> s.filled() && s.place() > w.place());
        if (white.isEmpty()) {
            boolean dot = whites.isEmpty()
                    && s.dark()
                    && s.twin()
                    && s.side() != Side.NONE
                    && s.place() > facePlace
                    && s.down() > 0.25
                    && s.down() < 0.65
                    && s.wide() < 0.2;
            return dot ? offer(s, PartRole.PUPIL, 0.7, "a dark dot at the height of the eyes") : Optional.empty();
        }
        Side side = sideOf(white.get());
        String where = "inside the " + side.prefix() + "eye white";
        double size = s.box().width() / white.get().box().width();
        if (s.lightness() > 80) {
            return offer(s, PartRole.HIGHLIGHT, side, 0.6, "pale and small " + where);
        }
        return s.lightness() < 30 || size < 0.3
                ? offer(s, PartRole.PUPIL, side, 0.75, "dark, " + where)
                : offer(s, PartRole.IRIS, side, 0.7, "coloured, " + where);
    }

    /** A line round a white, lashes over it, or skin that lies over or under one, as wide as it. */
    private Optional<Recognition> atEye(Sighted s) {
        for (Sighted white : whites) {
            Box w = white.box();
            Box b = s.box();
            double near = NEAR_EYE * w.height();
            Side side = sideOf(white);
            String name = side.prefix() + "eye white";
            boolean round = Math.abs(b.minX() - w.minX()) < near
                    && Math.abs(b.maxX() - w.maxX()) < near
                    && Math.abs(b.minY() - w.minY()) < near
                    && Math.abs(b.maxY() - w.maxY()) < near;
            if (round && !s.filled()) {
                return offer(s, PartRole.EYE_OUTLINE, side, 0.7, "a line round the " + name);
            }
            double over = Math.min(b.maxX(), w.maxX()) - Math.max(b.minX(), w.minX());
            boolean wide = over >= 0.8 * w.width() && b.width() <= 2.4 * w.width();
            boolean overTop = b.centre().y() < w.centre().y() && b.maxY() > w.minY() - 0.3 * w.height();
            if (wide && !s.filled() && overTop && b.height() < 0.8 * w.height()) {
                return offer(s, PartRole.LASHES, side, 0.6, "a line over the " + name);
            }
            if (wide && s.like(skin, LIKE_SKIN) && s.place() > facePlace) {
                boolean touches = b.maxY() > w.minY() - 0.05 * w.height() && b.minY() < w.maxY() + 0.05 * w.height();
                if (touches
                        && Math.abs(b.maxY() - w.minY()) < near
                        && b.centre().y() < w.minY()) {
                    return offer(s, PartRole.UPPER_LID, side, 0.7, "skin right above the " + name);
                }
                if (touches
                        && Math.abs(b.minY() - w.maxY()) < near
                        && b.centre().y() > w.maxY()) {
                    return offer(s, PartRole.LOWER_LID, side, 0.7, "skin right below the " + name);
                }
            }
        }
        return Optional.empty();
    }

    private Optional<Recognition> glasses(Sighted s) {
        List<Sighted> held = whites.stream()
                .filter(w -> s.box().contains(w.box().centre())
                        && s.box().width() > 1.02 * w.box().width())
                .toList();
        boolean before = !held.isEmpty() && held.stream().allMatch(w -> s.place() > w.place());
        if (before && !s.filled() && s.wide() < 1.3 && s.tall() < 0.5) {
            return offer(s, PartRole.GLASSES, Side.NONE, 0.75, "lines round the eyes, wider than they are");
        }
        return before
                        && s.through()
                        && held.size() == 1
                        && s.box().width() < 3 * held.get(0).box().width()
                ? offer(s, PartRole.LENS, 0.75, "glass before the eye")
                : Optional.empty();
    }

    private Optional<Recognition> brow(Sighted s) {
        boolean drawn = s.filled() || s.twin();
        if (!drawn || s.side() == Side.NONE || s.place() < facePlace || s.tall() > 0.6 * s.wide()) {
            return Optional.empty();
        }
        boolean overEye = whites.stream()
                .anyMatch(w -> sideOf(w) == s.side()
                        && s.box().maxY() < w.box().minY() + 0.25 * w.box().height()
                        && Math.abs(s.box().centre().x() - w.box().centre().x())
                                < 0.8 * w.box().width()
                        && w.box().minY() - s.box().maxY() < 1.5 * w.box().height()
                        && s.box().width() < 2 * w.box().width()
                        && s.box().width() > 0.4 * w.box().width());
        boolean high = whites.isEmpty()
                && Math.abs(s.across()) < 0.5
                && s.down() > 0.1
                && s.down() < 0.5
                && s.wide() > 0.12
                && s.wide() < 0.5;
        if (!overEye && !high) {
            return Optional.empty();
        }
        hair = hair.or(s::colour);
        return offer(s, PartRole.BROW, s.twin() ? 0.75 : 0.5, "flat and above the eyes");
    }

    /** The widest thing on top of the head that reaches well above it. */
    private Optional<Recognition> hat(Sighted s) {
        boolean crown = s.middle()
                && s.filled()
                && s.place() > facePlace
                && s.wide() > 0.8
                && s.top() < -0.12
                && s.bottom() < 0.4;
        if (!crown || s.like(hair, 6)) {
            return Optional.empty();
        }
        hat = hat.or(() -> Optional.of(s));
        return offer(s, PartRole.CAP, Side.NONE, 0.6, "wide, before the head and higher than it");
    }

    private Optional<Recognition> hatPiece(Sighted s) {
        if (hat.isEmpty() || !s.middle() || !s.filled() || s.place() < hat.get().place() || s.bottom() > 0.45) {
            return Optional.empty();
        }
        Box h = hat.get().box();
        Box b = s.box();
        boolean low = b.centre().y() > h.minY() + 0.55 * h.height();
        if (low && b.width() > 0.85 * h.width() && b.height() < 0.5 * h.height()) {
            return offer(s, PartRole.CAP_BAND, Side.NONE, 0.65, "round the lower edge of the hat");
        }
        if (low && b.width() > 0.3 * h.width() && b.maxY() > h.maxY() - 0.2 * h.height()) {
            return offer(s, PartRole.CAP_PEAK, Side.NONE, 0.6, "at the hat's lower edge");
        }
        return b.width() < 0.3 * h.width() && b.centre().y() < h.maxY()
                ? offer(s, PartRole.CAP_BADGE, Side.NONE, 0.55, "small, on the hat")
                : Optional.empty();
    }

    private Optional<Recognition> ear(Sighted s) {
        boolean pair = s.side() != Side.NONE && s.filled() && s.twin();
        boolean atSide = Math.abs(s.across()) > 0.4
                && s.down() > 0.25
                && s.down() < 0.8
                && s.tall() > 0.8 * s.wide()
                && s.tall() < 0.5;
        boolean onTop = s.top() < 0.02
                && s.down() < 0.3
                && Math.abs(s.across()) > 0.1
                && s.wide() < 0.5
                && s.place() < facePlace;
        boolean outside = s.box().minX() < face.minX()
                || s.box().maxX() > face.maxX()
                || s.box().minY() < face.minY();
        if (!pair || !outside || !(atSide || onTop)) {
            return Optional.empty();
        }
        if (s.place() > facePlace && !s.like(skin, LIKE_SKIN)) {
            return offer(s, PartRole.SIDE_HAIR, 0.5, "at the side of the face, not of its colour");
        }
        if (onTop && !atSide && !s.like(skin, LIKE_SKIN) && ears.stream().noneMatch(e -> s.inside(e.box()))) {
            return offer(s, PartRole.HORN, 0.5, "on top of the head, not of its colour");
        }
        if (ears.stream().anyMatch(e -> s.inside(e.box()))) {
            return Optional.empty();
        }
        ears.add(s);
        return offer(s, PartRole.EAR, 0.7, "at the side of the head");
    }

    private Optional<Recognition> innerEar(Sighted s) {
        boolean inEar = s.filled()
                && ears.stream().anyMatch(e -> e.part() != s.part() && s.inside(e.box()) && s.place() > e.place());
        return inEar ? offer(s, PartRole.INNER_EAR, 0.65, "inside the ear") : Optional.empty();
    }

    private Optional<Recognition> muzzle(Sighted s) {
        boolean large = s.middle()
                && s.filled()
                && s.place() > facePlace
                && s.wide() > 0.25
                && s.wide() < 0.8
                && s.tall() > 0.2
                && s.tall() < 0.6
                && s.down() > 0.55
                && s.bottom() < 1.1
                && !s.dark();
        long held = all.stream()
                .filter(o -> o != s && o.middle() && o.place() > s.place() && o.inside(s.box()))
                .count();
        boolean nose = all.stream()
                .anyMatch(o -> o != s
                        && o.middle()
                        && o.place() > s.place()
                        && o.down() < s.down()
                        && o.down() > 0.45
                        && o.box().maxY() > s.box().minY()
                        && o.wide() < s.wide());
        if (!large || held == 0 || !nose) {
            return Optional.empty();
        }
        return offer(s, PartRole.MUZZLE, Side.NONE, 0.6, "large, low in the face, with nose and mouth on it");
    }

    /** What stands on the axis. */
    private Optional<Recognition> middle(Sighted s) {
        if (!s.middle()) {
            return Optional.empty();
        }
        boolean front = s.place() > facePlace;
        if (s.top() < -0.02 && s.down() < 0.05 && s.wide() < 0.3 && s.bottom() < 0.2 && hat.isEmpty()) {
            return offer(s, PartRole.ANTENNA, Side.NONE, 0.5, "thin, on top of the head");
        }
        if (s.wide() > 0.6 && s.filled() && !front && s.top() < 0.1) {
            return offer(s, PartRole.BACK_HAIR, Side.NONE, 0.6, "wide, high and behind the face");
        }
        if (front && s.filled() && s.wide() > 0.6 && s.down() < 0.35 && s.top() < 0.06) {
            return offer(s, PartRole.FRINGE, Side.NONE, 0.5, "wide, high and before the face");
        }
        if (front && s.filled() && s.wide() > 0.45 && s.bottom() > 1.02 && s.down() > 0.7 && s.down() < 1.1) {
            return offer(s, PartRole.BEARD, Side.NONE, 0.5, "before the chin and beyond it");
        }
        if (front
                && s.filled()
                && s.shapes() < 3
                && s.tall() < 0.13
                && s.wide() > 0.2
                && s.wide() < 0.7
                && s.down() > 0.62
                && s.down() < 0.8
                && s.like(hair, 8)) {
            return offer(s, PartRole.MOUSTACHE, Side.NONE, 0.5, "over the mouth, of the colour of the brows");
        }
        if (front
                && s.shapes() >= 4
                && s.down() > 0.5
                && s.down() < 0.75
                && s.wide() > 0.3
                && s.filled()
                && s.tall() < 0.2) {
            return offer(s, PartRole.FRECKLES, Side.NONE, 0.5, "small dots on both sides of the nose");
        }
        // a face without a nose is more likely than one without a mouth
        boolean lowest = all.stream()
                .noneMatch(o -> o != s
                        && o.middle()
                        && o.place() > facePlace
                        && o.down() < 1
                        && o.box().minY() > s.box().centre().y());
        boolean opens = s.dark() && s.box().width() > s.box().height();
        if (front && lowest && opens && s.down() > 0.5 && s.down() < 0.97 && s.wide() > 0.12 && s.tall() < 0.4) {
            return offer(s, PartRole.MOUTH, Side.NONE, 0.55, "dark, the lowest on the axis");
        }
        boolean noseHigh = s.down() > 0.4 && s.down() < 0.72 && s.wide() < 0.3 && s.tall() < 0.4 && s.filled();
        if (front && noseHigh) {
            return offer(s, PartRole.NOSE, Side.NONE, 0.6, "small, in the middle of the face");
        }
        if (front && s.down() >= 0.66 && s.down() < 0.97 && s.wide() > 0.08 && s.wide() < 0.75 && s.tall() < 0.4) {
            return offer(s, PartRole.MOUTH, Side.NONE, 0.6, "on the axis between nose and chin");
        }
        return Optional.empty();
    }

    private Optional<Recognition> sides(Sighted s) {
        boolean front = s.place() > facePlace;
        if (s.side() == Side.NONE || !front) {
            return Optional.empty();
        }
        if (!s.filled() && s.twin() && s.down() > 0.6 && s.down() < 0.95 && s.wide() < 0.6) {
            return offer(s, PartRole.WHISKERS, 0.5, "lines at the side of the mouth");
        }
        if (s.filled()
                && s.twin()
                && s.down() > 0.5
                && s.down() < 0.85
                && s.wide() < 0.35
                && Math.abs(s.across()) < 0.42
                && s.tall() < 0.3) {
            return offer(s, PartRole.CHEEK, 0.55, "low at the side of the face");
        }
        boolean atSide = s.filled() && s.twin() && Math.abs(s.across()) > 0.35 && s.down() < 0.7 && s.tall() > s.wide();
        return atSide && !s.like(skin, LIKE_SKIN)
                ? offer(s, PartRole.SIDE_HAIR, 0.5, "at the side of the face, not of its colour")
                : Optional.empty();
    }

    private Optional<Recognition> body(Sighted s) {
        if (!s.middle() || !s.filled()) {
            return Optional.empty();
        }
        if (s.down() > 1.05 && s.wide() > 0.7 && s.bottom() > 1.3) {
            return offer(s, PartRole.TORSO, Side.NONE, 0.5, "wide and below the face");
        }
        boolean below = s.down() > 0.85 && s.down() < 1.35 && s.wide() > 0.15;
        if (below && s.wide() < 0.6 && s.top() < 0.95) {
            return offer(s, PartRole.NECK, Side.NONE, 0.45, "narrow and right below the face");
        }
        return below && s.wide() < 1 && s.tall() < 0.4
                ? offer(s, PartRole.COLLAR, Side.NONE, 0.45, "flat, round the neck")
                : Optional.empty();
    }

    /** What hangs in twos beside the body, the uppermost first: upper arm, forearm, hand. */
    private void arms() {
        for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
            List<Sighted> chain = all.stream()
                    .filter(s -> s.part().role() == PartRole.OTHER
                            && !offered.contains(s.part().id()))
                    .filter(s -> s.side() == side && s.twin() && s.filled() && s.top() > 1 && s.wide() < 0.8)
                    .sorted(Comparator.comparingDouble(Sighted::down))
                    .toList();
            List<PartRole> roles = chain.size() == 3
                    ? List.of(PartRole.UPPER_ARM, PartRole.FOREARM, PartRole.HAND)
                    : chain.size() == 2 ? List.of(PartRole.UPPER_ARM, PartRole.HAND) : List.of();
            for (int i = 0; i < roles.size(); i++) {
                offer(chain.get(i), roles.get(i), 0.5, "in its place down the arm")
                        .filter(this::free)
                        .ifPresent(offers::add);
            }
        }
    }
}
