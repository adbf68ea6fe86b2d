package app.leeward.core.eval;

import app.leeward.core.Rigs;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.ViewBand;
import app.leeward.core.rig.ViewSet;
import app.leeward.core.rig.Window;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;

/** Rigs no person would build, with everything an evaluation has to do with: two views of which one is mirrored, lids, blinks. */
final class RandomRig {
    private static final String[] DRAWINGS = {"a", "b", "c"};
    private static final Ease[] EASES = {Ease.LINEAR, Ease.LINEAR, Ease.SMOOTH, new Ease.Curve(0.3, -0.4, 0.6, 1.5)};

    private final Random r;
    private final List<String> ids = new ArrayList<>();

    RandomRig(Random random) {
        r = random;
    }

    Character character() {
        List<Part> parts = new ArrayList<>();
        // the two roots of views and what follows them, and the rest of the body
        parts.add(part("head", null, PartRole.HEAD, Side.NONE));
        parts.add(part("front", "head", PartRole.VIEW, Side.NONE));
        parts.add(part("side", "head", PartRole.VIEW, Side.NONE));
        for (String view : List.of("front", "side")) {
            parts.add(part("lid-left-" + view, view, PartRole.UPPER_LID, Side.LEFT));
            parts.add(part("lid-right-" + view, view, PartRole.LOWER_LID, Side.RIGHT));
            parts.add(part("pupil-" + view, view, PartRole.PUPIL, Side.LEFT));
        }
        for (int i = r.nextInt(4); i >= 0; i--) {
            parts.add(part("p" + i, parts.get(r.nextInt(parts.size())).id(), PartRole.OTHER, Side.NONE));
        }
        parts.forEach(p -> ids.add(p.id()));
        List<Dial> dials = new ArrayList<>();
        dials.add(dial("turn", Purpose.TURN, -10, 10));
        dials.add(blink("blink-left", "left"));
        dials.add(blink("blink-right", "right"));
        dials.add(dial("gaze", Purpose.GAZE_ACROSS, -1, 1));
        dials.add(dial("own", Purpose.OWN, -5, 20));
        Character c = Rigs.character(parts, windows(), dials.toArray(new Dial[0]));
        List<Corrective> corners = new ArrayList<>();
        for (int i = r.nextInt(3); i > 0; i--) {
            corners.add(new Corrective(
                    "turn", -6 + 12 * r.nextInt(2), "own", 10, Map.of(any(), offset(), any2(), offset())));
        }
        List<Look> looks = List.of(
                new Look("l1", "One", "", Map.of("own", 12.0, "blink-left", 0.5), Map.of(any(), drawing())),
                new Look("l2", "Two", "", Map.of("turn", -4.0), Map.of(any(), drawing())));
        List<ViewBand> bands = List.of(
                new ViewBand(-10, -3, "side", true),
                new ViewBand(-3, 4, "front", false),
                new ViewBand(4, 10, "side", false));
        List<HeadView> views = List.of(
                new HeadView("front", "Front", MouthChart.EMPTY), new HeadView("side", "Side", MouthChart.EMPTY));
        return c.withControls(controls -> controls.withCorrectives(corners))
                .withLibrary(library -> library.withLooks(looks))
                .withControls(controls -> controls.withViews(Optional.of(new ViewSet("turn", views, bands))))
                .withPart(ids.get(4), p -> p.withDrawing(drawing(), d -> d.withOver(Optional.of(ids.get(0)))));
    }

    private String any() {
        return ids.get(r.nextInt(ids.size() / 2));
    }

    private String any2() {
        return ids.get(ids.size() / 2 + r.nextInt(ids.size() / 2));
    }

    private String drawing() {
        return DRAWINGS[r.nextInt(DRAWINGS.length)];
    }

    private List<Window> windows() {
        return List.of(
                new Window("lid-left-front", List.of("pupil-front")), new Window("front", List.of("lid-left-front")));
    }

    private Part part(String id, String parent, PartRole role, Side side) {
        List<Drawing> drawings = new ArrayList<>();
        for (String d : DRAWINGS) {
            drawings.add(Rigs.drawing(d, Rigs.box(r.nextInt(80), r.nextInt(80), 10, 10)));
        }
        Placement rest = new Placement(
                number(20), number(20), number(180), 1 + number(0.6), 1 + number(0.6), number(30), r.nextDouble());
        return Rigs.part(id, parent, point(), drawings.toArray(new Drawing[0]))
                .withRole(role, side)
                .withRest(rest)
                .withPivot(point(), r.nextBoolean() ? List.of() : List.of(point(), point()));
    }

    private Point point() {
        return new Point(r.nextInt(100), r.nextInt(100));
    }

    private double number(double most) {
        return (2 * r.nextDouble() - 1) * most;
    }

    private Offset offset() {
        Offset o = Offset.NONE;
        for (Channel c : Channel.STANDARD) {
            if (r.nextInt(3) == 0) {
                o = o.with(c, c.neutral() == 1 ? 0.4 + r.nextDouble() : number(30));
            }
        }
        return o;
    }

    private Dial blink(String id, String side) {
        Map<String, Offset> shut = new TreeMap<>();
        ids.stream()
                .filter(p -> p.startsWith("lid-" + side))
                .forEach(p -> shut.put(p, Offset.shift(number(2), number(20))));
        return new Dial(id, id, Purpose.BLINK, 0, 1, 0, "", List.of(new Stop(1, shut)), List.of());
    }

    private Dial dial(String id, Purpose purpose, double from, double to) {
        List<Stop> stops = new ArrayList<>();
        for (double share : new double[] {0, 0.3, 0.8, 1}) {
            Map<String, Offset> offsets = new TreeMap<>();
            for (String p : ids) {
                if (r.nextInt(3) == 0) {
                    offsets.put(p, offset());
                }
            }
            stops.add(new Stop(from + share * (to - from), offsets, EASES[r.nextInt(EASES.length)], Map.of()));
        }
        double middle = from + (0.2 + 0.6 * r.nextDouble()) * (to - from);
        List<Bands> bands = List.of(
                new Bands(any(), List.of(new Band(from, middle, drawing()), new Band(middle, to, drawing()))),
                new Bands(any2(), List.of(new Band(middle, to, r.nextBoolean() ? drawing() : Part.NOTHING))));
        Map<String, Integer> hinges = new HashMap<>();
        ids.forEach(p -> hinges.put(p, r.nextInt(3)));
        return new Dial(id, id, purpose, from, to, 0, "", stops, bands)
                .withHinges(hinges)
                .withLayers(List.of(
                        new Bands(ids.get(3), List.of(new Band(middle, to, r.nextBoolean() ? Dial.BACK : any2())))));
    }

    /** A pose that goes beyond what dials allow, too. */
    Pose pose(Character c) {
        Map<String, Double> dials = new HashMap<>();
        for (Dial d : c.controls().dials()) {
            if (r.nextInt(4) > 0) {
                dials.put(d.id(), d.from() + (1.4 * r.nextDouble() - 0.2) * (d.to() - d.from()));
            }
        }
        Map<String, Double> looks = new HashMap<>();
        c.library().looks().forEach(l -> {
            if (r.nextBoolean()) {
                looks.put(l.id(), r.nextInt(5) / 4.0);
            }
        });
        Map<String, String> pins = r.nextInt(3) == 0 ? Map.of(any(), drawing()) : Map.of();
        Map<String, String> speech = r.nextInt(3) == 0 ? Map.of(any(), drawing()) : Map.of();
        Map<String, String> picks = r.nextInt(3) == 0 ? Map.of(any2(), drawing()) : Map.of();
        return new Pose(dials, picks, pins, speech).withLooks(looks);
    }
}
