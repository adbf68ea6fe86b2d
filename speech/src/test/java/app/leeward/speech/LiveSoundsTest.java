package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.speech.Phone;
import app.leeward.speech.acoustic.LiveSounds;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A voice that is listened to while it speaks. */
class LiveSoundsTest {
    private static final LineReader READER = new LineReader();
    private static final List<String> SAID = List.of(
            "Please put the brown bag on the table before you leave.",
            "My father has moved the five old boats far away.",
            "She should choose a warm room with a good view.");

    /** Truth: the times flite prints of what it speaks. */
    @Test
    void mostFramesShowTheMouthThatIsSaid() throws Exception {
        for (String voice : List.of("slt", "rms", "awb")) {
            LiveTally tally = new LiveTally();
            for (String words : SAID) {
                Flite.Said said = Flite.say(voice, words);
                tally.add(READER.live(), said, WavFile.read(said.wav()), 0.02);
            }
            assertThat(tally.share()).as(tally.figures(voice)).isGreaterThan(0.55);
            assertThat(tally.behind()).as(tally.figures(voice)).isLessThanOrEqualTo(180);
        }
    }

    @Test
    void itIsTheSameHoweverItIsCutIntoPieces() throws Exception {
        Sound sound = WavFile.read(Flite.say("slt", SAID.get(0)).wav()).at(LiveSounds.RATE);
        List<LiveSounds.Heard> whole = heard(sound, sound.samples().length);
        assertThat(whole).hasSizeGreaterThan(20);
        assertThat(heard(sound, 480)).isEqualTo(whole);
        assertThat(heard(sound, 1013)).isEqualTo(whole);
        assertThat(heard(sound, 97)).isEqualTo(whole);
    }

    @Test
    void aQuietMicrophoneIsHeardAsWell() throws Exception {
        Flite.Said said = Flite.say("slt", SAID.get(1));
        Sound sound = WavFile.read(said.wav());
        float[] quiet = sound.samples().clone();
        for (int i = 0; i < quiet.length; i++) {
            quiet[i] *= 0.1f;
        }
        LiveTally tally = new LiveTally();
        tally.add(READER.live(), said, new Sound(sound.rate(), quiet), 0.02);
        assertThat(tally.share()).as(tally.figures("quiet")).isGreaterThan(0.5);
    }

    @Test
    void nobodySpeaksInSilenceAndInFaintNoise() {
        assertThat(heard(new Sound(LiveSounds.RATE, new float[48_000]), 800)).isEmpty();
        Random random = new Random(3);
        float[] noise = new float[48_000];
        for (int i = 0; i < noise.length; i++) {
            noise[i] = (float) (random.nextGaussian() * 0.0005);
        }
        List<LiveSounds.Heard> heard = heard(new Sound(LiveSounds.RATE, noise), 800);
        assertThat(heard.stream().map(LiveSounds.Heard::phone).flatMap(Optional::stream))
                .isEmpty();
    }

    @Test
    void soundsComeInTheirOrderAndEachOnce() throws Exception {
        Sound sound = WavFile.read(Flite.say("rms", SAID.get(2)).wav()).at(LiveSounds.RATE);
        double before = 0;
        Optional<Phone> last = Optional.empty();
        for (LiveSounds.Heard h : heard(sound, 320)) {
            assertThat(h.seconds()).isGreaterThan(before).isLessThan(sound.seconds());
            assertThat(h.phone()).isNotEqualTo(last);
            before = h.seconds();
            last = h.phone();
        }
        assertThat(before).isGreaterThan(1);
    }

    /** Reference: the whole sound at once, which other tests hold against sines. */
    @Test
    void aStreamIsResampledAsTheWhole() throws Exception {
        Sound sound = WavFile.read(Flite.say("slt", SAID.get(0)).wav());
        for (int rate : List.of(8_000, 11_025, 16_000, 44_100, 48_000)) {
            Sound in = sound.at(rate);
            float[] whole = in.at(LiveSounds.RATE).samples();
            StreamedSound stream = new StreamedSound(rate, LiveSounds.RATE);
            Random random = new Random(rate);
            float[] out = new float[whole.length + 1000];
            int made = 0;
            for (int at = 0; at < in.samples().length; ) {
                int to = Math.min(in.samples().length, at + random.nextInt(2000));
                float[] next = stream.next(Arrays.copyOfRange(in.samples(), at, to));
                System.arraycopy(next, 0, out, made, next.length);
                made += next.length;
                at = to;
            }
            assertThat(made).isBetween(whole.length - 40, whole.length);
            for (int i = 0; i < made; i++) {
                assertThat(out[i]).as("%d Hz, %d", rate, i).isEqualTo(whole[i]);
            }
        }
    }

    private static List<LiveSounds.Heard> heard(Sound sound, int piece) {
        LiveSounds listening = READER.live();
        List<LiveSounds.Heard> out = new ArrayList<>();
        for (int at = 0; at < sound.samples().length; at += piece) {
            out.addAll(listening.hears(
                    Arrays.copyOfRange(sound.samples(), at, Math.min(sound.samples().length, at + piece))));
        }
        return out;
    }
}
