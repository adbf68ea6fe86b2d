package app.leeward.bench;

import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.live.LiveReduction;
import app.leeward.core.live.LiveSample;
import app.leeward.core.live.LiveSettings;
import app.leeward.core.live.LiveTake;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.signal.OneEuroFilter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A minute of twelve dials played live, sixty samples a second each, reduced to keys. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class LiveBench {
    private static final int SECONDS = 60;

    private final Playhead playhead =
            new Playhead(new Evaluator(Faces.maren()), Shot.silent("minute", TrackRules.at(24), 24 * SECONDS));
    private final LiveTake take = take();

    private LiveTake take() {
        Random r = new Random(5);
        Map<String, List<LiveSample>> dials = new TreeMap<>();
        for (Dial d : playhead.evaluator().character().controls().dials()) {
            if (dials.size() == 12) {
                break;
            }
            List<LiveSample> samples = new ArrayList<>();
            double value = d.rest();
            double speed = 0;
            for (int i = 0; i < SECONDS * 60; i++) {
                speed = 0.9 * speed + 0.02 * (d.to() - d.from()) * r.nextGaussian();
                value = d.hold(value + speed);
                samples.add(new LiveSample(i * 0.4, value));
            }
            dials.put(d.id(), samples);
        }
        return new LiveTake(0, 24 * SECONDS, dials, Map.of(), Map.of());
    }

    @Benchmark
    public ActingEdit reduceAMinuteOfTwelveDials() {
        return LiveReduction.edit(playhead, take, new LiveSettings(0.01, 0, Optional.of(new OneEuroFilter(3, 0.05))));
    }
}
