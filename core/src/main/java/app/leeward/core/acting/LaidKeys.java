package app.leeward.core.acting;

import app.leeward.core.cue.Laid;
import app.leeward.core.dial.Dial;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.Tracks;
import app.leeward.core.shot.Way;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Gathers movements of dials: none runs into another on its dial, and none lies where a hand has keyed. */
final class LaidKeys {
    private final Shot shot;
    private final Map<String, List<DialKey>> laid = new TreeMap<>();

    /** @param shot with what the hand has made and without what is laid anew */
    LaidKeys(Shot shot) {
        this.shot = shot;
    }

    /** Where a movement is at one frame, counted from where the dial stands without it. */
    record Step(int frame, double by, Way way) {}

    /**
     * Adds a movement that comes back to where it began.
     *
     * @param movement in rising order, the first and the last of them with nothing added
     * @return false where there is no room for it
     */
    boolean add(Dial dial, Laid why, List<Step> movement) {
        List<Step> steps = new ArrayList<>(movement);
        Step end = steps.remove(steps.size() - 1);
        // what would be over just behind the shot's end is over there
        steps.add(new Step(Math.min(end.frame(), shot.frames() - 1), end.by(), end.way()));
        int from = steps.get(0).frame();
        int to = steps.get(steps.size() - 1).frame();
        List<DialKey> hand = shot.tracks().dials().getOrDefault(dial.id(), List.of());
        List<DialKey> mine = laid.getOrDefault(dial.id(), List.of());
        boolean taken = from < 0
                || to >= shot.frames()
                || mine.stream().anyMatch(k -> k.frame() >= from - 1 && k.frame() <= to + 1)
                || around(mine, from, to)
                || !hand.isEmpty()
                        && from <= hand.get(hand.size() - 1).frame()
                        && to >= hand.get(0).frame();
        for (int i = 1; i < steps.size() && !taken; i++) {
            taken = steps.get(i).frame() <= steps.get(i - 1).frame();
        }
        if (taken) {
            return false;
        }
        double base = stands(dial, hand, from);
        for (Step s : steps) {
            laid.computeIfAbsent(dial.id(), k -> new ArrayList<>())
                    .add(new DialKey(s.frame(), dial.hold(base + s.by()), s.way(), Optional.of(why)));
        }
        laid.get(dial.id()).sort(Comparator.comparingInt(DialKey::frame));
        return true;
    }

    /** Whether a movement laid before is under way all through some frames. */
    private static boolean around(List<DialKey> keys, int from, int to) {
        for (int i = 0; i + 1 < keys.size(); i++) {
            boolean under = !(keys.get(i).way() instanceof Way.Hold)
                    || keys.get(i).laid().equals(keys.get(i + 1).laid());
            if (under && keys.get(i).frame() < from && keys.get(i + 1).frame() > to) {
                return true;
            }
        }
        return false;
    }

    private static double stands(Dial dial, List<DialKey> hand, int frame) {
        if (hand.isEmpty()) {
            return dial.rest();
        }
        return frame < hand.get(0).frame()
                ? hand.get(0).value()
                : hand.get(hand.size() - 1).value();
    }

    Tracks over(Tracks tracks) {
        Tracks all = tracks;
        for (Map.Entry<String, List<DialKey>> e : laid.entrySet()) {
            all = all.withKeys(e.getKey(), e.getValue());
        }
        return all;
    }
}
