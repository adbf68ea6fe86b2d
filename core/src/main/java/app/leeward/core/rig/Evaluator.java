package app.leeward.core.rig;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Way;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Turns poses of one character into frames. Everything that does not depend on the pose is looked up once, here, because
 * a drag asks for hundreds of poses; the result is immutable and may be shared.
 *
 * <p>The value of a channel is rest ⊕ dials: added for shifts, turns and skews, multiplied for scales and opacity. A
 * drawing is decided by the first that speaks of pin, speech, dial away from rest, pick, default.
 */
public final class Evaluator {
    private static final int WIDTH = 7;

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

    private final List<Hold> holds;

    /** A pad whose two dials hold each other inside its field. */
    private record Hold(Pad pad, int across, int down, Point rest) {}

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
        holds = character.pads().stream()
                .filter(p -> !p.field().isEmpty())
                .flatMap(p -> hold(p).stream())
                .toList();
    }

    private Optional<Hold> hold(Pad pad) {
        int across = indexOfDial(pad.across());
        int down = indexOfDial(pad.down());
        return across < 0 || down < 0
                ? Optional.empty()
                : Optional.of(
                        new Hold(pad, across, down, new Point(dials[across].dial.rest(), dials[down].dial.rest())));
    }

    private int indexOfDial(String id) {
        for (int i = 0; i < dials.length; i++) {
            if (dials[i].dial.id().equals(id)) {
                return i;
            }
        }
        return -1;
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
                double[] seven = {p.x(), p.y(), p.rotation(), p.scaleX(), p.scaleY(), p.skewX(), p.opacity()};
                System.arraycopy(seven, 0, numbers, g * WIDTH, WIDTH);
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
        double[] values = values(settings(pose));
        Matrix[] matrices = matrices(values);
        List<Joint> joints = new ArrayList<>(parts.length);
        for (int i = 0; i < parts.length; i++) {
            Matrix within = parentOf[i] < 0 ? Matrix.IDENTITY : matrices[parentOf[i]];
            double[] all = totals(i, values);
            Point at = within.apply(parts[i].pivot().plus(new Point(all[0], all[1])));
            joints.add(new Joint(parts[i].id(), parts[i].parent(), at, within));
        }
        return joints;
    }

    private Matrix[] matrices(double[] values) {
        Matrix[] matrices = new Matrix[parts.length];
        for (int i : parentsFirst) {
            Matrix own = own(i, values);
            matrices[i] = parentOf[i] < 0 ? own : matrices[parentOf[i]].times(own);
        }
        return matrices;
    }

    public Frame frame(Pose pose) {
        double[] settings = settings(pose);
        double[] values = values(settings);
        Matrix[] matrices = matrices(values);
        double[] opacity = new double[parts.length];
        for (int i : parentsFirst) {
            double o = Math.max(0, Math.min(1, opacity(i, values)));
            opacity[i] = parentOf[i] < 0 ? o : o * opacity[parentOf[i]];
        }
        String[] drawings = drawings(pose, settings);
        List<Frame.Placed> placed = new ArrayList<>(parts.length);
        for (int i : order) {
            if (drawings[i] != null) {
                placed.add(new Frame.Placed(
                        parts[i].id(), drawings[i], matrices[i], opacity[i], showing(windows.get(i), drawings)));
            }
        }
        return new Frame(placed);
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

    /** The value of every dial, held in its range. */
    private double[] settings(Pose pose) {
        double[] settings = new double[dials.length];
        for (int i = 0; i < dials.length; i++) {
            Dial dial = dials[i].dial;
            Double asked = pose.dials().get(dial.id());
            settings[i] = asked == null ? dial.rest() : dial.hold(asked);
        }
        for (Hold h : holds) {
            if (settings[h.across] != h.rest.x() || settings[h.down] != h.rest.y()) {
                Point held = h.pad.hold(new Point(settings[h.across], settings[h.down]), h.rest);
                settings[h.across] = held.x();
                settings[h.down] = held.y();
            }
        }
        return settings;
    }

    private double[] values(double[] settings) {
        double[] values = Arrays.copyOf(rest, rest.length);
        for (int i = 0; i < dials.length; i++) {
            DialWays d = dials[i];
            if (settings[i] != d.dial.rest()) {
                for (int k = 0; k < d.wayGroup.length; k++) {
                    d.ways[k].addTo(values, d.wayGroup[k] * WIDTH, settings[i]);
                }
            }
        }
        return values;
    }

    /** The drawing each part shows, null for none. */
    private String[] drawings(Pose pose, double[] settings) {
        String[] chosen = new String[parts.length];
        double[] share = new double[parts.length];
        for (int i = 0; i < dials.length; i++) {
            DialWays d = dials[i];
            if (d.bandsPart.length > 0) {
                double value = settings[i];
                double away = d.dial.share(value);
                for (int k = 0; away > 0 && k < d.bandsPart.length; k++) {
                    int part = d.bandsPart[k];
                    // of two dials the one further from rest wins, then the later in the list
                    if (part >= 0 && away >= share[part]) {
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
        boolean asked = !(pose.pins().isEmpty()
                && pose.speech().isEmpty()
                && pose.picks().isEmpty());
        for (int i = 0; i < parts.length; i++) {
            String id = parts[i].id();
            String byHand =
                    asked ? firstOffered(i, pose.pins().get(id), pose.speech().get(id)) : null;
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
        return chosen;
    }

    private String firstOffered(int part, String first, String second) {
        String one = offered(part, first);
        return one != null ? one : offered(part, second);
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
        double[] settings = settings(pose);
        return new Reasons(
                        character, parts[index], pose, totals(index, values(settings)), drawings(pose, settings)[index])
                .all();
    }

    /** The drawing a dial asks for, of one part at one value; for {@link Reasons}. */
    static Optional<String> asked(Dial dial, String part, double value) {
        return dial.bands().stream()
                .filter(b -> b.part().equals(part))
                .findFirst()
                .flatMap(b -> b.at(value, dial.to()));
    }
}
