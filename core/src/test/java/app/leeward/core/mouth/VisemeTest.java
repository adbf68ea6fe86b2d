package app.leeward.core.mouth;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Against the viseme table of ISO/IEC 14496-2 (value from memory; the speech module checks its example words). */
class VisemeTest {
    @Test
    void thereAreTheFifteenClassesOfTheStandardInItsOrder() {
        List<Viseme> spoken =
                Arrays.stream(Viseme.values()).filter(Viseme::spoken).toList();
        assertThat(spoken).hasSize(15);
        for (int i = 0; i < 15; i++) {
            assertThat(Viseme.numbered(i).number()).isEqualTo(i);
        }
    }

    @Test
    void everyOneOfTheThirtyNineSoundsHasExactlyOneClass() {
        assertThat(Phone.values()).hasSize(39);
        Map<Phone, Integer> of = new EnumMap<>(Phone.class);
        for (Phone p : Phone.values()) {
            of.put(p, Viseme.of(p).number());
        }
        assertThat(of)
                .containsEntry(Phone.P, 1)
                .containsEntry(Phone.B, 1)
                .containsEntry(Phone.M, 1)
                .containsEntry(Phone.F, 2)
                .containsEntry(Phone.V, 2)
                .containsEntry(Phone.TH, 3)
                .containsEntry(Phone.DH, 3)
                .containsEntry(Phone.T, 4)
                .containsEntry(Phone.D, 4)
                .containsEntry(Phone.K, 5)
                .containsEntry(Phone.G, 5)
                .containsEntry(Phone.NG, 5)
                .containsEntry(Phone.CH, 6)
                .containsEntry(Phone.JH, 6)
                .containsEntry(Phone.SH, 6)
                .containsEntry(Phone.S, 7)
                .containsEntry(Phone.Z, 7)
                .containsEntry(Phone.N, 8)
                .containsEntry(Phone.L, 8)
                .containsEntry(Phone.R, 9)
                .containsEntry(Phone.AA, 10)
                .containsEntry(Phone.EH, 11)
                .containsEntry(Phone.IH, 12)
                .containsEntry(Phone.Y, 12)
                .containsEntry(Phone.AO, 13)
                .containsEntry(Phone.UH, 14)
                .containsEntry(Phone.W, 14);
        assertThat(of.values().stream().collect(Collectors.toSet()))
                .as("rest is asked for by silence only")
                .isEqualTo(Set.of(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14));
    }

    @Test
    void diphthongsGoThroughTwoClassesAndHTakesTheVowelAfterIt() {
        List<MouthSounds.Stretch> how =
                MouthSounds.of(List.of(new TimedPhone(Phone.HH, 0, 0.1), new TimedPhone(Phone.AW, 0.1, 0.3)));
        assertThat(how).extracting(MouthSounds.Stretch::viseme).containsExactly(Viseme.AH, Viseme.AH, Viseme.OO);
        assertThat(how.get(1).end()).isEqualTo(0.2);
    }

    @Test
    void everyIpaSymbolIsItsOwn() {
        assertThat(Arrays.stream(Phone.values()).map(Phone::ipa).distinct()).hasSize(39);
    }

    @Test
    void distancesAreAMetricOnTheClasses() {
        for (Viseme a : Viseme.values()) {
            for (Viseme b : Viseme.values()) {
                double ab = a.articulation().distance(b.articulation());
                assertThat(ab).isEqualTo(b.articulation().distance(a.articulation()));
                assertThat(ab == 0).as("%s %s", a, b).isEqualTo(a == b);
                for (Viseme c : Viseme.values()) {
                    assertThat(ab)
                            .isLessThanOrEqualTo(a.articulation().distance(c.articulation())
                                    + c.articulation().distance(b.articulation())
                                    + 1e-12);
                }
            }
        }
    }

    @Test
    void closuresNeverFallBackToAnOpenMouthWhileAClosedOneExists() {
        MouthChart chart = new MouthChart(
                java.util.Optional.of("mouth"), Map.of(Viseme.SMILE, "grin", Viseme.SZ, "teeth", Viseme.AH, "wide"));
        assertThat(chart.serve(Viseme.PBM).orElseThrow().drawing()).isEqualTo("grin");
        assertThat(chart.serve(Viseme.REST).orElseThrow().drawing()).isEqualTo("grin");
        assertThat(chart.serve(Viseme.EH).orElseThrow().why()).startsWith("nearest to eh of those drawn");
        assertThat(MouthChart.EMPTY.serve(Viseme.AH)).isEmpty();
    }
}
