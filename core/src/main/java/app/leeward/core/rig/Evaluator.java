package app.leeward.core.rig;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Bend;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Way;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Turns poses of one character into frames. Everything that does not depend on the pose is looked up once, here, because
 * a drag asks for hundreds of poses; the result is immutable and may be shared.
 *
 * <p>The value of a channel is rest ⊕ dials: added for shifts, turns, skews and bends, multiplied for scales and opacity.
 * Looks and cues speak through dials: what they ask is added to where the dial stands, and the sum is held in its range, so
 * that a blink over a sleepy look shuts the eye and no more. A lid is held where the blink that shuts it ends. A drawing is
 * decided by the first that speaks of pin, look, speech, dial away from rest, pick, default. Of a head with views only the view at the dial's value shows.
 */
public final class Evaluator {
    private static final int WIDTH = Way.WIDTH;
    /** From which strength on a look shows its drawings. */
    private static final double FROM_HALF = 0.5;

    private final Character character;
    private final Part[] parts;
    private final Map<String, Integer> indexOf = new HashMap<>();
    private final int[] parentsFirst;
    private final int[] parentOf;
    private final int[] order;
    /** The first of a part's groups: one for each earlier pivot, oldest first, and one for the present pivot. */
    private final int[] groupOf;

    private final double[] rest;
    private final List<List<String>> windows;
    private final DialWays[] dials;
    private final Settings settings;
    private final Corners corners;
    private final Reshaped reshaped;
    private final boolean[] reshapes;
    private final List<LidEnd> lidEnds;
    private final ViewsShown views;
    private final WristsBent bends;
    /** Ids of the parts past whose edges alone a part shows. */
    private final List<String>[] outside;
    /** Whether a part hangs from the grip of the hand it follows. */
    private final boolean[] held;
    /** The hand whose fingers a part lies behind, where it hangs from one. */
    private final List<String>[] behind;

    private final boolean holding;
    /** Whether some dial says where parts lie in the stack. */
    private final boolean layered;

    /** For each dial the one that does the same on the other side; -1 for none. */
    private final int[] otherHalf;

    /**
     * Where a lid's way ends: there the blink has shut the eye, and whatever else lowers the lid takes it no further.
     *
     * @param at index of the lid's shift downwards
     * @param way how far the blink takes it, downwards
     */
    private record LidEnd(int at, double way) {}

    private record DialWays(Dial dial, Way[] ways, int[] wayGroup, int[] bandsPart) {}

    public Evaluator(Character character) {
        this.character = character;
        parts = character.parts().toArray(new Part[0]);
        for (int i = 0; i < parts.length; i++) {
            indexOf.put(parts[i].id(), i);
        }
        parentOf = new int[parts.length];
        for (int i = 0; i < parts.length; i++) {
            parentOf[i] = parts[i].parent().map(indexOf::get).orElse(-1);
        }
        parentsFirst = parentsFirst();
        order = character.order().stream().mapToInt(indexOf::get).toArray();
        groupOf = new int[parts.length + 1];
        for (int i = 0; i < parts.length; i++) {
            groupOf[i + 1] = groupOf[i] + 1 + parts[i].earlierPivots().size();
        }
        rest = rest();
        windows = allWindows();
        dials = character.dials().stream().map(this::compile).toArray(DialWays[]::new);
        settings = new Settings(character);
        corners = new Corners(character, settings, p -> indexOf.containsKey(p) ? groupOf[indexOf.get(p) + 1] - 1 : -1);
        reshaped = new Reshaped(character);
        reshapes = new boolean[parts.length];
        for (int i = 0; i < parts.length; i++) {
            reshapes[i] = reshaped.touches(parts[i].id());
        }
        lidEnds = lidEnds();
        bends = new WristsBent(character);
        layered = character.dials().stream().anyMatch(d -> !d.layers().isEmpty());
        outside = lists(parts.length);
        behind = lists(parts.length);
        held = new boolean[parts.length];
        for (int i = 0; i < parts.length; i++) {
            String id = parts[i].id();
            held[i] = parentOf[i] >= 0 && character.held().contains(id);
            behind[i] = held[i] ? List.of(parts[parentOf[i]].id()) : List.of();
            outside[i] = character.pastEdges().stream()
                    .filter(e -> e.part().equals(id) && indexOf.containsKey(e.by()))
                    .map(PastEdge::by)
                    .toList();
        }
        holding = !character.held().isEmpty();
        views = new ViewsShown(character, settings, indexOf);
        otherHalf = character.dials().stream()
                .mapToInt(d -> DialSides.otherHalf(character, d.id())
                        .map(settings::indexOf)
                        .orElse(-1))
                .toArray();
    }

    @SuppressWarnings("unchecked")
    private static List<String>[] lists(int n) {
        return new List[n];
    }

    private List<LidEnd> lidEnds() {
        List<LidEnd> ends = new ArrayList<>();
        for (DialWays d : dials) {
            for (int k = 0; d.dial.purpose() == Purpose.BLINK && k < d.ways.length; k++) {
                PartRole role = parts[indexOf.get(d.ways[k].part())].role();
                double way = d.ways[k].at(d.dial.to()).y();
                if (way != 0 && (role == PartRole.UPPER_LID || role == PartRole.LOWER_LID)) {
                    ends.add(new LidEnd(d.wayGroup[k] * WIDTH + 1, way));
                }
            }
        }
        return ends;
    }

    public Character character() {
        return character;
    }

    /** Everything as it stands when no dial poses it: the first group of a part holds its rest placement. */
    private double[] rest() {
        double[] numbers = new double[groupOf[parts.length] * WIDTH];
        for (int i = 0; i < parts.length; i++) {
            for (int g = groupOf[i]; g < groupOf[i + 1]; g++) {
                Placement p = g == groupOf[i] ? parts[i].rest() : Placement.REST;
                double[] own = {p.x(), p.y(), p.rotation(), p.scaleX(), p.scaleY(), p.skewX(), p.opacity()};
                System.arraycopy(own, 0, numbers, g * WIDTH, own.length);
            }
        }
        return numbers;
    }

    private int[] parentsFirst() {
        Set<Integer> done = new LinkedHashSet<>();
        for (int i = 0; i < parts.length; i++) {
            addWithParents(i, done);
        }
        return done.stream().mapToInt(Integer::intValue).toArray();
    }

    private void addWithParents(int i, Set<Integer> done) {
        if (parentOf[i] >= 0 && !done.contains(parentOf[i])) {
            addWithParents(parentOf[i], done);
        }
        done.add(i);
    }

    /** Own windows of every part and, since windows nest, the windows of those. */
    private List<List<String>> allWindows() {
        Map<String, Set<String>> own = new HashMap<>();
        for (Window w : character.windows()) {
            for (String masked : w.masked()) {
                own.computeIfAbsent(masked, k -> new LinkedHashSet<>()).add(w.by());
            }
        }
        List<List<String>> all = new ArrayList<>();
        for (Part p : parts) {
            Set<String> found = new LinkedHashSet<>();
            collect(p.id(), own, found);
            all.add(List.copyOf(found));
        }
        return all;
    }

    private static void collect(String part, Map<String, Set<String>> own, Set<String> found) {
        for (String by : own.getOrDefault(part, Set.of())) {
            if (found.add(by)) {
                collect(by, own, found);
            }
        }
    }

    private DialWays compile(Dial dial) {
        List<Way> ways =
                Way.of(dial).stream().filter(w -> indexOf.containsKey(w.part())).toList();
        int[] wayGroup = ways.stream().mapToInt(w -> group(dial, w.part())).toArray();
        int[] bandsPart = dial.bands().stream()
                .mapToInt(b -> indexOf.getOrDefault(b.part(), -1))
                .toArray();
        return new DialWays(dial, ways.toArray(new Way[0]), wayGroup, bandsPart);
    }

    private int group(Dial dial, String part) {
        int i = indexOf.get(part);
        int present = groupOf[i + 1] - 1;
        Integer hinge = dial.hinges().get(part);
        return hinge == null ? present : Math.min(present, groupOf[i] + Math.max(0, hinge));
    }

    /** Where a part stands at rest by its own and its parents' rest placements; identity for no part. */
    public Matrix atRest(Optional<String> part) {
        Matrix m = Matrix.IDENTITY;
        int i = part.map(indexOf::get).orElse(-1);
        while (i >= 0) {
            m = parts[i].restMatrix().times(m);
            i = parentOf[i];
        }
        return m;
    }

    /** The joints of every part in a pose, in the order of the parts. */
    public List<Joint> joints(Pose pose) {
        double[] stand = settings.of(pose);
        double[] values = values(stand);
        String[] drawings = drawings(pose, stand);
        Matrix[] matrices = matrices(values, views.at(stand), drawings);
        List<Joint> joints = new ArrayList<>(parts.length);
        for (int i = 0; i < parts.length; i++) {
            Matrix within = within(i, matrices, drawings);
            double[] all = totals(i, values);
            Point at = within.apply(parts[i].pivot().plus(new Point(all[0], all[1])));
            joints.add(new Joint(parts[i].id(), parts[i].parent(), at, within));
        }
        return joints;
    }

    /** The coordinates a part stands in: those of what it follows, or of the grip it is held by. */
    private Matrix within(int i, Matrix[] matrices, String[] drawings) {
        int parent = parentOf[i];
        if (parent < 0) {
            return Matrix.IDENTITY;
        }
        Matrix m = matrices[parent];
        if (!held[i] || drawings[parent] == null) {
            return m;
        }
        return character
                .grip(parts[parent].id(), drawings[parent])
                .map(g -> m.times(g.holding(parts[i].pivot())))
                .orElse(m);
    }

    private Matrix[] matrices(double[] values, ViewBand shown, String[] drawings) {
        Matrix[] matrices = new Matrix[parts.length];
        int flipped = views.flippedRoot(shown);
        for (int i : parentsFirst) {
            Matrix own = own(i, values);
            if (i == flipped) {
                own = views.mirror(atRest(parts[i].parent())).times(own);
            }
            matrices[i] = parentOf[i] < 0 ? own : within(i, matrices, drawings).times(own);
        }
        return matrices;
    }

    public Frame frame(Pose pose) {
        double[] stand = settings.of(pose);
        double[] values = values(stand);
        ViewBand shown = views.at(stand);
        String[] drawings = drawings(pose, stand);
        Matrix[] matrices = matrices(values, shown, drawings);
        double[] opacity = new double[parts.length];
        for (int i : parentsFirst) {
            double o = Math.max(0, Math.min(1, opacity(i, values)));
            opacity[i] = parentOf[i] < 0 ? o : o * opacity[parentOf[i]];
        }
        List<Frame.Placed> placed = new ArrayList<>(parts.length);
        for (int i : stacked(drawings, stand)) {
            if (drawings[i] != null) {
                placed.add(new Frame.Placed(
                        parts[i].id(),
                        drawings[i],
                        matrices[i],
                        opacity[i],
                        showing(windows.get(i), drawings),
                        outside[i].isEmpty() ? outside[i] : showing(outside[i], drawings),
                        behind[i],
                        outlines(i, drawings[i], values, stand)));
            }
        }
        return new Frame(placed);
    }

    /** The parts back to front, with those elsewhere whose drawing says so. */
    private int[] stacked(String[] drawings, double[] stand) {
        Map<Integer, Integer> layers = layers(stand);
        if (character.stacks().isEmpty() && layers.isEmpty()) {
            return order;
        }
        List<Integer> all = new ArrayList<>(order.length);
        for (int i : order) {
            all.add(i);
        }
        for (DrawnStack s : character.stacks()) {
            Integer part = indexOf.get(s.part());
            Integer over = indexOf.get(s.over());
            if (part != null && over != null && s.drawing().equals(drawings[part])) {
                all.remove(part);
                all.add(all.indexOf(over) + 1, part);
            }
        }
        // a dial away from rest wins over what is said of a drawing
        Set<Integer> laid = new HashSet<>();
        layers.keySet().forEach(part -> lay(part, layers, laid, all));
        return all.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Lays one part, but what it lies over first. */
    private static void lay(Integer part, Map<Integer, Integer> layers, Set<Integer> laid, List<Integer> all) {
        if (!layers.containsKey(part) || !laid.add(part)) {
            return;
        }
        Integer over = layers.get(part);
        lay(over, layers, laid, all);
        all.remove(part);
        all.add(all.indexOf(over) + 1, part);
    }

    /** Which part each lies directly over where a dial away from rest says so, -1 for none; by the places of the parts. */
    private Map<Integer, Integer> layers(double[] stand) {
        if (!layered) {
            return Map.of();
        }
        Map<Integer, Integer> over = new TreeMap<>();
        Map<Integer, Double> share = new HashMap<>();
        for (int i = 0; i < dials.length; i++) {
            Dial dial = dials[i].dial;
            double away = dial.share(stand[i]);
            for (Bands b : dial.layers()) {
                Integer part = indexOf.get(b.part());
                String under = b.at(stand[i], dial.to()).orElse(null);
                Integer place = Dial.BACK.equals(under) ? Integer.valueOf(-1) : indexOf.get(under);
                // of two dials the one further from rest wins, then the later in the list
                if (part != null && place != null && away > 0 && away >= share.getOrDefault(part, 0.0)) {
                    over.put(part, place);
                    share.put(part, away);
                }
            }
        }
        return over;
    }

    /** The outlines of a reshaped or bent drawing; empty for one that is as it was drawn. */
    private List<Path> outlines(int i, String drawing, double[] values, double[] stand) {
        double left = 0;
        double middle = 0;
        double right = 0;
        for (int v = groupOf[i] * WIDTH; v < groupOf[i + 1] * WIDTH; v += WIDTH) {
            left += values[v + 7];
            middle += values[v + 8];
            right += values[v + 9];
        }
        boolean straight = left == 0 && middle == 0 && right == 0;
        // most parts are as they were drawn, and a drag asks for hundreds of poses
        Matrix still = bends.bends(i) ? bends.still(i, drawing, own(i, values)) : null;
        if (straight && !reshapes[i] && still == null) {
            return List.of();
        }
        Artwork drawn = parts[i].drawing(drawing).map(Drawing::art).orElseThrow();
        Artwork art = reshaped.of(parts[i].id(), drawing, drawn, character, stand);
        if (!straight) {
            return new Bend(left, middle, right).of(art);
        }
        if (still != null) {
            art = bends.of(i, drawing, art, still);
        }
        return art == drawn ? List.of() : art.shapes().stream().map(Shape::path).toList();
    }

    /** The part in the coordinates of what it follows: its groups about their pivots, the oldest applied first. */
    private Matrix own(int i, double[] values) {
        Part p = parts[i];
        if (groupOf[i + 1] - groupOf[i] == 1) {
            int v = groupOf[i] * WIDTH;
            return Placement.matrix(
                    values[v],
                    values[v + 1],
                    values[v + 2],
                    values[v + 3],
                    values[v + 4],
                    values[v + 5],
                    p.pivot().x(),
                    p.pivot().y());
        }
        Matrix m = null;
        for (int g = groupOf[i]; g < groupOf[i + 1]; g++) {
            int v = g * WIDTH;
            boolean present = g == groupOf[i + 1] - 1;
            Point pivot = present ? p.pivot() : p.earlierPivots().get(g - groupOf[i]);
            Matrix about = Placement.matrix(
                    0, 0, values[v + 2], values[v + 3], values[v + 4], values[v + 5], pivot.x(), pivot.y());
            m = m == null ? about : about.times(m);
        }
        double x = 0;
        double y = 0;
        for (int v = groupOf[i] * WIDTH; v < groupOf[i + 1] * WIDTH; v += WIDTH) {
            x += values[v];
            y += values[v + 1];
        }
        return new Matrix(m.a(), m.b(), m.c(), m.d(), m.e() + x, m.f() + y);
    }

    private double opacity(int i, double[] values) {
        double o = 1;
        for (int g = groupOf[i]; g < groupOf[i + 1]; g++) {
            o *= values[g * WIDTH + 6];
        }
        return o;
    }

    /** What the channels of a part come to over all its groups. */
    private double[] totals(int i, double[] values) {
        double[] all = Arrays.copyOfRange(values, groupOf[i] * WIDTH, (groupOf[i] + 1) * WIDTH);
        for (int g = groupOf[i] + 1; g < groupOf[i + 1]; g++) {
            for (int k = 0; k < WIDTH; k++) {
                double v = values[g * WIDTH + k];
                all[k] = k == 3 || k == 4 || k == 6 ? all[k] * v : all[k] + v;
            }
        }
        return all;
    }

    /** A window that shows no drawing masks nothing. */
    private List<String> showing(List<String> all, String[] drawings) {
        for (String by : all) {
            if (drawings[indexOf.get(by)] == null) {
                return all.stream()
                        .filter(w -> drawings[indexOf.get(w)] != null)
                        .toList();
            }
        }
        return all;
    }

    /** Where a dial stands in a pose with what looks, cues and leaders add; 0 for a dial that is not there. */
    public double setting(String dial, Pose pose) {
        int i = settings.indexOf(dial);
        return i < 0 ? 0 : settings.of(pose)[i];
    }

    private double[] values(double[] stand) {
        double[] values = Arrays.copyOf(rest, rest.length);
        ViewBand shown = views.at(stand);
        for (int i = 0; i < dials.length; i++) {
            DialWays d = dials[i];
            double mirrored = mirrored(i, stand, shown);
            if (stand[i] != d.dial.rest() || mirrored != d.dial.rest()) {
                boolean differs = mirrored != stand[i];
                for (int k = 0; k < d.wayGroup.length; k++) {
                    double at = differs && views.flips(indexOf.get(d.ways[k].part()), shown) ? mirrored : stand[i];
                    if (at != d.dial.rest()) {
                        d.ways[k].addTo(values, d.wayGroup[k] * WIDTH, at);
                    }
                }
            }
        }
        corners.addTo(values, stand);
        for (LidEnd end : lidEnds) {
            double most = rest[end.at] + end.way;
            values[end.at] = end.way > 0 ? Math.min(values[end.at], most) : Math.max(values[end.at], most);
        }
        return values;
    }

    /**
     * Where a dial stands for a view shown as its mirror image: the eye drawn as the left one is the right one there, and looks
     * the other way to look the same way.
     */
    private double mirrored(int dial, double[] stand, ViewBand shown) {
        if (shown == null || !shown.flipped()) {
            return stand[dial];
        }
        double at = stand[otherHalf[dial] < 0 ? dial : otherHalf[dial]];
        return dials[dial].dial.purpose() == Purpose.GAZE_ACROSS ? 2 * dials[dial].dial.rest() - at : at;
    }

    /** The drawing each part shows, null for none. */
    private String[] drawings(Pose pose, double[] stand) {
        String[] chosen = new String[parts.length];
        double[] share = new double[parts.length];
        ViewBand shown = views.at(stand);
        for (int i = 0; i < dials.length; i++) {
            DialWays d = dials[i];
            if (d.bandsPart.length > 0) {
                double mirrored = mirrored(i, stand, shown);
                for (int k = 0; k < d.bandsPart.length; k++) {
                    int part = d.bandsPart[k];
                    double value = mirrored != stand[i] && part >= 0 && views.flips(part, shown) ? mirrored : stand[i];
                    double away = d.dial.share(value);
                    // of two dials the one further from rest wins, then the later in the list
                    if (part >= 0 && away > 0 && away >= share[part]) {
                        String drawing = offered(
                                part,
                                d.dial.bands().get(k).at(value, d.dial.to()).orElse(null));
                        if (drawing != null) {
                            chosen[part] = drawing;
                            share[part] = away;
                        }
                    }
                }
            }
        }
        Map<String, String> looked = lookDrawings(character, pose);
        boolean asked = !(pose.pins().isEmpty()
                && looked.isEmpty()
                && pose.speech().isEmpty()
                && pose.picks().isEmpty());
        for (int i = 0; i < parts.length; i++) {
            if (views.hides(i, shown)) {
                chosen[i] = null;
                continue;
            }
            String id = parts[i].id();
            String byHand = asked
                    ? firstOffered(
                            i,
                            pose.pins().get(id),
                            looked.get(id),
                            pose.speech().get(id),
                            views.spoken(id, pose.speech()::get))
                    : null;
            if (byHand != null) {
                chosen[i] = byHand;
            } else if (chosen[i] == null) {
                String pick = asked ? offered(i, pose.picks().get(id)) : null;
                chosen[i] = pick != null ? pick : parts[i].shown();
            }
            if (Part.NOTHING.equals(chosen[i])) {
                chosen[i] = null;
            }
        }
        for (int i = 0; holding && i < parts.length; i++) {
            // a hand that shows no grip holds nothing
            if (!holds(i, chosen)) {
                chosen[i] = null;
            }
        }
        return chosen;
    }

    private String firstOffered(int part, String... asked) {
        for (String drawing : asked) {
            String one = offered(part, drawing);
            if (one != null) {
                return one;
            }
        }
        return null;
    }

    /** The drawings asked for by looks of half strength and more: of two the stronger, then the later in the list. */
    static Map<String, String> lookDrawings(Character c, Pose pose) {
        if (pose.looks().isEmpty()) {
            return Map.of();
        }
        Map<String, String> asked = new HashMap<>();
        c.looks().stream()
                .filter(l -> pose.looks().getOrDefault(l.id(), 0.0) >= FROM_HALF)
                .sorted(Comparator.comparingDouble(l -> pose.looks().get(l.id())))
                .forEach(l -> asked.putAll(l.drawings()));
        return asked;
    }

    private String offered(int part, String drawing) {
        return drawing != null && parts[part].offers(drawing) ? drawing : null;
    }

    /** Why a part looks as it does in a pose: one reason a channel, every channel named. */
    public List<Reason> why(String partId, Pose pose) {
        Integer index = indexOf.get(partId);
        if (index == null) {
            throw new IllegalArgumentException("there is no part '" + partId + "'");
        }
        double[] stand = settings.of(pose);
        String[] drawings = drawings(pose, stand);
        return new Reasons(
                        character,
                        parts[index],
                        pose,
                        stand,
                        corners.felt(partId, stand),
                        totals(index, values(stand)),
                        drawings[index],
                        dropped(index, drawings),
                        views,
                        index)
                .all();
    }

    /** Whether the hand a thing is in, where it is in one, shows a grip. */
    private boolean holds(int i, String[] drawings) {
        String shows = held[i] ? drawings[parentOf[i]] : null;
        return !held[i]
                || shows != null
                        && character.grip(parts[parentOf[i]].id(), shows).isPresent();
    }

    /** That the hand a thing is in shows no grip, in words; empty when it does, and for all that is in no hand. */
    private Optional<String> dropped(int i, String[] drawings) {
        if (holds(i, drawings)) {
            return Optional.empty();
        }
        Part hand = parts[parentOf[i]];
        String shows = drawings[parentOf[i]];
        String drawing = shows == null
                ? "nothing"
                : hand.drawing(shows).map(Drawing::name).orElse(shows);
        return Optional.of(hand.name() + " shows " + drawing + ", which has no grip");
    }

    /** The drawing a dial asks for, of one part at one value; for {@link Reasons}. */
    static Optional<String> asked(Dial dial, String part, double value) {
        return dial.bands().stream()
                .filter(b -> b.part().equals(part))
                .findFirst()
                .flatMap(b -> b.at(value, dial.to()));
    }
}
