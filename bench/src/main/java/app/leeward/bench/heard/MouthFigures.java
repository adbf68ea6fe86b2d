package app.leeward.bench.heard;

import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthRequest;
import app.leeward.core.mouth.MouthSolver;
import app.leeward.core.mouth.MouthSounds;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.speech.TimedPhone;
import app.leeward.speech.Flite;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What the mouth track shows of speech whose sounds are known, on ones and on twos, beside a track that shows in each exposure
 * what is heard in its middle. Each class has a drawing of its own. The truth is what flite says of its own speech.
 */
public final class MouthFigures {
    private static final int RATE = 24;
    private static final double LONG_VOWEL = 0.06;
    /** From this drop of the jaw on a mouth is wide. */
    private static final double WIDE = 0.6;

    private int closures;
    private int closuresShown;
    private int vowels;
    private int vowelsShown;
    private int mouths;
    private int tooShort;
    private int wideFlashes;
    private double seconds;

    private MouthFigures() {}

    public static void main(String[] args) throws Exception {
        for (int exposure = 1; exposure <= 2; exposure++) {
            MouthFigures solved = new MouthFigures();
            MouthFigures naive = new MouthFigures();
            for (String voice : List.of("slt", "rms", "awb")) {
                for (String sentence : HeardFigures.sentences()) {
                    List<TimedPhone> phones = Flite.say(voice, sentence).phones();
                    TrackRules rules = new TrackRules(RATE, exposure, 1, 2);
                    double end = phones.get(phones.size() - 1).end() + 0.2;
                    solved.count(
                            MouthSolver.solve(new MouthRequest(chart(), phones, end, rules, Map.of()))
                                    .drawings(),
                            phones,
                            exposure);
                    naive.count(middles(phones, end, exposure), phones, exposure);
                }
            }
            solved.print("solved on " + exposure + "s");
            naive.print("naive on " + exposure + "s");
        }
    }

    private static MouthChart chart() {
        Map<Viseme, String> drawn = new EnumMap<>(Viseme.class);
        for (Viseme v : Viseme.values()) {
            if (v.spoken()) {
                drawn.put(v, v.name());
            }
        }
        return new MouthChart(Optional.of("mouth"), drawn);
    }

    private static List<String> middles(List<TimedPhone> phones, double end, int exposure) {
        List<String> out = new ArrayList<>();
        List<MouthSounds.Stretch> sounds = MouthSounds.of(phones);
        for (int f = 0; f < end * RATE; f++) {
            double middle = (f / exposure * exposure + exposure / 2.0 + 1) / RATE;
            out.add(sounds.stream()
                    .filter(s -> s.start() <= middle && middle < s.end())
                    .findFirst()
                    .map(s -> s.viseme().name())
                    .orElse("REST"));
        }
        return out;
    }

    private void count(List<String> shown, List<TimedPhone> phones, int exposure) {
        for (MouthSounds.Stretch s : MouthSounds.of(phones)) {
            boolean must = s.phone().closure() || s.phone().lipToTeeth();
            boolean vowel = s.phone().vowel() && s.end() - s.start() >= LONG_VOWEL;
            boolean seen = false;
            for (int f = 0; f < shown.size(); f++) {
                double from = (f / exposure * exposure + 1.0) / RATE;
                boolean heard = from < s.end() - 1e-9 && from + (double) exposure / RATE > s.start() + 1e-9;
                seen |= heard && shown.get(f).equals(s.viseme().name());
            }
            closures += must ? 1 : 0;
            closuresShown += must && seen ? 1 : 0;
            vowels += vowel ? 1 : 0;
            vowelsShown += vowel && seen ? 1 : 0;
        }
        seconds += (double) shown.size() / RATE;
        int from = 0;
        for (int f = 1; f <= shown.size(); f++) {
            if (f == shown.size() || !shown.get(f).equals(shown.get(from))) {
                mouths++;
                boolean cut = from == 0 || f == shown.size();
                boolean brief = !cut && f - from < 2;
                tooShort += brief ? 1 : 0;
                wideFlashes +=
                        brief && Viseme.valueOf(shown.get(from)).articulation().jaw() >= WIDE ? 1 : 0;
                from = f;
            }
        }
    }

    private void print(String what) {
        System.out.printf(
                Locale.ROOT,
                "%-12s closures and lips on teeth shown %d of %d, vowels of 60 ms %d of %d, mouths a second %.1f,"
                        + " held for one frame %d of %d, wide ones among them %d%n",
                what,
                closuresShown,
                closures,
                vowelsShown,
                vowels,
                mouths / seconds,
                tooShort,
                mouths,
                wideFlashes);
    }
}
