package app.leeward.core.rig;

import app.leeward.core.art.Matrix;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Way;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
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
    private final double[] rest;
    private final List<List<String>> windows;
    private final DialWays[] dials;

    private record DialWays(Dial dial, List<Way> ways, int[] wayPart, int[] bandsPart) {}

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
        rest = new double[parts.length * WIDTH];
        for (int i = 0; i < parts.length; i++) {
            Placement p = parts[i].rest();
            double[] values = {p.x(), p.y(), p.rotation(), p.scaleX(), p.scaleY(), p.skewX(), p.opacity()};
            System.arraycopy(values, 0, rest, i * WIDTH, WIDTH);
        }
        windows = allWindows();
        dials = character.dials().stream().map(this::compile).toArray(DialWays[]::new);
    }

    public Character character() {
        return character;
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
        int[] wayPart = ways.stream().mapToInt(w -> indexOf.get(w.part())).toArray();
        int[] bandsPart = dial.bands().stream()
                .mapToInt(b -> indexOf.getOrDefault(b.part(), -1))
                .toArray();
        return new DialWays(dial, ways, wayPart, bandsPart);
    }

    public Frame frame(Pose pose) {
        double[] values = values(pose);
        Matrix[] matrices = new Matrix[parts.length];
        double[] opacity = new double[parts.length];
        for (int i : parentsFirst) {
            int v = i * WIDTH;
            Part p = parts[i];
            Matrix own = Placement.matrix(
                    values[v],
                    values[v + 1],
                    values[v + 2],
                    values[v + 3],
                    values[v + 4],
                    values[v + 5],
                    p.pivot().x(),
                    p.pivot().y());
            int parent = parentOf[i];
            matrices[i] = parent < 0 ? own : matrices[parent].times(own);
            double o = Math.max(0, Math.min(1, values[v + 6]));
            opacity[i] = parent < 0 ? o : o * opacity[parent];
        }
        String[] drawings = drawings(pose);
        List<Frame.Placed> placed = new ArrayList<>(parts.length);
        for (int i : order) {
            if (drawings[i] != null) {
                placed.add(new Frame.Placed(
                        parts[i].id(), drawings[i], matrices[i], opacity[i], showing(windows.get(i), drawings)));
            }
        }
        return new Frame(placed);
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

    private double[] values(Pose pose) {
        double[] values = Arrays.copyOf(rest, rest.length);
        for (DialWays d : dials) {
            double value = valueOf(d.dial, pose);
            if (value == d.dial.rest()) {
                continue;
            }
            for (int k = 0; k < d.wayPart.length; k++) {
                d.ways.get(k).addTo(values, d.wayPart[k] * WIDTH, value);
            }
        }
        return values;
    }

    private static double valueOf(Dial dial, Pose pose) {
        Double asked = pose.dials().get(dial.id());
        return asked == null ? dial.rest() : dial.hold(asked);
    }

    /** The drawing each part shows, null for none. */
    private String[] drawings(Pose pose) {
        String[] chosen = new String[parts.length];
        double[] share = new double[parts.length];
        for (DialWays d : dials) {
            if (d.bandsPart.length > 0) {
                double value = valueOf(d.dial, pose);
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
        return new Reasons(character, parts[index], pose, values(pose), index * WIDTH, drawings(pose)[index]).all();
    }

    /** The drawing a dial asks for, of one part at one value; for {@link Reasons}. */
    static java.util.Optional<String> asked(Dial dial, String part, double value) {
        return dial.bands().stream()
                .filter(b -> b.part().equals(part))
                .findFirst()
                .flatMap(b -> b.at(value, dial.to()));
    }
}
