package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.rig.BrowPlace;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.ViewSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Puts pivots where the trade puts them: a brow at its outer corner, an eye at its bottom, a head at the neck. */
public final class Pivots {
    private Pivots() {}

    static List<Part> place(List<Part> parts) {
        Map<String, String> views = views(parts);
        // measuring the outlines of large art is most of the work
        return parts.parallelStream()
                .map(p -> p.withPivot(placeFor(p, parts, views), List.of()))
                .toList();
    }

    /** Where a part of this role is best turned about. */
    public static Point placeFor(Part p, List<Part> all) {
        return placeFor(p, all, views(all));
    }

    private static Point placeFor(Part p, List<Part> all, Map<String, String> views) {
        String own = views.get(p.id());
        List<Part> parts = own == null
                ? all
                : all.stream().filter(o -> own.equals(views.get(o.id()))).toList();
        double middle = parts.stream()
                .filter(o -> o.role() == PartRole.FACE || o.role() == PartRole.HEAD)
                .flatMap(o -> o.bounds().stream())
                .findFirst()
                .map(b -> b.centre().x())
                .orElse(0.0);
        return pivot(p, parts, middle);
    }

    private static List<Box> brows(List<Part> parts) {
        return parts.stream()
                .filter(o -> o.role() == PartRole.BROW)
                .flatMap(o -> o.bounds().stream())
                .toList();
    }

    /** At its outer end. */
    private static Point brow(Box b, BrowPlace place) {
        return switch (place) {
            case SCREEN_LEFT -> new Point(b.minX(), b.centre().y());
            case MIDDLE -> b.centre();
            case SCREEN_RIGHT -> new Point(b.maxX(), b.centre().y());
        };
    }

    /** Which view each part that belongs to one belongs to. */
    private static Map<String, String> views(List<Part> all) {
        Set<String> roots = all.stream()
                .filter(o -> o.role() == PartRole.VIEW)
                .map(Part::id)
                .collect(Collectors.toSet());
        return ViewSet.membership(all, roots);
    }

    private static Point pivot(Part p, List<Part> parts, double middle) {
        Optional<Box> own = bounds(p, parts);
        if (own.isEmpty()) {
            return new Point(middle, 0);
        }
        Box b = own.get();
        Point c = b.centre();
        boolean onScreenRight = c.x() > middle;
        return switch (p.role()) {
            case BROW -> brow(b, BrowPlace.of(b, brows(parts), middle));
            case EYE, WHITE, EYE_OUTLINE -> eyeBottom(p, parts).orElse(new Point(c.x(), b.maxY()));
            case HEAD -> new Point(middle, faceBottom(parts).orElse(b.maxY()));
            case VIEW ->
                new Point(neckMiddle(parts).orElse(c.x()), neckBottom(parts).orElse(b.maxY()));
            case NECK, TORSO -> new Point(c.x(), b.maxY());
            case UPPER_ARM, FOREARM -> new Point(c.x(), b.minY() + 0.08 * b.height());
            case HAND -> wrist(p, b, parts);
            case EAR -> new Point(onScreenRight ? b.minX() : b.maxX(), c.y());
            default -> c;
        };
    }

    /** Where the hand meets its arm: the middle of what the two share, else the side of the hand the arm is on. */
    private static Point wrist(Part hand, Box b, List<Part> parts) {
        Optional<Box> arm = Stream.of(PartRole.FOREARM, PartRole.UPPER_ARM)
                .flatMap(role -> parts.stream().filter(o -> o.role() == role && o.side() == hand.side()))
                .flatMap(o -> o.bounds().stream())
                .findFirst();
        if (arm.isEmpty()) {
            return new Point(b.centre().x(), b.minY());
        }
        Optional<Point> shared = arm.get().intersection(b).map(Box::centre);
        Point c = b.centre();
        double dx = arm.get().centre().x() - c.x();
        double dy = arm.get().centre().y() - c.y();
        return shared.orElseGet(() -> Math.abs(dx) > Math.abs(dy)
                ? new Point(dx > 0 ? b.maxX() : b.minX(), c.y())
                : new Point(c.x(), dy > 0 ? b.maxY() : b.minY()));
    }

    private static Optional<Point> eyeBottom(Part p, List<Part> parts) {
        String eye = p.role() == PartRole.EYE ? p.id() : p.parent().orElse("");
        return parts.stream()
                .filter(o -> o.role() == PartRole.WHITE && o.parent().equals(Optional.of(eye)))
                .flatMap(o -> o.bounds().stream())
                .findFirst()
                .map(b -> new Point(b.centre().x(), b.maxY()));
    }

    private static Optional<Double> faceBottom(List<Part> parts) {
        return parts.stream()
                .filter(o -> o.role() == PartRole.FACE)
                .flatMap(o -> o.bounds().stream())
                .findFirst()
                .map(Box::maxY);
    }

    private static Optional<Box> neck(List<Part> parts) {
        return parts.stream()
                .filter(o -> o.role() == PartRole.NECK)
                .flatMap(o -> o.bounds().stream())
                .findFirst();
    }

    private static Optional<Double> neckMiddle(List<Part> parts) {
        return neck(parts).map(b -> b.centre().x());
    }

    private static Optional<Double> neckBottom(List<Part> parts) {
        return neck(parts).map(Box::maxY).or(() -> faceBottom(parts));
    }

    /** Own bounds, or those of everything that follows it. */
    private static Optional<Box> bounds(Part p, List<Part> parts) {
        return p.bounds().or(() -> parts.stream()
                .filter(o -> o.parent().equals(Optional.of(p.id())))
                .flatMap(o -> bounds(o, parts).stream())
                .reduce(Box::union));
    }
}
