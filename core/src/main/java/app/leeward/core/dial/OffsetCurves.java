package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * All ways of one dial, for poses in which it stands at one value for every part. Ways that turn at the same places and go evenly,
 * which most do, are laid side by side in one table, so that the place is looked up once and the numbers are read in a row.
 */
public final class OffsetCurves {
    private final List<Table> tables = new ArrayList<>();
    private final List<OffsetCurve> others = new ArrayList<>();
    private final List<int[]> otherSlots = new ArrayList<>();

    /**
     * @param chain with the places the table's ways share
     * @param slots where in a row of channels each number belongs: those that are added first
     * @param numbers for each place those of all its slots
     */
    private record Table(KeyedCurve chain, int[] slots, int added, double[][] numbers) {}

    /** @param slots for each way where in a row of channels the number of each of its channels is */
    public OffsetCurves(List<OffsetCurve> ways, List<int[]> slots) {
        List<Integer> left =
                new ArrayList<>(IntStream.range(0, ways.size()).boxed().toList());
        while (!left.isEmpty()) {
            OffsetCurve first = ways.get(left.get(0));
            List<Integer> alike = left.stream()
                    .filter(i -> first.chain().even()
                            && ways.get(i).chain().even()
                            && Arrays.equals(
                                    ways.get(i).chain().places(), first.chain().places()))
                    .toList();
            if (alike.isEmpty()) {
                others.add(first);
                otherSlots.add(slots.get(left.remove(0)));
            } else {
                tables.add(table(
                        alike.stream().map(ways::get).toList(),
                        alike.stream().map(slots::get).toList()));
                left.removeAll(alike);
            }
        }
    }

    private static Table table(List<OffsetCurve> ways, List<int[]> slots) {
        List<int[]> order = new ArrayList<>();
        for (Channel.Combining combining : Channel.Combining.values()) {
            for (int w = 0; w < ways.size(); w++) {
                for (int k = 0; k < slots.get(w).length; k++) {
                    if (ways.get(w).channels().get(k).combining() == combining) {
                        order.add(new int[] {w, k});
                    }
                }
            }
        }
        KeyedCurve chain = ways.get(0).chain();
        double[][] numbers = new double[chain.places().length][order.size()];
        int added = 0;
        for (int n = 0; n < order.size(); n++) {
            OffsetCurve way = ways.get(order.get(n)[0]);
            int channel = order.get(n)[1];
            added += way.channels().get(channel).combining() == Channel.Combining.ADDED ? 1 : 0;
            for (int place = 0; place < numbers.length; place++) {
                numbers[place][n] = way.chain().number(place, 0, channel);
            }
        }
        int[] all = order.stream().mapToInt(o -> slots.get(o[0])[o[1]]).toArray();
        return new Table(chain, all, added, numbers);
    }

    /** Combines what the dial does at a value with the numbers that are there. */
    public void addTo(double[] into, double value) {
        for (Table t : tables) {
            int i = t.chain.before(value);
            add(t, into, t.numbers[Math.max(0, i)], t.chain.share(i, value), i);
        }
        for (int k = 0; k < others.size(); k++) {
            others.get(k).addTo(into, otherSlots.get(k), value);
        }
    }

    private static void add(Table t, double[] into, double[] from, double share, int place) {
        // where the numbers hold there may be no next place
        double[] to = share == 0 ? from : t.numbers[place + 1];
        int[] slots = t.slots;
        for (int k = 0; k < t.added; k++) {
            into[slots[k]] += from[k] + (to[k] - from[k]) * share;
        }
        for (int k = t.added; k < slots.length; k++) {
            into[slots[k]] *= from[k] + (to[k] - from[k]) * share;
        }
    }
}
