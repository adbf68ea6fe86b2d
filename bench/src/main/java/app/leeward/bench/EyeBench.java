package app.leeward.bench;

import app.leeward.core.art.Point;
import app.leeward.core.eye.EyeCheck;
import app.leeward.core.eye.EyeFinding;
import app.leeward.core.eye.GazeField;
import app.leeward.core.intake.Assembler;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.util.List;
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

/** The gaze field of Maren's two eyes, and everything that is checked about them: 9 looks at 5 turns, shut and open. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class EyeBench {
    private final Character maren = maren();

    private static Character maren() {
        LayeredArt art = ArtReader.read(DemoFiles.maren());
        return ((IntakeResult.Hung) Assembler.assemble("Maren", art.canvas(), 24, art.root(), art.notes())).character();
    }

    @Benchmark
    public List<Point> gazeField() {
        return GazeField.of(maren, Pose.REST);
    }

    @Benchmark
    public List<EyeFinding> eyeCheck() {
        return EyeCheck.of(maren);
    }
}
