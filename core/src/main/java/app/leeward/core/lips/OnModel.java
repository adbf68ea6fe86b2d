package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Measures every mouth that serves a sound against the starting mouth. */
public final class OnModel {
    /** What a hand moves without meaning to, canvas units. */
    private static final double SLIGHT = 0.5;
    /** The same of a size or a line's weight, as a share. */
    private static final double SIZE = 0.02;
    /** How far the lower teeth may leave the lower lip, as a share of the mouth's width: lips are drawn down from teeth. */
    private static final double LIP = 0.16;

    private OnModel() {}

    /** Findings in the order of the classes, the neutral row first; empty without a starting mouth. */
    public static List<MouthFinding> of(Character c) {
        Part mouth = MouthSet.part(c).orElse(null);
        Drawing start = MouthSet.start(c).orElse(null);
        if (mouth == null || start == null) {
            return List.of();
        }
        Map<String, Viseme> serving = new LinkedHashMap<>();
        c.voice().mouths().drawn().forEach((v, id) -> serving.putIfAbsent(id, v));
        c.voice().mouths().moods().forEach(m -> m.drawn().forEach((v, id) -> serving.putIfAbsent(id, v)));
        MouthMaker maker = null;
        try {
            maker = new MouthMaker(start.art().inShapes());
        } catch (MouthProblem e) {
            // told where a set would be made; what does not need its lips is measured all the same
        }
        return of(c, mouth, start, maker, serving);
    }

    private static List<MouthFinding> of(
            Character c, Part mouth, Drawing start, MouthMaker maker, Map<String, Viseme> serving) {
        List<MouthFinding> out = new ArrayList<>();
        serving.forEach((id, v) -> mouth.drawing(id)
                .filter(d -> !d.id().equals(start.id()))
                .ifPresent(d -> out.addAll(of(d, v, start.art().inShapes(), maker, rulers(c, v)))));
        return out;
    }

    private static MouthRulers rulers(Character c, Viseme v) {
        return c.voice().mouths().recipe().map(r -> r.of(v)).orElse(MouthRulers.AS_ASKED);
    }

    /** One mouth against the starting one.
     * @param maker of the starting mouth; null when none can be made from it */
    private static List<MouthFinding> of(Drawing d, Viseme v, Artwork start, MouthMaker maker, MouthRulers rulers) {
        List<MouthFinding> out = new ArrayList<>();
        teeth(d, start, out);
        if (start.shapes().stream().anyMatch(s -> s.role().behindWindow())) {
            // a mouth drawn shut has nothing inside that another's colours could be held against
            colours(d, start, out);
        }
        Shape line = line(d.art()).orElse(null);
        Shape model = line(start).orElse(null);
        if (line == null || model == null) {
            return out;
        }
        if (Math.abs(line.stroke().width() / model.stroke().width() - 1) > SIZE) {
            out.add(new MouthFinding(
                    d.id(),
                    MouthFinding.Kind.LINE_WEIGHT,
                    line.stroke().width() / model.stroke().width() - 1,
                    "Its line is " + number(line.stroke().width()) + " wide, the starting mouth's "
                            + number(model.stroke().width()) + ".",
                    true));
        }
        window(d, line, out);
        if (maker != null && maker.start().lips().line()) {
            // a stroke has neither the points nor the length of an opening
            return out;
        }
        points(d, line, model, out);
        if (maker == null) {
            return out;
        }
        try {
            Lips lips = Lips.of(line.path());
            length(d, v, lips, maker, rulers, out);
            lowerTeeth(d, v, lips, start, maker.start(), out);
        } catch (MouthProblem e) {
            // the outline cannot be read as two lips, which is told where a mouth is to be made from it
            out.add(new MouthFinding(d.id(), MouthFinding.Kind.POINTS, 0, e.getMessage(), false));
        }
        return out;
    }

    private static void teeth(Drawing d, Artwork start, List<MouthFinding> out) {
        Optional<Box> here = box(d.art(), ShapeRole.UPPER_TEETH);
        Optional<Box> there = box(start, ShapeRole.UPPER_TEETH);
        if (here.isEmpty() || there.isEmpty()) {
            return;
        }
        Point by = here.get().centre().minus(there.get().centre());
        double moved = Math.hypot(by.x(), by.y());
        if (moved > SLIGHT) {
            out.add(new MouthFinding(
                    d.id(),
                    MouthFinding.Kind.TEETH_MOVED,
                    moved,
                    "Its upper teeth stand " + number(moved) + " from where they stand in the starting mouth.",
                    true));
        }
        double size = Math.max(
                Math.abs(here.get().width() / there.get().width() - 1),
                Math.abs(here.get().height() / there.get().height() - 1));
        if (size > SIZE) {
            out.add(new MouthFinding(
                    d.id(),
                    MouthFinding.Kind.TEETH_SIZE,
                    size,
                    "Its upper teeth are another size than the starting mouth's, by " + Math.round(100 * size) + " %.",
                    true));
        }
    }

    private static void lowerTeeth(
            Drawing d, Viseme v, Lips lips, Artwork start, MouthStart s, List<MouthFinding> out) {
        Optional<Box> here = box(d.art(), ShapeRole.LOWER_TEETH);
        if (here.isEmpty() || box(start, ShapeRole.LOWER_TEETH).isEmpty() || v == Viseme.FV) {
            return;
        }
        double teeth = here.get().minY() - s.lowerTeethEdge();
        double lip = lips.lower().middlePoint().y() - s.lipLine();
        double off = teeth - lip;
        if (Math.abs(off) > LIP * s.width()) {
            out.add(new MouthFinding(
                    d.id(),
                    MouthFinding.Kind.LOWER_TEETH_OFF,
                    off,
                    "Its lower teeth are " + number(Math.abs(off)) + (off > 0 ? " lower" : " higher")
                            + " than the jaw takes them.",
                    true));
        }
    }

    private static void length(
            Drawing d, Viseme v, Lips lips, MouthMaker maker, MouthRulers rulers, List<MouthFinding> out) {
        double off = lips.length() / maker.wanted(v, rulers) - 1;
        if (Math.abs(off) > MouthMaker.KEEPS) {
            out.add(new MouthFinding(
                    d.id(),
                    MouthFinding.Kind.OUTLINE_LENGTH,
                    off,
                    "Its outline is " + Math.round(100 * Math.abs(off)) + " % "
                            + (off > 0 ? "longer" : "shorter") + " than the lips of the starting mouth allow ("
                            + Math.round(100 * MouthMaker.KEEPS) + " %).",
                    false));
        }
    }

    private static void window(Drawing d, Shape line, List<MouthFinding> out) {
        Optional<Shape> window = d.art().shapes().stream()
                .filter(s -> s.role() == ShapeRole.WINDOW)
                .findFirst();
        if (window.isEmpty()) {
            return;
        }
        double apart = apart(points(window.get()), points(line));
        if (apart > SLIGHT) {
            out.add(new MouthFinding(
                    d.id(),
                    MouthFinding.Kind.WINDOW_OFF,
                    apart,
                    "Its window leaves its outline by up to " + number(apart) + ".",
                    true));
        }
    }

    /** How far the furthest point of either lies from the nearest of the other; both are walked in small steps. */
    private static double apart(List<Point> one, List<Point> other) {
        return Math.max(furthest(one, other), furthest(other, one));
    }

    private static double furthest(List<Point> from, List<Point> to) {
        double most = 0;
        for (Point p : from) {
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i + 1 < to.size(); i++) {
                least = Math.min(least, distance(p, to.get(i), to.get(i + 1)));
            }
            most = Math.max(most, least);
        }
        return most;
    }

    private static double distance(Point p, Point a, Point b) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double len = dx * dx + dy * dy;
        double t = len < 1e-12 ? 0 : ((p.x() - a.x()) * dx + (p.y() - a.y()) * dy) / len;
        return p.distance(a.towards(b, Math.max(0, Math.min(1, t))));
    }

    private static List<Point> points(Shape s) {
        Lips lips;
        try {
            lips = Lips.of(s.path());
        } catch (MouthProblem e) {
            return List.of();
        }
        List<Point> out = new ArrayList<>();
        for (Arc arc : List.of(lips.upper(), lips.lower())) {
            for (int c = 0; c < arc.curves(); c++) {
                for (int k = 0; k < 12; k++) {
                    out.add(arc.at(c, k / 12.0));
                }
            }
        }
        out.add(lips.upper().start());
        return out;
    }

    private static void points(Drawing d, Shape line, Shape model, List<MouthFinding> out) {
        int here = curves(line);
        int there = curves(model);
        if (here != there) {
            out.add(new MouthFinding(
                    d.id(),
                    MouthFinding.Kind.POINTS,
                    here - there,
                    "Its outline has " + here + " curves, the starting mouth's " + there
                            + ", so the two cannot be blended.",
                    true));
        }
    }

    private static int curves(Shape s) {
        return (int) s.path().segments().stream()
                .filter(x -> x instanceof Segment.Cubic || x instanceof Segment.Line)
                .count();
    }

    private static void colours(Drawing d, Artwork start, List<MouthFinding> out) {
        List<String> known = start.colours();
        List<String> strange =
                d.art().colours().stream().filter(x -> !known.contains(x)).toList();
        if (!strange.isEmpty()) {
            out.add(new MouthFinding(
                    d.id(),
                    MouthFinding.Kind.COLOUR,
                    strange.size(),
                    (strange.size() == 1 ? "The colour " : "The colours ") + String.join(", ", strange)
                            + (strange.size() == 1 ? " is" : " are") + " not in the starting mouth.",
                    true));
        }
    }

    static Optional<Shape> line(Artwork art) {
        return art.shapes().stream()
                .filter(s -> s.role() == ShapeRole.OUTLINE && s.stroke().visible())
                .max(java.util.Comparator.comparingDouble(s -> s.path().length()));
    }

    private static Optional<Box> box(Artwork art, ShapeRole role) {
        return art.shapes().stream()
                .filter(s -> s.role() == role && s.masked())
                .map(s -> s.path().bounds())
                .flatMap(Optional::stream)
                .reduce(Box::union);
    }

    private static String number(double v) {
        return String.format(Locale.ROOT, "%.1f", v);
    }
}
