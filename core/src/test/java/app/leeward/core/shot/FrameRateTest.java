package app.leeward.core.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Refused;
import app.leeward.core.cue.Blink;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.seeded.Seeded;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** A shot played at another frame rate. */
class FrameRateTest {
    private static final DialogueLine LINE =
            new DialogueLine("ma", "hash", 1.0, List.of(), List.of(new TimedPhone(Phone.M, 0.2, 0.3)), List.of(), 0);

    private static Shot at24(Tracks tracks) {
        return Shot.silent("walk", TrackRules.at(24), 100)
                .withLines(List.of(new PlacedLine(48, LINE)))
                .withTracks(tracks);
    }

    private static Shot at(Shot shot, int rate, boolean keepFrames) {
        return new LayoutEdit.SetFrameRate(rate, keepFrames).apply(shot);
    }

    @Test
    void whatIsActedKeepsItsTimeOrItsFrame() {
        Tracks acted = Tracks.EMPTY
                .withKeys("turn", List.of(new DialKey(24, 10, Way.SMOOTH), new DialKey(36, 0, Way.HOLD)))
                .withBlinks(List.of(new Blink(24, 4, 2, 4)))
                .withLooks(List.of(new LookSpan(12, 60, "smile", 6, 12, 1)))
                .withDrawings("hand", List.of(new HeldDrawing(12, 36, "point")))
                .withPins(Map.of(50, "o", 51, "o"));
        Shot slower = at(at24(acted), 12, false);
        assertThat(slower.rules().frameRate()).isEqualTo(12);
        assertThat(slower.frames()).isEqualTo(50);
        assertThat(slower.lines()).extracting(PlacedLine::at).containsExactly(24);
        assertThat(slower.phones().get(0).start())
                .as("sound stays in its place")
                .isCloseTo(2.2, within(1e-9));
        assertThat(slower.tracks().dials().get("turn"))
                .extracting(DialKey::frame)
                .containsExactly(12, 18);
        assertThat(slower.tracks().blinks()).containsExactly(new Blink(12, 2, 1, 2));
        assertThat(slower.tracks().looks()).containsExactly(new LookSpan(6, 30, "smile", 3, 6, 1));
        assertThat(slower.tracks().drawings().get("hand")).containsExactly(new HeldDrawing(6, 18, "point"));
        assertThat(slower.tracks().pins()).isEqualTo(Map.of(25, "o"));

        Shot faster = at(at24(acted), 12, true);
        assertThat(faster.tracks()).isEqualTo(acted);
        assertThat(faster.frames()).isEqualTo(100);
        assertThat(faster.lines()).extracting(PlacedLine::at).containsExactly(48);
        assertThat(at(at24(acted), 60, true).frames())
                .as("it lasts until the line has been said")
                .isEqualTo(108);
        Refused.because(RefusalCode.NO_CHANGE, () -> at(at24(acted), 24, false));
        Refused.because(RefusalCode.EXPOSURE, () -> at(at24(acted), 0, false));
        assertThat(new LayoutEdit.SetFrameRate(25, true).describe())
                .isEqualTo("Plays at 25 frames a second, what is acted on its frames");
    }

    @Test
    void blinksThatWouldRunIntoEachOtherAreNotLaidOverEachOther() {
        Shot twitching = at24(Tracks.EMPTY.withBlinks(
                List.of(new Blink(0, 1, 0, 1), new Blink(2, 1, 0, 1), new Blink(4, 1, 0, 1), new Blink(40, 3, 0, 3))));
        assertThat(at(twitching, 12, false).tracks().blinks())
                .containsExactly(new Blink(0, 1, 0, 1), new Blink(2, 1, 0, 1), new Blink(20, 2, 0, 2));
    }

    /** Twice as many frames hold everything, so there and back is what it was. */
    @Seeded
    void toTwiceTheRateAndBackIsTheSame(Random r) {
        Map<Integer, DialKey> keys = new TreeMap<>();
        for (int i = 0; i < 9; i++) {
            int f = r.nextInt(100);
            keys.put(f, new DialKey(f, r.nextDouble(), r.nextBoolean() ? Way.EVEN : Way.SMOOTH));
        }
        Shot shot = at24(Tracks.EMPTY
                .withKeys("turn", List.copyOf(keys.values()))
                .withBlinks(List.of(new Blink(r.nextInt(9), 1 + r.nextInt(5), r.nextInt(4), 1 + r.nextInt(5))))
                .withKits(List.of(new KitSpan(r.nextInt(9), 10 + r.nextInt(20), "rain")))
                .withNotes(List.of(new ShotNote(r.nextInt(50), 60, "slower", ""))));
        assertThat(at(at(shot, 48, false), 24, false)).isEqualTo(shot);
    }
}
