package app.leeward.core.dial;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Point;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** A dial is the sum of its effects, whatever it does. */
class DialEffectsTest {
    private static final List<String> PARTS = List.of("left ear", "right ear", "nose");

    private static final OtherSide SIDES = new OtherSide() {
        @Override
        public String part(String id) {
            return id.startsWith("left") ? id.replace("left", "right") : id.replace("right", "left");
        }

        @Override
        public String drawing(String part, String id) {
            return id + "'";
        }

        @Override
        public Optional<PointDeltas> deltas(String part, PointDeltas of) {
            return Optional.of(of.mirrored(of.drawing()));
        }
    };

    private static Bands bands(String part, Random r) {
        double[] ends = r.doubles(4, -30, 30)
                .map(v -> Math.rint(v) + 0.0)
                .sorted()
                .distinct()
                .toArray();
        List<Band> all = new ArrayList<>();
        for (int i = 0; i + 1 < ends.length; i++) {
            all.add(new Band(ends[i], ends[i + 1], PARTS.get(r.nextInt(3))));
        }
        return new Bands(part, all);
    }

    private static Dial dial(Random r) {
        // a stop keeps its ease when others come to its place, so all have the same one here
        Ease ease = r.nextBoolean() ? Ease.SMOOTH : Ease.LINEAR;
        Map<Double, Stop> stops = new TreeMap<>();
        for (int i = r.nextInt(4); i >= 0; i--) {
            double at = Math.rint(-30 + 60 * r.nextDouble()) + 0.0;
            Stop s = new Stop(at, Map.of(), ease, Map.of());
            for (String part : PARTS) {
                s = r.nextBoolean() ? s.with(part, Offset.shift(r.nextGaussian(), 1)) : s;
                List<Point> shifts = List.of(new Point(r.nextGaussian(), 2), new Point(3, 4));
                s = r.nextBoolean() ? s.with(part, new PointDeltas("d", r.nextInt(2), shifts)) : s;
            }
            stops.put(at, s);
        }
        Map<String, Integer> hinges = new HashMap<>();
        List<Bands> bands = new ArrayList<>();
        List<Bands> layers = new ArrayList<>();
        for (String part : PARTS) {
            boolean posed = stops.values().stream().anyMatch(s -> s.offsets().containsKey(part));
            if (posed && r.nextBoolean()) {
                hinges.put(part, r.nextInt(3));
            }
            if (r.nextBoolean()) {
                bands.add(bands(part, r));
            }
            if (r.nextBoolean()) {
                layers.add(bands(part, r));
            }
        }
        return new Dial("d", "D", Purpose.OWN, -30, 30, 0, "", List.copyOf(stops.values()), bands, hinges)
                .withLayers(layers);
    }

    @Seeded
    void isPutTogetherAgainFromThem(Random r) {
        Dial d = dial(r);
        assertThat(d.withEffects(d.effects().stream())).isEqualTo(d);
    }

    @Seeded
    void everyKindKnowsItsMirrorTwiceIsOnceAndNothingElse(Random r) {
        Dial d = dial(r);
        assertThat(d.withEffects(d.effects().stream().map(DialEffect::reflected).map(DialEffect::reflected)))
                .isEqualTo(d);
        Dial over = d.withEffects(
                d.effects().stream().map(e -> e.onto(SIDES, v -> 0.0 - v)),
                v -> d.stop(0.0 - v).map(Stop::ease).orElse(Ease.LINEAR));
        for (double at = -30; at <= 30; at += 7.5) {
            for (String part : PARTS) {
                assertThat(OffsetCurve.of(over, SIDES.part(part)).at(-at).x())
                        .isEqualTo(-OffsetCurve.of(d, part).at(at).x(), org.assertj.core.api.Assertions.within(1e-12));
            }
        }
        for (DialEffect e : d.effects()) {
            DialEffect other = e.onto(SIDES, v -> 0.0 - v);
            assertThat(other.part()).isEqualTo(SIDES.part(e.part()));
            assertThat(other.values().map(v -> 0.0 - v).sorted().toArray())
                    .isEqualTo(e.values().sorted().toArray());
        }
    }

    @Seeded
    void nothingIsLeftOfAPartThatIsGone(Random r) {
        Dial d = dial(r);
        Dial left = d.withEffects(d.effects().stream().flatMap(e -> e.without("nose").stream()));
        assertThat(left.effects()).extracting(DialEffect::part).doesNotContain("nose");
        assertThat(left.layers())
                .flatExtracting(Bands::bands)
                .extracting(Band::drawing)
                .doesNotContain("nose");
        assertThat(left.effects())
                .filteredOn(e -> !(e instanceof LayerEffect))
                .isEqualTo(d.effects().stream()
                        .filter(e -> !(e instanceof LayerEffect) && !e.part().equals("nose"))
                        .toList());
    }

    @Seeded
    void whateverChangesChangesAFingerprint(Random r) {
        Dial d = dial(r);
        Map<String, Integer> prints = Fingerprints.of(d);
        Set<String> names = new HashSet<>();
        for (DialEffect e : d.effects()) {
            Map<String, Integer> own = e.fingerprints(d);
            assertThat(own).isNotEmpty();
            assertThat(names).doesNotContainAnyElementsOf(own.keySet());
            names.addAll(own.keySet());
            if (e instanceof PoseEffect || e instanceof OutlineEffect) {
                assertThat(e.scaled(2).fingerprints(d)).isNotEqualTo(own);
            }
        }
        assertThat(prints.keySet()).isEqualTo(names);
    }

    @Seeded
    void aStopIsToldInWords(Random r) {
        Dial d = dial(r);
        PartNames names = new PartNames() {
            @Override
            public String part(String id) {
                return "the " + id;
            }

            @Override
            public String drawing(String part, String id) {
                return "‘" + id + "’";
            }
        };
        for (Stop s : d.stops()) {
            Set<Aspect> told = d.effects().stream()
                    .filter(e -> e.part().equals("nose"))
                    .flatMap(e -> e.told(d, s.at(), names))
                    .peek(t -> assertThat(t.words()).isNotBlank())
                    .map(DialEffect.Told::aspect)
                    .collect(Collectors.toSet());
            assertThat(told.contains(Aspect.PLACE)).isEqualTo(s.offsets().containsKey("nose"));
            assertThat(told.contains(Aspect.SHAPE)).isEqualTo(s.reshapes().containsKey("nose"));
            assertThat(told.contains(Aspect.DRAWING)).isEqualTo(at(d.bandsOf("nose"), s.at(), d.to()));
            assertThat(told.contains(Aspect.ORDER)).isEqualTo(at(d.layersOf("nose"), s.at(), d.to()));
        }
    }

    private static boolean at(List<Band> bands, double at, double end) {
        return bands.stream().anyMatch(b -> b.from() <= at && (at < b.to() || at == end && at == b.to()));
    }

    /** A new record under the sealed interface has to be made here too. */
    @Seeded
    void allKindsAreDrawn(Random r) {
        Set<Class<?>> drawn = new HashSet<>();
        for (int i = 0; i < 60; i++) {
            dial(r).effects().forEach(e -> drawn.add(e.getClass()));
        }
        assertThat(drawn).containsExactlyInAnyOrderElementsOf(Arrays.asList(DialEffect.class.getPermittedSubclasses()));
    }
}
