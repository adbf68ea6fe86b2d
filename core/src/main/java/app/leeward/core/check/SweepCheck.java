package app.leeward.core.check;

import app.leeward.core.art.Point;
import app.leeward.core.check.Sweep.Station;
import app.leeward.core.dial.Purpose;
import app.leeward.core.edit.MendLid;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.ActedEyes;
import app.leeward.core.eye.EyeCheck;
import app.leeward.core.eye.EyeFinding;
import app.leeward.core.hand.ActedWrists;
import app.leeward.core.hand.Hands;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The whole rig put through its {@link Sweep}: no pupil is lost, no shut eye shows white, no wrist opens, nothing leaves the canvas and
 * no piece comes off. What two dials do together is told only where neither does it alone.
 */
final class SweepCheck implements Check {
    private static final String WHITE = "white-shows";
    private static final String PUPIL = "pupil-lost";
    private static final String WRIST = "wrist-opens";
    private static final String CANVAS = "leaves-canvas";
    private static final String OFF = "comes-off";

    /** What the check of the eyes alone goes through, and tells. */
    private static final Set<Purpose> OF_EYES =
            Set.of(Purpose.TURN, Purpose.GAZE_ACROSS, Purpose.GAZE_DOWN, Purpose.BLINK);
    /** Stations that are measured by one thread: they are alike, and what stands still is measured once. */
    private static final int AT_ONCE = 100;
    /** Whether pieces hang together is measured at every sixth place: a piece does not come off and back on in between. */
    private static final int EVERY = 6;

    @Override
    public String id() {
        return "sweep";
    }

    @Override
    public Harm harm(String code) {
        return code.equals(WRIST) || code.equals(CANVAS) ? Harm.MOVES : Harm.BREAKS;
    }

    /** What is wrong with one thing in one pose. */
    private record Seen(
            Station station, String code, String part, String drawing, Measure measure, String words, List<Point> box) {
        /** The same thing in another pose. */
        List<String> thing() {
            return List.of(code, part, drawing);
        }
    }

    @Override
    public Stream<Fault> find(Character c) {
        List<Station> stations = Sweep.of(c);
        Evaluator evaluator = new Evaluator(c);
        List<Hands.Hand> hands = Hands.of(c);
        int chunks = (stations.size() + AT_ONCE - 1) / AT_ONCE;
        List<Seen> seen = IntStream.range(0, chunks)
                .parallel()
                .boxed()
                .flatMap(k -> new Gauges(evaluator, hands)
                        .read(stations.subList(k * AT_ONCE, Math.min(stations.size(), (k + 1) * AT_ONCE))))
                .toList();
        return told(c, seen);
    }

    /** Without what the check of the eyes alone tells of the same piece: it goes through looks and turns at once, and knows more. */
    private static List<Seen> withoutKnown(Character c, List<Seen> all) {
        if (all.stream().noneMatch(s -> s.code().equals(WHITE) || s.code().equals(PUPIL))) {
            return all;
        }
        Set<String> whites = new HashSet<>();
        Set<String> pupils = new HashSet<>();
        for (EyeFinding f : EyeCheck.of(c)) {
            switch (f.kind()) {
                case UNCOVERED, HAIRLINE -> whites.add(f.part());
                case PUPIL_LOST -> pupils.add(f.part());
                default -> {
                    // said of the pieces at rest
                }
            }
        }
        return all.stream()
                .filter(s -> !(s.code().equals(WHITE) && whites.contains(s.part()))
                        && !(s.code().equals(PUPIL) && pupils.contains(s.part())))
                .toList();
    }

    /** What each dial does alone first; of what only two do together the worst two for each thing. */
    private static Stream<Fault> told(Character c, List<Seen> read) {
        List<Seen> seen = withoutKnown(c, read);
        Map<List<String>, List<Seen>> alone = new LinkedHashMap<>();
        seen.stream().filter(s -> s.station().place() >= 0).forEach(s -> alone.computeIfAbsent(
                        List.of(s.code(), group(s), s.station().subject()), k -> new ArrayList<>())
                .add(s));
        Set<List<String>> known = new HashSet<>();
        alone.values().forEach(all -> all.forEach(s -> known.add(s.thing())));
        Map<List<String>, List<Seen>> together = new LinkedHashMap<>();
        seen.stream()
                .filter(s -> s.station().place() < 0 && !known.contains(s.thing()))
                .forEach(s -> together.computeIfAbsent(List.of(s.code(), group(s)), k -> new ArrayList<>())
                        .add(s));
        return Stream.of(alone, together)
                .map(Map::values)
                .flatMap(Collection::stream)
                .map(SweepCheck::fault);
    }

    /** Of many parts that one dial takes off the canvas only the worst is named: they go together. */
    private static String group(Seen s) {
        return s.code().equals(CANVAS) || s.code().equals(OFF) ? "" : s.part() + "/" + s.drawing();
    }

    private static Fault fault(List<Seen> all) {
        Seen worst = all.stream()
                .max(Comparator.comparingDouble(s -> s.measure().value()))
                .orElseThrow();
        boolean whole = group(worst).isEmpty();
        long parts = all.stream().map(Seen::part).distinct().count();
        long places = all.stream().map(s -> s.station().at()).distinct().count();
        String others = parts < 2 ? "" : parts == 2 ? ", and one more part" : ", and " + (parts - 1) + " more parts";
        String where = worst.station().place() >= 0
                ? ", at " + places + " of " + (worst.code().equals(OFF) ? (Sweep.PLACES - 1) / EVERY + 1 : Sweep.PLACES)
                        + " places"
                : "";
        Fault told = new Fault(
                        worst.code(),
                        new Subject(
                                whole ? "" : worst.part(),
                                whole ? "" : worst.drawing(),
                                worst.station().place() >= 0 || whole
                                        ? worst.station().subject()
                                        : "together"),
                        worst.measure(),
                        Check.sentence(worst.words() + " at " + worst.station().words() + others + where))
                .seenAt(worst.station().at())
                .outlined(worst.box().isEmpty() ? List.of() : List.of(worst.box()));
        return worst.code().equals(WHITE) ? told.trying("Enlarge the lid", new MendLid(worst.part())) : told;
    }

    /** Everything that is measured, by one thread. */
    private static final class Gauges {
        private final Evaluator evaluator;
        private final Character character;
        private final ActedEyes eyes;
        private final ActedWrists wrists;
        private final OffCanvas canvas;
        private final Extents extents;
        private final Hanging hanging;

        Gauges(Evaluator evaluator, List<Hands.Hand> hands) {
            this.evaluator = evaluator;
            character = evaluator.character();
            eyes = new ActedEyes(evaluator);
            wrists = new ActedWrists(character, hands);
            canvas = new OffCanvas(evaluator);
            extents = new Extents(character);
            hanging = new Hanging(evaluator);
        }

        Stream<Seen> read(List<Station> stations) {
            List<Seen> out = new ArrayList<>();
            for (Station s : stations) {
                Pose pose = Pose.of(s.at());
                Frame frame = evaluator.frame(pose);
                if (s.dials().stream().anyMatch(d -> !OF_EYES.contains(d.purpose()))) {
                    eyes(s, pose, frame, out);
                }
                wrists.open(frame)
                        .forEach(o -> out.add(seen(
                                s,
                                WRIST,
                                o.hand(),
                                o.drawing(),
                                new Measure(o.width(), Unit.UNITS),
                                String.format(
                                        Locale.ROOT,
                                        "the wrist of %s opens by %.1f, more than %.1f,",
                                        name(o.hand()),
                                        o.width(),
                                        o.most()),
                                List.of())));
                canvas.in(frame, extents::corners)
                        .forEach(l -> out.add(seen(
                                s,
                                CANVAS,
                                l.part(),
                                "",
                                new Measure(l.share(), Unit.SHARE),
                                String.format(
                                        Locale.ROOT,
                                        "%.0f %% of %s lies off the canvas",
                                        100 * l.share(),
                                        name(l.part())),
                                l.box())));
                if (s.place() >= 0 && s.place() % EVERY == 0) {
                    hanging.off(frame)
                            .forEach(h -> out.add(seen(
                                    s,
                                    OFF,
                                    h.part(),
                                    "",
                                    new Measure(h.by(), Unit.UNITS),
                                    String.format(Locale.ROOT, "%s comes off by %.1f", name(h.part()), h.by()),
                                    h.box())));
                }
            }
            return out.stream();
        }

        private void eyes(Station s, Pose pose, Frame frame, List<Seen> out) {
            eyes.whites(pose, frame)
                    .forEach(w -> out.add(seen(
                            s,
                            WHITE,
                            w.part(),
                            "",
                            new Measure(w.amount(), Unit.SQUARE_UNITS),
                            String.format(Locale.ROOT, "%s shut shows %.1f square units of white", w.eye(), w.amount()),
                            List.of())));
            eyes.lost(pose, frame)
                    .forEach(l -> out.add(seen(
                            s,
                            PUPIL,
                            l.part(),
                            "",
                            new Measure(1 - l.amount(), Unit.SHARE),
                            String.format(
                                    Locale.ROOT,
                                    "only %.0f %% of %s stays in its window",
                                    100 * l.amount(),
                                    name(l.part())),
                            List.of())));
        }

        private Seen seen(
                Station s, String code, String part, String drawing, Measure measure, String words, List<Point> box) {
            return new Seen(s, code, part, drawing, measure, words, box);
        }

        private String name(String part) {
            return character.part(part).map(Part::name).orElse(part);
        }
    }
}
