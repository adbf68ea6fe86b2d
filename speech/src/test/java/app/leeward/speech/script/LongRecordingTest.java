package app.leeward.speech.script;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.TimedPhone;
import app.leeward.speech.Flite;
import app.leeward.speech.LineReader;
import app.leeward.speech.Listening;
import app.leeward.speech.Sound;
import app.leeward.speech.SoundFile;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.WavFile;
import app.leeward.speech.acoustic.ScriptFinder;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A recording with its script is cut into lines; where each is said is what flite says about its own speech. */
class LongRecordingTest {
    private static final int RATE = 16_000;
    private static final String CHATTER = "Wait a minute, can we try that once again please";

    private final List<float[]> parts = new ArrayList<>();
    private final List<String> script = new ArrayList<>();
    private final List<Optional<ScriptLine.Times>> truth = new ArrayList<>();
    private int samples;

    private void add(float[] x) {
        parts.add(x);
        samples += x.length;
    }

    private void say(String words, boolean written) throws Exception {
        Flite.Said said = Flite.say("slt", words);
        List<TimedPhone> phones = said.phones();
        double from = (double) samples / RATE;
        if (written) {
            script.add(words);
            truth.add(Optional.of(new ScriptLine.Times(
                    from + phones.get(0).start(),
                    from + phones.get(phones.size() - 1).end())));
        }
        add(WavFile.read(said.wav()).at(RATE).samples());
        add(new float[RATE * 3 / 4]);
    }

    private Sound made(double noise) {
        float[] all = new float[samples];
        int at = 0;
        Random random = new Random(5);
        for (float[] p : parts) {
            System.arraycopy(p, 0, all, at, p.length);
            at += p.length;
        }
        for (int i = 0; i < all.length; i++) {
            all[i] += (float) (random.nextGaussian() * noise);
        }
        return new Sound(RATE, all);
    }

    private void aMorningsWork() throws Exception {
        say("The ferry leaves at seven, so pack your bags before supper.", true);
        say("Bring me my umbrella, Billy, it looks like rain over the bay.", true);
        say(CHATTER, false);
        say("Every summer my father painted the shed a brighter blue.", true);
        script.add("Who put pepper in the porridge this morning?");
        truth.add(Optional.empty());
        say("Move the barrel away from the pump and fetch the hammer.", true);
        say("Yes.", true);
        say("Five brave fishermen vanished beyond the foggy point.", true);
        say("The baker baked a batch of brown bread for the village fair.", true);
        say(CHATTER, false);
        say("Maybe we should warm the milk before the baby wakes up.", true);
        say("Forget the map, follow the river from the bridge to the mill.", true);
        say("Please remember that the post office opens at half past eight.", true);
        say("Their boat was built of maple, beech and a bit of oak.", true);
        say("Never leave a puppy alone with a plate of beef.", true);
        say("The captain whistled, waved his cap and vanished below.", true);
        say("Both of my brothers play the trumpet rather badly.", true);
    }

    private static SoundPieces pieces(Sound sound) {
        List<byte[]> wavs = new ArrayList<>();
        List<Double> seconds = new ArrayList<>();
        for (double at = 0; at < sound.seconds(); at += 10) {
            Sound part = sound.part(at, at + 10);
            wavs.add(WavFile.write(part));
            seconds.add(part.seconds());
        }
        return new SoundPieces(seconds, wavs::get);
    }

    private void isCutRightly(double noise) throws Exception {
        aMorningsWork();
        SoundPieces recording = pieces(made(noise));
        List<ScriptFinder.Found> found =
                new LineReader().find(script, recording, Lexicon.EMPTY, false, Listening.ALONE);
        List<Integer> said = new ArrayList<>();
        for (int i = 0; i < truth.size(); i++) {
            if (truth.get(i).isPresent()) {
                said.add(i);
            }
        }
        assertThat(found).extracting(ScriptFinder.Found::line).isEqualTo(said);
        List<CutPlaces.Cut> cuts = CutPlaces.around(found, recording);
        for (int i = 0; i < cuts.size(); i++) {
            ScriptLine.Times is = truth.get(cuts.get(i).line()).orElseThrow();
            assertThat(cuts.get(i).from())
                    .as(script.get(cuts.get(i).line()))
                    .isLessThanOrEqualTo(is.from() + 0.02)
                    .isGreaterThan(is.from() - 0.8);
            assertThat(cuts.get(i).to())
                    .as(script.get(cuts.get(i).line()))
                    .isGreaterThanOrEqualTo(is.to() - 0.05)
                    .isLessThan(is.to() + 0.8);
        }
    }

    @Test
    void linesAreFoundWhatIsNotWrittenIsPassedOverAndWhatIsNotSaidLeftOut() throws Exception {
        isCutRightly(0);
    }

    @Test
    void soTheyAreInNoise() throws Exception {
        isCutRightly(0.012);
    }

    @Test
    void aLongSilenceBeforeTheFirstLineTeachesNothing() throws Exception {
        // a muted track, and then a room in which nobody speaks yet
        add(new float[RATE * 35]);
        float[] room = new float[RATE * 30];
        Random random = new Random(6);
        for (int i = 0; i < room.length; i++) {
            room[i] = (float) (0.002 * random.nextGaussian());
        }
        add(room);
        isCutRightly(0);
    }

    @Test
    void nothingIsFoundWhereNothingIsSaid() {
        add(new float[RATE * 50]);
        script.add("The ferry leaves at seven, so pack your bags before supper.");
        assertThat(new LineReader().find(script, pieces(made(0)), Lexicon.EMPTY, false, Listening.ALONE))
                .isEmpty();
    }

    @Test
    void byTimesThatAreALittleOffItIsCutInTheQuiet() throws Exception {
        aMorningsWork();
        Sound sound = made(0);
        List<ScriptLine.Times> times = truth.stream()
                .flatMap(Optional::stream)
                .map(t -> new ScriptLine.Times(t.from() + 0.15, t.to() - 0.2))
                .toList();
        List<CutPlaces.Cut> cuts = CutPlaces.byTimes(times, pieces(sound), Listening.ALONE);
        assertThat(cuts).hasSameSizeAs(times);
        for (CutPlaces.Cut c : cuts) {
            ScriptLine.Times is = times.get(c.line());
            assertThat(c.from()).isBetween(is.from() - 0.65, is.from() - 0.1);
            assertThat(c.to()).isBetween(is.to() + 0.1, is.to() + 0.65);
        }
        // beyond the recording there is nothing to cut
        assertThat(CutPlaces.byTimes(List.of(new ScriptLine.Times(4000, 4001)), pieces(sound), Listening.ALONE))
                .isEmpty();
    }

    @Test
    void piecesGiveTheVerySamplesOfTheWhole() throws Exception {
        say("The ferry leaves at seven, so pack your bags before supper.", true);
        add(new float[RATE * 25]);
        say("Yes.", true);
        Sound sound = WavFile.read(WavFile.write(made(0)));
        SoundPieces pieces = pieces(sound);
        assertThat(pieces.seconds()).isCloseTo(sound.seconds(), within(1e-9));
        for (double[] span : new double[][] {{0, 1}, {9.5, 10.5}, {3, 29}, {-1, 2}, {25, 400}}) {
            assertThat(pieces.part(span[0], span[1]).samples())
                    .as("%s", (Object) span)
                    .isEqualTo(sound.part(span[0], Math.min(span[1], sound.seconds()))
                            .samples());
        }
    }

    @Test
    void aFileIsSplitWithoutLosingASample(@TempDir Path folder) throws Exception {
        aMorningsWork();
        Sound sound = made(0);
        Path file = folder.resolve("take.wav");
        Files.write(file, WavFile.write(sound));
        Path out = Files.createDirectory(folder.resolve("out"));
        List<Path> split = new SoundFile().split(file, out);
        assertThat(split).hasSizeGreaterThan(3);
        List<Double> seconds =
                split.stream().map(p -> WavFile.readPart(bytes(p)).seconds()).toList();
        SoundPieces pieces = new SoundPieces(seconds, i -> bytes(split.get(i)));
        assertThat(pieces.part(0, pieces.seconds()).samples())
                .isEqualTo(WavFile.read(WavFile.write(sound)).samples());
    }

    private static byte[] bytes(Path file) {
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void whatIsNoRecordingOrTooLongIsRefused(@TempDir Path folder) throws Exception {
        Path text = Files.writeString(folder.resolve("a.txt"), "no sound at all");
        assertThatThrownBy(() -> new SoundFile().split(text, folder))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("wav-not"));
        Path broken = Files.write(
                folder.resolve("b.flac"), new byte[] {'f', 'L', 'a', 'C', 0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11});
        assertThatThrownBy(() -> new SoundFile().split(broken, Files.createDirectory(folder.resolve("b"))))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("sound-broken"));
        Path hour = Files.write(folder.resolve("c.wav"), WavFile.write(new Sound(8000, new float[8000 * 3615])));
        assertThatThrownBy(() -> new SoundFile().split(hour, Files.createDirectory(folder.resolve("c"))))
                .isInstanceOfSatisfying(
                        SpeechProblem.class, p -> assertThat(p.code()).isEqualTo("sound-long"));
    }

    @Test
    void everyTakeOfALineIsToldWhereThatIsAsked() throws Exception {
        String ferry = "The ferry leaves at seven, so pack your bags before supper.";
        String umbrella = "Bring me my umbrella, Billy, it looks like rain over the bay.";
        say(ferry, true);
        double second = (double) samples / RATE;
        say(ferry, false);
        say(CHATTER, false);
        // a beginning that was broken off is no take
        say("Bring me my umbrella", false);
        double first = (double) samples / RATE;
        say(umbrella, false);
        say(umbrella, true);
        say("Yes.", false);
        say("Yes.", true);
        say("Every summer my father painted the shed a brighter blue.", true);
        SoundPieces recording = pieces(made(0.003));
        LineReader reader = new LineReader();
        assertThat(reader.find(script, recording, Lexicon.EMPTY, false, Listening.ALONE))
                .extracting(ScriptFinder.Found::line)
                .containsExactly(0, 1, 2, 3);
        List<Double> told = new ArrayList<>();
        List<ScriptFinder.Found> all = reader.find(script, recording, Lexicon.EMPTY, true, told::add);
        // so short a line as "Yes." is heard in anything, and told once
        assertThat(all).extracting(ScriptFinder.Found::line).containsExactly(0, 0, 1, 1, 2, 3);
        assertThat(all.get(1).from()).isBetween(second, second + 0.5);
        assertThat(all.get(2).from()).isBetween(first, first + 0.5);
        assertThat(told).isSorted();
        assertThat(CutPlaces.around(all, recording)).allMatch(c -> c.to() > c.from());
    }
}
