package app.leeward.core.eval;

import app.leeward.core.art.Bending;
import app.leeward.core.art.Matrix;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A character looked up for evaluation: parts and dials by their place in the list, and one row of numbers that holds every
 * channel of every part. A part has a group of numbers for each place its pivot ever had, the oldest first, because what was
 * recorded about an earlier pivot still turns about it; the first group holds its placement at rest. Immutable.
 */
final class CompiledRig {
    final Character character;
    final Part[] parts;
    final List<Dial> dials;
    /** Place of the part each one follows; -1 for none. */
    final int[] parentOf;
    /** Places of all parts, each behind the one it follows. */
    final int[] parentsFirst;
    /** The channels of this character: those every part has, and whatever else its stops say something about. */
    final List<Channel> channels;
    /** How drawings go where dials bend them. */
    final Bending bending;

    private final Map<String, Integer> places = new HashMap<>();
    /** The first group of each part, and behind the last part the number of all groups. */
    private final int[] groupOf;

    private final double[] rest;

    CompiledRig(Character character) {
        this.character = character;
        dials = character.controls().dials();
        bending = character.controls().bending();
        parts = character.rig().parts().toArray(new Part[0]);
        for (int i = 0; i < parts.length; i++) {
            places.put(parts[i].id(), i);
        }
        parentOf = new int[parts.length];
        groupOf = new int[parts.length + 1];
        for (int i = 0; i < parts.length; i++) {
            parentOf[i] = parts[i].parent().map(places::get).orElse(-1);
            groupOf[i + 1] = groupOf[i] + 1 + parts[i].earlierPivots().size();
        }
        parentsFirst = parentsFirst();
        channels = channels(character);
        rest = restNumbers();
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

    private static List<Channel> channels(Character c) {
        Stream<Offset> ofStops = c.controls().dials().stream()
                .flatMap(d -> d.stops().stream())
                .flatMap(s -> s.offsets().values().stream());
        Stream<Offset> ofCorners = c.controls().correctives().stream().flatMap(k -> k.offsets().values().stream());
        Map<String, Channel> others = new TreeMap<>();
        Stream.concat(ofStops, ofCorners)
                .flatMap(o -> o.channels().stream())
                .filter(ch -> !Channel.STANDARD.contains(ch))
                .forEach(ch -> others.put(ch.id(), ch));
        List<Channel> all = new ArrayList<>(Channel.STANDARD);
        all.addAll(others.values());
        return List.copyOf(all);
    }

    private double[] restNumbers() {
        double[] numbers = new double[groupOf[parts.length] * channels.size()];
        for (int i = 0; i < parts.length; i++) {
            for (int g = groupOf[i]; g < groupOf[i + 1]; g++) {
                Placement p = g == groupOf[i] ? parts[i].rest() : Placement.REST;
                for (int k = 0; k < channels.size(); k++) {
                    numbers[g * channels.size() + k] = p.of(channels.get(k));
                }
            }
        }
        return numbers;
    }

    /** All channels of all parts as they are when nothing poses them; a new row at each call. */
    double[] rest() {
        return rest.clone();
    }

    /** The place of a part in the list; -1 for one that is not there. */
    int place(String part) {
        return places.getOrDefault(part, -1);
    }

    boolean has(String part) {
        return places.containsKey(part);
    }

    int firstGroup(int part) {
        return groupOf[part];
    }

    /** The group about the present pivot. */
    int presentGroup(int part) {
        return groupOf[part + 1] - 1;
    }

    /** The group that a dial poses a part in: about the pivot it had when that was recorded. */
    int group(Dial dial, int part) {
        Integer hinge = dial.hinges().get(parts[part].id());
        int present = presentGroup(part);
        return hinge == null ? present : Math.min(present, groupOf[part] + Math.max(0, hinge));
    }

    /** Where in the row the number of a channel is. */
    int slot(int group, Channel channel) {
        return group * channels.size() + channels.indexOf(channel);
    }

    int[] slots(int group, List<Channel> of) {
        return of.stream().mapToInt(c -> slot(group, c)).toArray();
    }

    /** What a channel of a part comes to over all its groups. */
    double total(int part, Channel channel, double[] numbers) {
        double all = numbers[slot(groupOf[part], channel)];
        for (int g = groupOf[part] + 1; g < groupOf[part + 1]; g++) {
            all = channel.combine(all, numbers[slot(g, channel)]);
        }
        return all;
    }

    /** Where a part stands at rest by its own and its parents' rest placements; identity for no part. */
    Matrix atRest(Optional<String> part) {
        Matrix m = Matrix.IDENTITY;
        int i = part.map(this::place).orElse(-1);
        while (i >= 0) {
            m = parts[i].restMatrix().times(m);
            i = parentOf[i];
        }
        return m;
    }
}
