package app.leeward.core.rig;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.OppositePoints;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.DialEffect;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.OtherSide;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Recorder;
import app.leeward.core.dial.Stop;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Exact reflection about the axis of symmetry: of one side onto the other, and of the whole character. */
public final class Mirror {
    private Mirror() {}

    /** A name with its left and right exchanged; unchanged when it names neither. */
    public static String otherSide(String name) {
        StringBuilder out = new StringBuilder();
        int from = 0;
        for (int i = 0; i <= name.length(); i++) {
            if (i == name.length() || !inWord(name.charAt(i))) {
                out.append(otherWord(name.substring(from, i)));
                if (i < name.length()) {
                    out.append(name.charAt(i));
                }
                from = i + 1;
            }
        }
        return out.toString();
    }

    private static boolean inWord(char c) {
        return c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9' || c == '_';
    }

    private static String otherWord(String word) {
        return switch (word) {
            case "left" -> "right";
            case "right" -> "left";
            case "Left" -> "Right";
            case "Right" -> "Left";
            case "LEFT" -> "RIGHT";
            case "RIGHT" -> "LEFT";
            case "L" -> "R";
            case "R" -> "L";
            default -> word;
        };
    }

    /** The part on the other side that stands for this one: linked to it, or of the same role. */
    public static Optional<Part> twinOf(Character c, Part part) {
        Optional<Part> linked = c.rig().linkOf(part.id()).flatMap(l -> c.part(l.otherThan(part.id())));
        if (linked.isPresent() || part.side() == Side.NONE) {
            return linked;
        }
        List<Part> others = c.rig().parts().stream()
                .filter(p -> p.role() == part.role() && p.side() == part.side().mirrored())
                .toList();
        return part.role() == PartRole.OTHER
                ? others.stream()
                        .filter(p -> p.name().equals(otherSide(part.name())))
                        .findFirst()
                : others.stream().findFirst();
    }

    /**
     * Everything about how {@code from} looks reflected onto {@code to}, whose id, name, place in the tree and runs stay. Where it
     * speaks of other parts the twin speaks of theirs.
     */
    public static Character copyOver(Character c, String from, String to) {
        Part source = c.part(from).orElseThrow();
        return c.withPart(
                to,
                t -> relatedAs(
                        source,
                        reflected(source, c.sheet().model().axis(), t).withAttachment(t.attachment()),
                        other -> otherPart(c, other)));
    }

    /** What is drawn and how it is placed; as whom it stands and what it plays is the other part's own. */
    private static Part reflected(Part p, double axis, Part as) {
        Matrix mirror = Matrix.mirror(axis);
        return p.with(r -> r.id(as.id())
                .name(as.name())
                .side(as.side())
                .parent(as.parent())
                .runs(as.runs())
                .pivot(mirror.apply(p.pivot()))
                .rest(p.rest().mirrored())
                .drawings(p.drawings().stream()
                        .map(d -> d.mirrored(axis).withName(otherSide(d.name())))
                        .toList())
                .earlierPivots(p.earlierPivots().stream().map(mirror::apply).toList()));
    }

    /** With what a part says about other parts, said about their twins. */
    private static Part relatedAs(Part source, Part twin, UnaryOperator<String> other) {
        List<Drawing> drawings = new ArrayList<>();
        for (Drawing d : twin.drawings()) {
            Optional<String> over =
                    source.drawing(d.id()).flatMap(Drawing::over).map(other);
            drawings.add(d.withOver(over.filter(o -> !o.equals(twin.id()))));
        }
        return twin.withDrawings(drawings)
                .withPastEdges(source.pastEdges().stream()
                        .map(other)
                        .filter(e -> !e.equals(twin.id()))
                        .toList());
    }

    /** The part's other side, with all that follows it, made or made again, and linked. */
    public static Character makeOtherSide(Character c, String part) {
        Map<String, String> twins = new LinkedHashMap<>();
        Character made = makeTwin(c, part, twins);
        List<MirrorLink> links = new ArrayList<>(made.rig().links());
        links.removeIf(l -> twins.containsKey(l.left())
                || twins.containsKey(l.right())
                || twins.containsValue(l.left())
                || twins.containsValue(l.right()));
        twins.forEach((from, to) -> {
            boolean left = made.part(from).orElseThrow().side() == Side.LEFT;
            links.add(left ? new MirrorLink(from, to) : new MirrorLink(to, from));
        });
        Character related =
                made.withRig(rig -> rig.withLinks(links)).withRig(rig -> rig.withWindows(windows(made, twins)));
        for (Map.Entry<String, String> e : twins.entrySet()) {
            Part source = made.part(e.getKey()).orElseThrow();
            related = related.withPart(
                    e.getValue(),
                    t -> relatedAs(source, t, other -> twins.getOrDefault(other, otherPart(made, other))));
        }
        return mirrorDials(related, twins);
    }

    private static Character makeTwin(Character c, String id, Map<String, String> twins) {
        Part source = c.part(id).orElseThrow();
        Optional<Part> there = twinOf(c, source);
        Optional<String> parent = source.parent().map(p -> twins.getOrDefault(p, p));
        Side side = source.side().mirrored();
        String twin;
        Character now;
        if (there.isPresent()) {
            twin = there.get().id();
            now = c.withPart(twin, t -> reflected(source, c.sheet().model().axis(), t.withSide(side)));
        } else {
            Set<String> taken =
                    new HashSet<>(c.rig().parts().stream().map(Part::id).toList());
            twin = Ids.unused(otherSide(source.name()), taken);
            Part as = source.with(p -> p.id(twin)
                    .name(otherSide(source.name()))
                    .side(side)
                    .parent(parent)
                    .runs(List.of()));
            Part made = reflected(source, c.sheet().model().axis(), as);
            now = c.withNewPart(made, c.rig().order().indexOf(id) + 1);
        }
        twins.put(id, twin);
        for (Part follower : c.rig().childrenOf(id)) {
            now = makeTwin(now, follower.id(), twins);
        }
        return now;
    }

    /** Whatever masks a part masks its twin, by the twin of the mask where there is one. */
    private static List<Window> windows(Character c, Map<String, String> twins) {
        Map<String, Set<String>> masked = new LinkedHashMap<>();
        for (Window w : c.rig().windows()) {
            Set<String> own = masked.computeIfAbsent(w.by(), k -> new java.util.LinkedHashSet<>());
            own.addAll(w.masked());
            if (twins.containsValue(w.by())) {
                own.removeIf(twins::containsValue);
            }
        }
        for (Window w : c.rig().windows()) {
            for (String m : w.masked()) {
                if (twins.containsKey(m)) {
                    String by = twins.getOrDefault(w.by(), w.by());
                    masked.computeIfAbsent(by, k -> new java.util.LinkedHashSet<>())
                            .add(twins.get(m));
                }
            }
        }
        return masked.entrySet().stream()
                .filter(e -> !e.getValue().isEmpty())
                .map(e -> new Window(e.getKey(), List.copyOf(e.getValue())))
                .toList();
    }

    /** A dial that does at the mirrored value, to the other side of the face, what it does at one of its stops. */
    public static Dial acrossRest(Character c, Dial d, double at) {
        Stop from = d.stop(at).orElseThrow();
        Dial out = Recorder.with(
                d,
                d.stop(2 * d.rest() - at)
                        .orElse(new Stop(2 * d.rest() - at, Map.of()))
                        .withEase(from.ease()));
        OtherSide other = new Twins(c);
        for (DialEffect e : d.effects()) {
            out = e.acrossRest(out, at, other);
        }
        return out;
    }

    /** Names of parts whose reshaped outlines cannot be mirrored: not drawn point for point alike on both sides. */
    public static List<String> leftOut(Character c, Dial d, double at) {
        List<String> names = new ArrayList<>();
        OtherSide other = new Twins(c);
        d.stop(at).ifPresent(s -> s.reshapes().forEach((part, all) -> {
            if (all.stream().anyMatch(r -> other.deltas(part, r).isEmpty())) {
                names.add(c.part(part).map(Part::name).orElse(part));
            }
        }));
        return names;
    }

    /** The sides of a face as its parts are linked, or of one role and name. */
    private record Twins(Character c) implements OtherSide {
        @Override
        public String part(String id) {
            return otherPart(c, id);
        }

        @Override
        public String drawing(String part, String id) {
            return otherDrawing(c, part, id);
        }

        /** Of the twin point by point, of a part on the axis by its own opposite points. */
        @Override
        public Optional<PointDeltas> deltas(String part, PointDeltas r) {
            String other = part(part);
            String drawing = drawing(other, r.drawing());
            Path path = outline(c, other, drawing, r.shape());
            if (path == null || !r.fits(path)) {
                return Optional.empty();
            }
            if (!other.equals(part) || !drawing.equals(r.drawing())) {
                return Optional.of(r.mirrored(drawing));
            }
            return OppositePoints.of(path, c.sheet().model().axis())
                    .map(opposite -> new PointDeltas(
                            drawing,
                            r.shape(),
                            Arrays.stream(opposite)
                                    .mapToObj(r.shifts()::get)
                                    .map(s -> new Point(-s.x() + 0.0, s.y()))
                                    .toList()));
        }
    }

    /** The sides of a face of which one was just made from the other: ids and points of drawings are the same. */
    private record Made(Map<String, String> twins) implements OtherSide {
        @Override
        public String part(String id) {
            return twins.getOrDefault(id, id);
        }

        @Override
        public String drawing(String part, String id) {
            return id;
        }

        @Override
        public Optional<PointDeltas> deltas(String part, PointDeltas of) {
            return Optional.of(of.mirrored(of.drawing()));
        }
    }

    private static Path outline(Character c, String part, String drawing, int shape) {
        return c.part(part)
                .flatMap(p -> p.drawing(drawing))
                .map(d -> d.art().shapes())
                .filter(s -> shape >= 0 && shape < s.size())
                .map(s -> s.get(shape).path())
                .orElse(null);
    }

    private static String otherPart(Character c, String part) {
        return c.part(part).flatMap(p -> twinOf(c, p)).map(Part::id).orElse(part);
    }

    /** The drawing named for the other side, where the part has one. */
    private static String otherDrawing(Character c, String part, String drawing) {
        return c.part(part)
                .flatMap(p -> p.drawing(otherSide(drawing)))
                .map(Drawing::id)
                .orElse(drawing);
    }

    private static Character mirrorDials(Character c, Map<String, String> twins) {
        List<Dial> dials =
                c.controls().dials().stream().map(d -> mirrorDial(d, twins)).toList();
        return c.withDials(dials, c.controls().pads())
                .withControls(controls -> controls.withCorrectives(mirrorCorners(c, twins)));
    }

    /** Corrections of one side become those of the other, where each dial stands opposite if it goes to both sides. */
    private static List<Corrective> mirrorCorners(Character c, Map<String, String> twins) {
        List<Corrective> out = new ArrayList<>();
        for (Corrective k : c.controls().correctives()) {
            Map<String, Offset> own = new HashMap<>(k.offsets());
            own.keySet().removeAll(twins.values());
            add(out, k.withOffsets(own));
        }
        for (Corrective k : c.controls().correctives()) {
            Map<String, Offset> other = new HashMap<>();
            twins.forEach((from, to) -> {
                if (k.offsets().containsKey(from)) {
                    other.put(to, k.offsets().get(from).mirrored());
                }
            });
            add(out, new Corrective(k.a(), across(c, k.a(), k.atA()), k.b(), across(c, k.b(), k.atB()), other));
        }
        return out;
    }

    private static void add(List<Corrective> corners, Corrective more) {
        Corrective there = corners.stream()
                .filter(k -> k.at(more.a(), more.atA(), more.b(), more.atB()))
                .findFirst()
                .orElse(null);
        Map<String, Offset> all = new HashMap<>(more.offsets());
        if (there != null) {
            all.putAll(there.offsets());
            corners.remove(there);
        }
        if (!all.isEmpty()) {
            corners.add(more.withOffsets(all));
        }
    }

    private static double across(Character c, String dial, double at) {
        return c.dial(dial)
                .filter(Mirror::opposite)
                .map(d -> d.hold(2 * d.rest() - at))
                .orElse(at);
    }

    private static boolean opposite(Dial d) {
        return d.purpose() == Purpose.TURN || d.purpose() == Purpose.GAZE_ACROSS;
    }

    private static Dial mirrorDial(Dial d, Map<String, String> twins) {
        DoubleUnaryOperator value = opposite(d) ? at -> d.hold(2 * d.rest() - at) : at -> at;
        OtherSide made = new Made(twins);
        Stream<DialEffect> kept = d.effects().stream().filter(e -> !twins.containsValue(e.part()));
        Stream<DialEffect> other =
                d.effects().stream().filter(e -> twins.containsKey(e.part())).map(e -> e.onto(made, value));
        return d.withEffects(
                Stream.concat(kept, other),
                at -> d.stop(value.applyAsDouble(at)).map(Stop::ease).orElse(Ease.LINEAR));
    }

    /** Everything reflected about the axis; ids, names of parts, sides, dials and who follows whom stay. */
    public static Character flip(Character c) {
        double axis = c.sheet().model().axis();
        List<Part> parts = c.rig().parts().stream()
                .map(p -> reflected(p, axis, p))
                .map(p -> p.withDrawings(p.drawings().stream()
                        .map(d -> d.withName(screenTurned(c, p.id(), d)))
                        .toList()))
                .toList();
        List<Dial> dials = c.controls().dials().stream()
                .map(d -> d.withEffects(d.effects().stream().map(DialEffect::reflected)))
                .toList();
        return c.withRig(rig -> rig.withParts(parts))
                .withDials(dials, c.controls().pads())
                .withControls(controls -> controls.withCorrectives(c.controls().correctives().stream()
                        .map(k -> k.withOffsets(mirrored(k.offsets())))
                        .toList()))
                .withOrigin(origin -> origin.withSource(c.origin().source().map(r -> r.then(-1, 2 * axis, 1, 0))));
    }

    /** The name a drawing had, but for the side of the screen it names. */
    private static String screenTurned(Character before, String part, Drawing reflected) {
        String was = before.part(part)
                .flatMap(p -> p.drawing(reflected.id()))
                .map(Drawing::name)
                .orElse(reflected.name());
        return was.contains("screen ") ? otherSide(was) : was;
    }

    private static Map<String, Offset> mirrored(Map<String, Offset> all) {
        Map<String, Offset> offsets = new HashMap<>();
        all.forEach((part, o) -> offsets.put(part, o.mirrored()));
        return offsets;
    }
}
