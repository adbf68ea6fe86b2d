package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthRecipe;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** A character's mouths as a set that is made from one of them; what was drawn or shaped by hand is kept. */
public final class MouthSet {
    /** More rows than this cannot be told apart on a face. */
    public static final int MOST_MOODS = 12;

    private MouthSet() {}

    /** Where a mouth comes from. */
    public enum Origin {
        /** Drawn by a person. */
        DRAWN,
        /** Made, and made anew when a ruler is turned. */
        MADE,
        /** Made, then shaped by hand; kept from then on. */
        SHAPED
    }

    /** The part whose drawings are the mouths. */
    public static Optional<Part> part(Character c) {
        return c.voice()
                .mouths()
                .part()
                .flatMap(c::part)
                .or(() -> c.part(PartRole.MOUTH))
                .filter(p -> !p.drawings().isEmpty());
    }

    /** The drawing the set is, or would be, made from: the one named so, or else the one at rest,
     * unless another was chosen. */
    public static Optional<Drawing> start(Character c) {
        Part mouth = part(c).orElse(null);
        if (mouth == null) {
            return Optional.empty();
        }
        return c.voice()
                .mouths()
                .recipe()
                .map(MouthRecipe::start)
                .flatMap(mouth::drawing)
                .or(() -> mouth.drawings().stream()
                        .filter(d -> d.name().toLowerCase(Locale.ROOT).contains("start"))
                        .findFirst())
                .or(() -> Optional.ofNullable(c.voice().mouths().drawn().get(Viseme.REST))
                        .flatMap(mouth::drawing))
                .or(() -> mouth.drawing(mouth.shown()))
                .or(() -> mouth.drawings().stream().findFirst());
    }

    public static Origin origin(Character c, String drawing) {
        Map<String, String> made =
                c.voice().mouths().recipe().map(MouthRecipe::made).orElse(Map.of());
        if (!made.containsKey(drawing)) {
            return Origin.DRAWN;
        }
        boolean untouched = part(c).flatMap(p -> p.drawing(drawing))
                .filter(d -> Fingerprint.of(d.art()).equals(made.get(drawing)))
                .isPresent();
        return untouched ? Origin.MADE : Origin.SHAPED;
    }

    /** One mouth of a set. */
    public record Made(String mood, Viseme viseme, Artwork art) {}

    /**
     * Every mouth of the set as the rulers would make it, whatever is kept of those that are there; the neutral row first.
     *
     * @throws MouthProblem when none can be made from the starting mouth
     */
    public static List<Made> preview(Character c, MouthRulers rulers, Map<Viseme, MouthRulers> own) {
        Drawing start = start(c).orElseThrow(MouthSet::none);
        return preview(maker(c, start), start.art(), c.voice().mouths(), rulers, own);
    }

    private static SetMaker maker(Character c, Drawing start) {
        double chin = part(c).map(p -> JawRoom.chin(c, p, start.art())).orElse(Double.POSITIVE_INFINITY);
        return SetMaker.of(start.art().inShapes(), drawnBeside(c, start.id()), eyeWhite(c), chin);
    }

    private static Optional<String> eyeWhite(Character c) {
        return c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.WHITE)
                .flatMap(p -> p.drawings().stream())
                .flatMap(d -> d.art().inShapes().shapes().stream())
                .flatMap(s -> s.fill().mainColour().stream())
                .findFirst();
    }

    /** Whether the starting mouth itself gets the pieces it lacks; what was painted in pixels stays so. */
    private static boolean completes(SetMaker maker, Artwork start) {
        return maker.unseen() && start.images().isEmpty();
    }

    private static List<Artwork> drawnBeside(Character c, String start) {
        return part(c).stream()
                .flatMap(p -> p.drawings().stream())
                .filter(d -> !d.id().equals(start) && origin(c, d.id()) == Origin.DRAWN)
                .map(d -> d.art().inShapes())
                .toList();
    }

    private static MouthProblem none() {
        return new MouthProblem(
                RefusalCode.NO_MOUTH,
                "This character has no mouth yet. Name a layer “mouth”, or put one on its slot on the Intake bench.");
    }

    private static List<Made> preview(
            SetMaker maker, Artwork start, MouthChart chart, MouthRulers rulers, Map<Viseme, MouthRulers> own) {
        List<Made> out = new ArrayList<>();
        for (Viseme v : Viseme.values()) {
            boolean itself = v == Viseme.REST && maker.closed();
            Artwork rest = completes(maker, start) ? maker.starting() : start;
            out.add(new Made("", v, itself ? rest : made(maker, v, rulers, own, 0, 0)));
        }
        for (Mood m : chart.moods()) {
            for (Viseme v : Viseme.values()) {
                out.add(new Made(m.id(), v, made(maker, v, rulers, own, m.corners(), m.tension())));
            }
        }
        return out;
    }

    private static Artwork made(
            SetMaker maker,
            Viseme v,
            MouthRulers rulers,
            Map<Viseme, MouthRulers> own,
            double corners,
            double tension) {
        MouthRulers all = own.containsKey(v) ? rulers.and(own.get(v)) : rulers;
        return maker.make(v, all, corners, tension);
    }

    /**
     * The character with a whole set of mouths.
     *
     * @param start id of the drawing to make them from; empty for the one of before
     * @param fill ids of the moods whose missing mouths are made too, empty for the neutral row; a mood's row is filled as far
     *     as the neutral one goes
     * @param again classes whose drawn or shaped mouths give way to made ones; the old drawings stay in the set
     * @throws MouthProblem when none can be made from the starting mouth
     */
    public static Character made(
            Character c,
            String start,
            MouthRulers rulers,
            Map<Viseme, MouthRulers> own,
            Set<String> fill,
            Set<Viseme> again) {
        Part mouth = part(c).orElseThrow(MouthSet::none);
        Drawing from = (start.isEmpty() ? start(c) : mouth.drawing(start)).orElseThrow(() -> gone(start));
        SetMaker maker = maker(c, from);
        Work work = new Work(c, mouth, from.id(), maker);
        // once it has all its pieces, making again leaves it as it is to the last digit
        boolean whole = Fingerprint.of(maker.starting()).equals(Fingerprint.of(from.art()));
        if (!whole && completes(maker, from.art())) {
            work.replace(from.id(), maker.starting());
        }
        for (Made m : preview(maker, from.art(), c.voice().mouths(), rulers, own)) {
            work.take(m, fill, again, maker.closed());
        }
        work.blendWays();
        return work.done(new MouthRecipe(from.id(), rulers, own, work.made));
    }

    /** The set while it is being made. */
    private static final class Work {
        private final Character c;
        private final Part mouth;
        private final String start;
        private final SetMaker maker;
        private final List<Drawing> drawings;
        private final Map<String, String> made = new TreeMap<>();
        private final Set<String> taken = new HashSet<>();
        private MouthChart chart;

        Work(Character c, Part mouth, String start, SetMaker maker) {
            this.c = c;
            this.maker = maker;
            this.mouth = mouth;
            this.start = start;
            drawings = new ArrayList<>(mouth.drawings());
            drawings.forEach(d -> taken.add(d.id()));
            chart = c.voice().mouths().part().equals(Optional.of(mouth.id()))
                    ? c.voice().mouths()
                    : new MouthChart(Optional.of(mouth.id()), Map.of());
            c.voice().mouths().recipe().ifPresent(r -> r.made().forEach((id, print) -> {
                if (taken.contains(id)) {
                    made.put(id, print);
                }
            }));
        }

        void replace(String id, Artwork art) {
            drawings.replaceAll(d -> d.id().equals(id) ? d.withArt(art) : d);
        }

        void take(Made m, Set<String> fill, Set<Viseme> again, boolean closed) {
            Map<Viseme, String> row = m.mood().isEmpty()
                    ? chart.drawn()
                    : chart.mood(m.mood()).orElseThrow().drawn();
            String there = row.get(m.viseme());
            boolean itself = start.equals(there) && (closed || m.viseme() != Viseme.REST);
            boolean wanted = fill.contains(m.mood())
                    && (m.mood().isEmpty() || chart.drawn().containsKey(m.viseme()));
            if (itself || there == null && !wanted) {
                return;
            }
            Origin origin = there == null || start.equals(there) ? Origin.MADE : origin(c, there);
            if (origin != Origin.MADE && !again.contains(m.viseme())) {
                return;
            }
            boolean over = there != null && !start.equals(there) && origin == Origin.MADE;
            String id = over ? there : add(m);
            replace(id, m.art());
            made.put(id, Fingerprint.of(m.art()));
            chart = m.mood().isEmpty()
                    ? chart.with(m.viseme(), id)
                    : chart.with(chart.mood(m.mood()).orElseThrow().with(m.viseme(), id));
        }

        private String add(Made m) {
            String mood =
                    m.mood().isEmpty() ? "" : chart.mood(m.mood()).orElseThrow().name();
            String name = (m.viseme().words() + " " + mood).strip();
            String id = Ids.unused(
                    ("made " + m.viseme() + " " + m.mood())
                            .toLowerCase(Locale.ROOT)
                            .strip(),
                    taken);
            taken.add(id);
            drawings.add(new Drawing(id, name, m.art()));
            return id;
        }

        /** In-betweens that nobody shaped since follow the mouths they lie between. */
        private void blendWays() {
            for (Map.Entry<String, MouthChart.Between> way : chart.betweens().entrySet()) {
                String id = way.getValue().drawing();
                if (origin(c, id) == Origin.MADE) {
                    art(way.getValue().from()).ifPresent(a -> art(way.getKey()).ifPresent(b -> {
                        Artwork between = Halfway.between(a, b);
                        replace(id, between);
                        made.put(id, Fingerprint.of(between));
                    }));
                }
            }
        }

        private Optional<Artwork> art(String id) {
            if (id.equals(start)) {
                // the drawing may lack the pieces the others blend with
                return Optional.of(maker.starting());
            }
            return drawings.stream().filter(d -> d.id().equals(id)).findFirst().map(Drawing::art);
        }

        Character done(MouthRecipe recipe) {
            return c.withPart(mouth.id(), p -> p.withDrawings(drawings, p.shown()))
                    .withVoice(voice -> voice.withMouths(chart.with(recipe)));
        }
    }

    /**
     * With the made mouths of every row made anew, by the rulers of before; unchanged when none were ever made.
     *
     * @param fill as for {@link #made}
     */
    public static Character again(Character c, Set<String> fill) {
        MouthRecipe r = c.voice().mouths().recipe().orElse(null);
        return r == null ? c : made(c, r.start(), r.rulers(), r.own(), fill, Set.of());
    }

    /**
     * With a drawing on the way into a mouth, halfway from another; it follows the rulers until it is shaped by hand.
     *
     * @param into id of the mouth it leads into
     * @throws MouthProblem when either is not there, or the two do not match piece by piece
     */
    public static Character ledInto(Character c, String into, String from) {
        Part mouth = part(c).orElseThrow(MouthSet::none);
        Drawing a = mouth.drawing(from).orElseThrow(() -> gone(from));
        Drawing b = mouth.drawing(into).orElseThrow(() -> gone(into));
        if (from.equals(into)) {
            throw new MouthProblem(RefusalCode.MOUTH_SAME, "Nothing lies between a mouth and itself.");
        }
        MouthChart chart = c.voice().mouths();
        Artwork between = Halfway.between(blending(c, a), blending(c, b));
        MouthChart.Between before = chart.betweens().get(into);
        Set<String> taken = mouth.drawings().stream().map(Drawing::id).collect(Collectors.toSet());
        String id = before == null ? Ids.unused("into " + into, taken) : before.drawing();
        List<Drawing> drawings = new ArrayList<>(mouth.drawings());
        drawings.removeIf(d -> d.id().equals(id));
        drawings.add(new Drawing(id, "into " + b.name(), between));
        Map<String, MouthChart.Between> ways = new HashMap<>(chart.betweens());
        ways.put(into, new MouthChart.Between(from, id));
        MouthChart led = chart.withBetweens(ways);
        return c.withPart(mouth.id(), p -> p.withDrawings(drawings, p.shown()))
                .withVoice(voice -> voice.withMouths(led.recipe()
                        .map(r -> led.with(r.with(id, Fingerprint.of(between))))
                        .orElse(led)));
    }

    /** A drawing with the pieces others of the set blend with: the starting mouth may have been left as it was drawn. */
    private static Artwork blending(Character c, Drawing d) {
        return start(c).filter(s ->
                        s.id().equals(d.id()) && c.voice().mouths().recipe().isPresent())
                .map(s -> maker(c, s).starting())
                .orElse(d.art());
    }

    private static MouthProblem gone(String drawing) {
        return new MouthProblem(RefusalCode.NO_DRAWING, "The mouth has no drawing '" + drawing + "' any more.");
    }

    /** Without a mood, and without those of its mouths that were made and serve nothing else. */
    public static Character withoutMood(Character c, String id) {
        Mood gone = c.voice().mouths().mood(id).orElse(null);
        Part mouth = part(c).orElse(null);
        if (gone == null || mouth == null) {
            return c;
        }
        MouthChart left = c.voice().mouths().withoutMood(id);
        Set<String> drop = new HashSet<>(gone.drawn().values());
        drop.removeAll(left.drawings());
        drop.removeIf(d -> origin(c, d) != Origin.MADE || d.equals(mouth.shown()));
        List<Drawing> drawings =
                mouth.drawings().stream().filter(d -> !drop.contains(d.id())).toList();
        return c.withPart(mouth.id(), p -> p.withDrawings(drawings, p.shown()))
                .withVoice(voice -> voice.withMouths(
                        left.recipe().map(r -> left.with(r.without(drop))).orElse(left)));
    }

    /**
     * As few mouths as asked for: the rows keep those from which the others are nearest, and always one with the lips
     * closed and one for f and v; the freed drawings stay in the set.
     *
     * @param count 3 to 17
     */
    public static MouthChart thinned(MouthChart chart, int count) {
        if (count < 3 || count > Viseme.values().length) {
            throw new Refusal(RefusalCode.MOUTH_COUNT, "A set has 3 to 17 mouths, not " + count + ".");
        }
        Set<Viseme> kept = new java.util.LinkedHashSet<>();
        for (Viseme v : List.of(Viseme.REST, Viseme.PBM, Viseme.FV)) {
            if (chart.drawn().containsKey(v) && !(v == Viseme.PBM && count < 6 && kept.contains(Viseme.REST))) {
                kept.add(v);
            }
        }
        while (kept.size() < count && kept.size() < chart.drawn().size()) {
            Viseme best = null;
            double least = Double.POSITIVE_INFINITY;
            for (Viseme v : chart.drawn().keySet()) {
                if (!kept.contains(v) && (v.spoken() || kept.size() >= 15)) {
                    Set<Viseme> with = new HashSet<>(kept);
                    with.add(v);
                    double worst = spread(with);
                    if (worst < least) {
                        least = worst;
                        best = v;
                    }
                }
            }
            if (best == null) {
                break;
            }
            kept.add(best);
        }
        Map<Viseme, String> neutral = new EnumMap<>(chart.drawn());
        neutral.keySet().retainAll(kept);
        MouthChart out = chart.withDrawn(neutral);
        for (Mood m : chart.moods()) {
            Map<Viseme, String> row = new EnumMap<>(Viseme.class);
            row.putAll(m.drawn());
            row.keySet().retainAll(kept);
            out = out.with(m.withDrawn(row));
        }
        return out;
    }

    /** How far the spoken classes are from the nearest of some, altogether. */
    private static double spread(Set<Viseme> kept) {
        double sum = 0;
        for (Viseme v : Viseme.values()) {
            if (v.spoken()) {
                sum += kept.stream()
                        .mapToDouble(k -> v.articulation().distance(k.articulation()))
                        .min()
                        .orElse(0);
            }
        }
        return sum;
    }
}
