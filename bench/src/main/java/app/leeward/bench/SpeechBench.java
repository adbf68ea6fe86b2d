package app.leeward.bench;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthRequest;
import app.leeward.core.mouth.MouthSolver;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.demo.DemoFiles;
import app.leeward.speech.LineReader;
import app.leeward.speech.Sound;
import app.leeward.speech.Speaker;
import app.leeward.speech.SpoiltLine;
import app.leeward.speech.WavFile;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A mouth track for 60 s of speech with 17 mouths; alignment of the demo's first line (4.1 s of sound). */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class SpeechBench {
    private final MouthChart chart = chart();
    private final List<TimedPhone> minute = minute();
    private static final String TWENTY = "Good morning everybody, the six forty boat to Sorrel is ready"
            + " at the far pier, so mind the ropes please.";

    private final LineReader reader = new LineReader();
    private final Speaker speaker = new Speaker(reader);
    private final Evaluator maren = new Evaluator(Faces.maren());
    private final DemoFiles.Line line = DemoFiles.lines().get(0);
    private final Sound sound = WavFile.read(line.wav());

    private final DialogueLine spoilt = SpoiltLine.of(reader.read(line.words(), sound, "h", Lexicon.EMPTY), 4);

    private static MouthChart chart() {
        Map<Viseme, String> drawn = new EnumMap<>(Viseme.class);
        for (Viseme v : Viseme.values()) {
            drawn.put(v, v.name());
        }
        return new MouthChart(Optional.of("mouth"), drawn);
    }

    private static List<TimedPhone> minute() {
        Random random = new Random(1);
        List<TimedPhone> out = new ArrayList<>();
        for (double t = 0.1; t < 59.8; ) {
            double end = t + 0.04 + random.nextDouble() * 0.08;
            out.add(new TimedPhone(Phone.values()[random.nextInt(39)], t, end));
            t = end + (random.nextInt(20) == 0 ? 0.4 : 0);
        }
        return out;
    }

    @Benchmark
    public MouthTrack mouthTrackOfAMinute() {
        return MouthSolver.solve(new MouthRequest(chart, minute, 60, TrackRules.at(24), Map.of()));
    }

    /** Twenty words typed on the Mouths bench: their sounds, the mouths and the face of every frame. */
    @Benchmark
    public List<Frame> sayTwentyWords() {
        DialogueLine said = speaker.say(TWENTY, 1, Lexicon.EMPTY).line();
        Shot shot = new Shot("said", said, TrackRules.at(24), Map.of());
        Playhead playhead = new Playhead(maren, shot);
        return IntStream.range(0, shot.frames())
                .mapToObj(f -> playhead.frameAt(f, Pose.REST))
                .toList();
    }

    @Benchmark
    public DialogueLine alignTheFirstDemoLine() {
        return reader.read(line.words(), sound, "h", Lexicon.EMPTY);
    }

    /** One word of the first demo line, whose sounds were elsewhere, listened for again. */
    @Benchmark
    public DialogueLine listenForAWordAgain() {
        TimedWord word = spoilt.words().get(4);
        return reader.again(spoilt, word.start(), word.end(), sound, Lexicon.EMPTY);
    }
}
