package app.leeward.bench;

import app.leeward.core.art.Point;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.EyeCheck;
import app.leeward.core.eye.EyeFinding;
import app.leeward.core.eye.GazeField;
import app.leeward.core.eye.ReadyMade;
import app.leeward.core.eye.WorstCases;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
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

/**
 * The gaze field of Maren's two eyes, everything that is checked about them (9 looks at 5 turns with 5 lid positions, shut
 * and open), and the worst of all pairs of her dials.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class EyeBench {
    private final Character maren = Faces.maren();
    private final Character rigged = rigged(maren);

    /** With the dials that move lids besides the blink, and with looks. */
    private static Character rigged(Character c) {
        return Faces.after(
                c,
                List.of(
                        new MakeDial(ReadyMade.SQUINT),
                        new MakeDial(ReadyMade.CONVERGENCE),
                        new MakeDial(ReadyMade.PUPIL_SIZE),
                        new MakeDial(ReadyMade.UPPER_LIDS),
                        new MakeDial(ReadyMade.LOWER_LIDS),
                        new MakeLooks()));
    }

    @Benchmark
    public List<Point> gazeField() {
        return GazeField.of(maren, Pose.REST);
    }

    /** An edit that measures the field anew, at rest and along every dial that narrows or turns the eyes. */
    @Benchmark
    public Outcome whiteMoved() {
        return Edits.apply(rigged, new Nudge("eye-white-left", 1, 0));
    }

    @Benchmark
    public List<EyeFinding> eyeCheck() {
        return EyeCheck.of(rigged);
    }

    @Benchmark
    public List<WorstCases.Case> worstOfAllPairs() {
        return WorstCases.of(rigged, 6);
    }

    /** Every look as a frame: what the contact sheet asks for. */
    @Benchmark
    public List<Frame> looks() {
        Evaluator evaluator = new Evaluator(rigged);
        return rigged.library().looks().stream()
                .map(l -> evaluator.frame(Pose.REST.withLooks(Map.of(l.id(), 1.0))))
                .toList();
    }
}
