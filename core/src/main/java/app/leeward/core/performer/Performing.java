package app.leeward.core.performer;

import app.leeward.core.signal.Driven;
import app.leeward.core.signal.OneEuroFilter;
import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalLink;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A performer at a moment: each signal from its neutral pose, smoothed, and how much of the performer is there.
 *
 * @param at seconds; when it was last listened to
 * @param heard seconds; when it last said anything
 * @param signals by how much each is away from neutral, in its unit; those never told are left out
 * @param smoothed what the filter knows of each
 * @param there 1 while the performer is there, 0 when it has been eased to rest
 * @param shut which lids are shut, by what drives them
 * @param lids how far they are on their way, 0 to 1
 */
public record Performing(
        double at,
        double heard,
        Map<Signal, Double> signals,
        Map<Signal, OneEuroFilter.State> smoothed,
        double there,
        Map<Driven, Boolean> shut,
        Map<Driven, Double> lids) {
    /** Seconds a lost performer is held before it eases to rest, that it takes to ease, and to come back. By rule of thumb. */
    public static final double HOLDS = 0.5;

    public static final double EASES = 0.7;
    public static final double RETURNS = 0.25;

    /** A lid falls in 0.08 s and rises in 0.12 s: two and three frames at 24 a second. Common practice, no source. */
    private static final double FALLS = 0.08;

    private static final double RISES = 0.12;

    /** Share of a blink at which a lid falls, and below which it rises again: a trembling lid does not flutter. */
    private static final double SHUTS = 0.5;

    private static final double OPENS = 0.35;

    /** Seconds between two moments that are counted as they are; a page that slept is not caught up with. */
    private static final double LONGEST_STEP = 0.25;

    /** Nobody yet. */
    public static final Performing NOBODY = new Performing(
            Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Map.of(), Map.of(), 0, Map.of(), Map.of());

    /** What the performer says now. A sample from before the last one is left out: they may overtake each other on the way. */
    public Performing hears(PerformerSample sample, PerformerSettings settings) {
        if (sample.at() < heard) {
            return this;
        }
        Map<Signal, Double> now = new EnumMap<>(Signal.class);
        now.putAll(signals);
        Map<Signal, OneEuroFilter.State> filters = new EnumMap<>(Signal.class);
        filters.putAll(smoothed);
        // away for longer than it is held: what it did before says nothing of what it does now
        boolean anew = there == 0 || sample.at() - heard > HOLDS;
        sample.signals().forEach((signal, told) -> {
            double range = signal.to() - signal.from();
            double share = (told - settings.neutral().getOrDefault(signal, 0.0)) / range;
            if (settings.smoothing().isPresent()) {
                OneEuroFilter filter = settings.smoothing().get();
                OneEuroFilter.State before = anew ? null : filters.get(signal);
                OneEuroFilter.State next = before == null
                        ? OneEuroFilter.State.at(share)
                        : filter.next(before, share, 1 / Math.max(1e-3, sample.at() - heard));
                filters.put(signal, next);
                share = next.value();
            }
            double away = share * range;
            now.put(signal, settings.mirrored() ? signal.mirrored(away) : away);
        });
        double step = step(sample.at());
        double back = there == 0 && heard == Double.NEGATIVE_INFINITY ? 1 : Math.min(1, there + step / RETURNS);
        return new Performing(
                sample.at(),
                sample.at(),
                Collections.unmodifiableMap(now),
                Collections.unmodifiableMap(filters),
                back,
                shut,
                lids);
    }

    /** Seconds without a word, when there are none. */
    public double lostFor(double now) {
        return heard == Double.NEGATIVE_INFINITY ? Double.POSITIVE_INFINITY : Math.max(0, now - heard);
    }

    /** The same a moment later, without a word: held, then eased to rest when the settings say so. */
    public Performing waits(double now, PerformerSettings settings) {
        double step = step(now);
        boolean goes = !settings.holds() && lostFor(now) > HOLDS;
        double left = goes ? Math.max(0, there - step / EASES) : there;
        return new Performing(Math.max(at, now), heard, signals, smoothed, left, shut, lids);
    }

    private double step(double now) {
        return at == Double.NEGATIVE_INFINITY ? 0 : Math.min(LONGEST_STEP, Math.max(0, now - at));
    }

    /**
     * The same with its lids moved on, by what the links say of them.
     *
     * @param seconds since they were last moved
     */
    public Performing blinks(List<SignalLink> links, Map<Driven, Target> targets, double seconds) {
        Map<Driven, Double> asked = new LinkedHashMap<>();
        for (SignalLink link : links) {
            Target target = targets.get(link.drives());
            if (target != null && target.shuts()) {
                asked.merge(link.drives(), share(link) * link.by(), Double::sum);
            }
        }
        Map<Driven, Boolean> shutNow = new LinkedHashMap<>();
        Map<Driven, Double> lidsNow = new LinkedHashMap<>();
        asked.forEach((what, value) -> {
            boolean was = shut.getOrDefault(what, false);
            boolean is = there > 0.5 && (was ? value >= OPENS : value >= SHUTS);
            double lid = lids.getOrDefault(what, 0.0);
            lid = is ? Math.min(1, lid + seconds / FALLS) : Math.max(0, lid - seconds / RISES);
            shutNow.put(what, is);
            lidsNow.put(what, lid);
        });
        return new Performing(at, heard, signals, smoothed, there, shutNow, lidsNow);
    }

    /** Where all that is driven stands now. */
    public Map<Driven, Double> drives(List<SignalLink> links, Map<Driven, Target> targets) {
        Map<Driven, Double> away = new LinkedHashMap<>();
        Map<Driven, double[]> limits = new LinkedHashMap<>();
        for (SignalLink link : links) {
            Target target = targets.get(link.drives());
            if (target == null || !signals.containsKey(link.signal())) {
                continue;
            }
            away.merge(link.drives(), target.shuts() ? 0 : moved(link, target), Double::sum);
            double[] own = limits.computeIfAbsent(
                    link.drives(), d -> new double[] {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY});
            own[0] = Math.min(own[0], link.least());
            own[1] = Math.max(own[1], link.most());
        }
        Map<Driven, Double> all = new LinkedHashMap<>();
        double present = there * there * (3 - 2 * there);
        away.forEach((what, by) -> {
            Target target = targets.get(what);
            double[] own = limits.get(what);
            double to = target.shuts()
                    ? target.rest() + lids.getOrDefault(what, 0.0) * (target.to() - target.rest())
                    : target.rest() + by * present;
            double held = Math.min(own[1], Math.max(own[0], to));
            // limits may lie outside a range that was made narrower since
            all.put(what, Math.min(target.to(), Math.max(target.from(), held)));
        });
        return all;
    }

    private double moved(SignalLink link, Target target) {
        double value = signals.get(link.signal());
        if (target.degrees() && link.signal().unit().equals("°")) {
            return value * link.by();
        }
        double share = share(link) * link.by();
        return share * (share >= 0 ? target.to() - target.rest() : target.rest() - target.from());
    }

    /** How far a signal is from neutral: 1 as far as it goes from the middle of its range, or from 0. */
    private double share(SignalLink link) {
        return signals.getOrDefault(link.signal(), 0.0) / link.signal().to();
    }
}
