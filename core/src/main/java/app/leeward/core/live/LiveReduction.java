package app.leeward.core.live;

import app.leeward.core.cue.Blink;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Travel;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.HeldDrawing;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.Strip;
import app.leeward.core.shot.Track;
import app.leeward.core.shot.Tracks;
import app.leeward.core.shot.Way;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Makes a take into ordinary keys on exposures, which stand in the shot as if they had been set by hand. What a dial did before the
 * hand first moved it, and what it does behind the end of the take, stays as it was.
 */
public final class LiveReduction {
    /** Seconds between two samples of a hand that moves, on a machine that is busy. */
    private static final double NEAR = 0.25;

    /** Frames a look takes to come and to go. */
    private static final int COMES = 4;

    private final Playhead playhead;
    private final Shot shot;
    private final LiveTake take;
    private final LiveSettings settings;
    private final int exposure;
    private final int from;
    private final int to;

    private LiveReduction(Playhead playhead, LiveTake take, LiveSettings settings) {
        this.playhead = playhead;
        this.take = take;
        this.settings = settings;
        shot = playhead.shot();
        exposure = shot.rules().exposure();
        from = Math.min(take.from(), shot.frames() - 1) / exposure * exposure;
        to = Math.min(take.to(), shot.frames());
    }

    /**
     * @return the edit that writes it
     * @throws Refusal when the hand moved nothing while it ran
     */
    public static ActingEdit.PasteFrames edit(Playhead playhead, LiveTake take, LiveSettings settings) {
        return new LiveReduction(playhead, take, settings).edit();
    }

    private ActingEdit.PasteFrames edit() {
        List<Track> of = new ArrayList<>();
        Tracks tracks = Tracks.EMPTY;
        List<Blink> blinks = new ArrayList<>();
        for (String id : take.dials().keySet()) {
            Optional<Dial> dial = playhead.evaluator().character().dial(id);
            List<LiveSample> samples = take.dials().get(id);
            if (dial.isPresent() && dial.get().purpose() == Purpose.BLINK) {
                double late = settings.latency() * shot.rules().frameRate();
                PlayedBlinks played =
                        PlayedBlinks.in(dial.get(), samples, shot.rules().frameRate(), exposure, late);
                blinks.addAll(played.blinks());
                samples = played.rest();
            }
            List<LiveSample> left = samples;
            List<DialKey> keys =
                    dial.filter(d -> !left.isEmpty()).map(d -> keys(d, left)).orElse(List.of());
            if (!keys.isEmpty()) {
                of.add(Track.dial(id));
                tracks = tracks.withKeys(id, keys);
            }
        }
        for (String part : take.drawings().keySet()) {
            List<HeldDrawing> held = held(part, take.drawings().get(part));
            if (!held.isEmpty()) {
                of.add(Track.drawings(part));
                tracks = tracks.withDrawings(part, held);
            }
        }
        List<Blink> all = blinks(blinks);
        if (!blinks.isEmpty()) {
            of.add(Track.of(Track.Sort.BLINKS));
            tracks = tracks.withBlinks(all);
        }
        List<LookSpan> looks = looks();
        if (!looks.isEmpty()) {
            of.add(Track.of(Track.Sort.LOOKS));
            tracks = tracks.withLooks(looks);
        }
        List<CuePlacement> cues = cues();
        if (!cues.isEmpty()) {
            of.add(Track.of(Track.Sort.CUES));
            tracks = tracks.withCues(cues);
        }
        if (of.isEmpty()) {
            throw new Refusal(RefusalCode.NO_CHANGE, "Nothing was moved while the shot ran.");
        }
        return new ActingEdit.PasteFrames(from, new Strip(length(), of, tracks), 1);
    }

    /** The blinks that were played, within the take, with those of the shot that leave them room; by frames of the strip. */
    private List<Blink> blinks(List<Blink> played) {
        List<Blink> mine = played.stream()
                .filter(b -> b.frame() >= from && b.end() <= to && b.within(shot.frames()))
                .toList();
        return Stream.concat(
                        mine.stream(),
                        shot.tracks().blinks().stream()
                                .filter(b -> b.frame() >= from && b.frame() < from + length())
                                .filter(b -> mine.stream().noneMatch(m -> m.frame() < b.end() && b.frame() < m.end())))
                .sorted(Comparator.comparingInt(Blink::frame))
                .map(b -> new Blink(b.frame() - from, b.down(), b.hold(), b.up(), b.laid()))
                .toList();
    }

    /** One frame more than the take where the shot goes on, for the keys that bring dials back to what they do there. */
    private int length() {
        return Math.min(shot.frames(), to + 1) - from;
    }

    /** Frames of the strip that an exposure of the shot begins at. */
    private int exposures() {
        return (to - from + exposure - 1) / exposure;
    }

    /** The moment by which a hand has done what it shows in an exposure: its middle, and the latency later. */
    private double moment(int e) {
        return from + (e + 0.5) * exposure + settings.latency() * shot.rules().frameRate();
    }

    private List<DialKey> keys(Dial dial, List<LiveSample> samples) {
        int first = 0;
        while (first < exposures() && moment(first) < samples.get(0).frame()) {
            first++;
        }
        if (first == exposures()) {
            return List.of();
        }
        int count = exposures() - first;
        boolean straight = dial.travels() == Travel.STRAIGHT;
        double[] values = new double[count];
        double[] at = new double[count];
        for (int i = 0; i < count; i++) {
            at[i] = (double) (first + i) * exposure;
            values[i] = dial.hold(valueAt(samples, moment(first + i), straight));
        }
        double range = dial.to() - dial.from();
        boolean[] keep;
        if (straight) {
            keep = DouglasPeucker.changes(values);
        } else {
            double rate = (double) shot.rules().frameRate() / exposure;
            values = settings.smoothing().isPresent()
                    ? settings.smoothing().get().smoothed(values, rate)
                    : values;
            keep = DouglasPeucker.kept(at, values, settings.tolerance() * range);
        }
        List<DialKey> keys = new ArrayList<>(before(dial, first));
        for (int i = 0; i < count; i++) {
            if (keep[i]) {
                keys.add(new DialKey((int) at[i], rounded(values[i]), straight ? Way.HOLD : Way.EVEN));
            }
        }
        behind(dial, keys);
        return keys;
    }

    /** Keys that leave what the dial did in the take's stretch before the hand moved it. */
    private List<DialKey> before(Dial dial, int first) {
        List<DialKey> own = shot.tracks().dials().getOrDefault(dial.id(), List.of());
        int touched = from + first * exposure;
        List<DialKey> kept = new ArrayList<>();
        for (DialKey k : own) {
            if (k.frame() >= from && k.frame() < touched - exposure) {
                kept.add(k.at(k.frame() - from));
            }
        }
        int last = touched - exposure;
        if (last >= from) {
            kept.add(new DialKey(last - from, rounded(standing(dial, last)), Way.HOLD));
        }
        return kept;
    }

    /** The key that brings a dial back to what it does behind the take, where something is keyed there. */
    private void behind(Dial dial, List<DialKey> keys) {
        List<DialKey> own = shot.tracks().dials().getOrDefault(dial.id(), List.of());
        if (to >= shot.frames() || own.isEmpty()) {
            return;
        }
        DialKey last = keys.get(keys.size() - 1);
        if (last.way() instanceof Way.Even) {
            // not on the way back already while it is still played
            keys.set(keys.size() - 1, new DialKey(last.frame(), last.value(), Way.HOLD));
        }
        Way way = Way.HOLD;
        for (DialKey k : own) {
            way = k.frame() <= to ? k.way() : way;
        }
        keys.add(new DialKey(to - from, rounded(standing(dial, to)), way));
    }

    private double standing(Dial dial, int frame) {
        double[] values = playhead.valuesOf(dial.id());
        return values.length == 0 ? dial.rest() : values[Math.min(values.length - 1, frame)];
    }

    /** Between two samples a dial went evenly when they are near, and stood still when they are not, or when it only exchanges. */
    private double valueAt(List<LiveSample> samples, double moment, boolean straight) {
        int low = 0;
        int high = samples.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (samples.get(middle).frame() <= moment) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        LiveSample before = samples.get(Math.max(0, low - 1));
        if (straight || low == 0 || low == samples.size()) {
            return before.value();
        }
        LiveSample after = samples.get(low);
        double gap = after.frame() - before.frame();
        boolean near = gap <= NEAR * shot.rules().frameRate();
        return near && gap > 0
                ? before.value() + (after.value() - before.value()) * (moment - before.frame()) / gap
                : before.value();
    }

    private List<HeldDrawing> held(String part, List<LivePick> picks) {
        List<HeldDrawing> all = new ArrayList<>();
        double late = settings.latency() * shot.rules().frameRate();
        for (HeldDrawing own : shot.tracks().drawings().getOrDefault(part, List.of())) {
            int touched = frame(picks.get(0).frame() - late);
            int first = Math.max(own.from(), from);
            int end = Math.min(own.to(), Math.max(touched, from));
            if (first < end) {
                all.add(new HeldDrawing(first - from, end - from, own.drawing(), first == own.from() ? own.in() : 0));
            }
            // and the frame behind the take that the strip reaches to
            if (to < from + length() && own.from() <= to && to < own.to()) {
                all.add(new HeldDrawing(to - from, to - from + 1, own.drawing()));
            }
        }
        for (int i = 0; i < picks.size(); i++) {
            int first = Math.max(from, frame(picks.get(i).frame() - late));
            int end = i + 1 < picks.size() ? frame(picks.get(i + 1).frame() - late) : to;
            if (!picks.get(i).drawing().isEmpty() && first < Math.min(end, to)) {
                all.add(new HeldDrawing(
                        first - from, Math.min(end, to) - from, picks.get(i).drawing()));
            }
        }
        return all;
    }

    /** Looks of the take, with those that begin in its stretch and that the hand did not touch. Empty when it touched none. */
    private List<LookSpan> looks() {
        List<LookSpan> all = new ArrayList<>();
        double late = settings.latency() * shot.rules().frameRate();
        take.looks().forEach((look, samples) -> {
            for (int i = 0; i < samples.size(); ) {
                int begins = Math.max(from, frame(samples.get(i).frame() - late));
                double strength = 0;
                // a look that is made stronger or weaker is one, as strong as it was made
                while (i < samples.size() && samples.get(i).value() != 0) {
                    strength = Math.abs(samples.get(i).value()) > Math.abs(strength)
                            ? samples.get(i).value()
                            : strength;
                    i++;
                }
                int ends =
                        i < samples.size() ? Math.min(to, frame(samples.get(i).frame() - late)) : to;
                i++;
                if (strength != 0 && begins < ends) {
                    double held = Math.max(-LookSpan.STRONGEST, Math.min(LookSpan.STRONGEST, strength));
                    int comes = Math.min(COMES, (ends - begins) / 2);
                    all.add(new LookSpan(begins - from, ends - from, look, comes, comes, rounded(held)));
                }
            }
        });
        if (!all.isEmpty()) {
            shot.tracks().looks().stream()
                    .filter(l -> l.from() >= from && l.from() < from + length())
                    .filter(l -> !take.looks().containsKey(l.look()))
                    .map(l -> new LookSpan(
                            l.from() - from, l.to() - from, l.look(), l.in(), l.out(), l.strength(), l.laid()))
                    .forEach(all::add);
        }
        return all;
    }

    /** Cues that were set going, with those of the shot that begin in the take's stretch. Empty when none was. */
    private List<CuePlacement> cues() {
        List<CuePlacement> played = new ArrayList<>();
        double late = settings.latency() * shot.rules().frameRate();
        take.cues().forEach((cue, moments) -> {
            if (playhead.evaluator().character().library().cues().stream().noneMatch(c -> c.id().equals(cue))) {
                return;
            }
            for (double moment : moments) {
                int frame = Math.max(from, frame(moment - late));
                if (frame < to
                        && played.stream()
                                .noneMatch(p ->
                                        p.frame() == frame - from && p.cue().equals(cue))) {
                    played.add(new CuePlacement(frame - from, cue));
                }
            }
        });
        if (!played.isEmpty()) {
            shot.tracks().cues().stream()
                    .filter(c -> c.frame() >= from && c.frame() < from + length())
                    .map(c -> c.at(c.frame() - from, c.frames()))
                    .forEach(played::add);
        }
        return played;
    }

    /** The exposure that shows what was done at a moment. */
    private int frame(double moment) {
        return Math.max(0, (int) Math.round(moment / exposure) * exposure);
    }

    private static double rounded(double value) {
        return Math.round(value * 1e4) / 1e4;
    }
}
