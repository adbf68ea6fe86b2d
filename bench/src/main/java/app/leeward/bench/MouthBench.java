package app.leeward.bench;

import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.SetMood;
import app.leeward.core.lips.MouthFinding;
import app.leeward.core.lips.MouthSet;
import app.leeward.core.lips.OnModel;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Map;
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

/** Maren's whole set of 17 mouths made from one, the same in three moods, and all 51 measured against their model. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class MouthBench {
    private final Character maren = Faces.maren();
    private final Character moody = Faces.after(
            maren,
            List.of(
                    new MakeMouths("", null, null, true, List.of(Viseme.values())),
                    new SetMood("", "Happy", 0.8, 0.1),
                    new SetMood("", "Sad", -0.8, 0)));

    @Benchmark
    public List<MouthSet.Made> wholeSet() {
        return MouthSet.preview(maren, MouthRulers.AS_ASKED, Map.of());
    }

    @Benchmark
    public List<MouthSet.Made> threeMoods() {
        return MouthSet.preview(moody, MouthRulers.AS_ASKED, Map.of());
    }

    @Benchmark
    public List<MouthFinding> onModel() {
        return OnModel.of(moody);
    }
}
