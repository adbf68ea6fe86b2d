package app.leeward.bench;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import java.awt.geom.AffineTransform;
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

/** A full pose of 60 parts under 12 dials, beside the bare matrix products of those parts by the JDK. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class PoseBench {
    private final Character rig = SixtyParts.rig();
    private final Evaluator evaluator = new Evaluator(rig);
    private final Pose pose = SixtyParts.pose();
    private final List<Part> parts = rig.rig().parts();

    /** What the budget compares with: six products a part in the JDK, from its parent's matrix. */
    @Benchmark
    public AffineTransform[] bareMatrixProducts() {
        AffineTransform[] all = new AffineTransform[parts.size()];
        for (int i = 0; i < all.length; i++) {
            AffineTransform m = i == 0 ? new AffineTransform() : new AffineTransform(all[(i - 1) / 3]);
            double px = parts.get(i).pivot().x();
            double py = parts.get(i).pivot().y();
            m.translate(i, -i);
            m.translate(px, py);
            m.rotate(0.1 + i);
            m.shear(0.05, 0);
            m.scale(0.9, 1);
            m.translate(-px, -py);
            all[i] = m;
        }
        return all;
    }

    @Benchmark
    public Frame pose() {
        return evaluator.frame(pose);
    }

    /** The frames of one dial over its range, as a drag asks for them. */
    @Benchmark
    public int sweepOf121() {
        int placed = 0;
        for (int i = 0; i < 121; i++) {
            placed += evaluator.frame(pose.withDial("d0", -60 + i)).placed().size();
        }
        return placed;
    }
}
