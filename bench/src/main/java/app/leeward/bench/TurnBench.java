package app.leeward.bench;

import app.leeward.core.dial.Dial;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.eval.Asymmetry;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Pose;
import app.leeward.core.turn.HeadDial;
import app.leeward.core.turn.TurnCheck;
import app.leeward.core.turn.TurnMaker;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

/** Maren's head turn made from its solids, its film strip of 25 pictures as frames, and what it hides and uncovers. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class TurnBench {
    private static final int PICTURES = 25;

    private final Character maren = Faces.after(Faces.maren(), List.of(new MakeHeadDial(HeadDial.NOD)));
    private final Character large = LargeHead.of(60, 20_000);
    private final Dial turn = maren.dial(TurnMaker.DIAL).orElseThrow();
    private final HeadShape shape = maren.controls().turn().orElseThrow().shape();

    @Benchmark
    public Character turnMade() {
        return TurnMaker.make(maren, shape);
    }

    /** The solids of a head of 60 pieces with 20,000 points, and its turn. */
    @Benchmark
    public Character turnOfManyPointsMade() {
        return TurnMaker.make(large, shape);
    }

    @Benchmark
    public List<Frame> filmStrip() {
        Evaluator evaluator = new Evaluator(maren);
        return places().stream()
                .map(at -> evaluator.frame(Pose.of(Map.of(turn.id(), at))))
                .toList();
    }

    @Benchmark
    public List<TurnCheck.Position> hiddenAndUncovered() {
        return TurnCheck.of(maren, places());
    }

    @Benchmark
    public Optional<Asymmetry> halvesCompared() {
        return Asymmetry.of(maren, turn);
    }

    private List<Double> places() {
        List<Double> at = new ArrayList<>();
        for (int i = 0; i < PICTURES; i++) {
            at.add(turn.from() + (turn.to() - turn.from()) * i / (PICTURES - 1));
        }
        return at;
    }
}
