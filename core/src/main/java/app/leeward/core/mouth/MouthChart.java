package app.leeward.core.mouth;

import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which drawing of the mouth serves which class of sounds, in which mood.
 *
 * @param part id of the part whose drawings are the mouths; empty when the character has no mouth set
 * @param drawn the neutral row: class to the id of the drawing made for it; classes left out are served by the nearest
 * @param moods further rows
 * @param recipe how mouths were made from one; empty for mouths that were all drawn
 * @param betweens id of a mouth to what is shown on the way into it
 */
public record MouthChart(
        Optional<String> part,
        Map<Viseme, String> drawn,
        List<Mood> moods,
        Optional<MouthRecipe> recipe,
        Map<String, Between> betweens) {
    public static final MouthChart EMPTY = new MouthChart(Optional.empty(), Map.of());

    /** From which distance on the same sound in the neutral row is nearer than another sound in the mood's own. */
    private static final double FAR = 0.6;

    public MouthChart {
        Map<Viseme, String> copy = new EnumMap<>(Viseme.class);
        copy.putAll(drawn);
        drawn = Collections.unmodifiableMap(copy);
        // stored before there were any
        moods = moods == null ? List.of() : List.copyOf(moods);
        recipe = recipe == null ? Optional.empty() : recipe;
        betweens = betweens == null ? Map.of() : Map.copyOf(betweens);
    }

    public MouthChart(Optional<String> part, Map<Viseme, String> drawn) {
        this(part, drawn, List.of(), Optional.empty(), Map.of());
    }

    /**
     * A drawing on the way into a mouth.
     *
     * @param from id of the mouth it comes from
     * @param drawing its id
     */
    public record Between(String from, String drawing) {}

    /**
     * How a class comes by its drawing.
     *
     * @param from the class the drawing was made for; the asked one itself when it has its own
     * @param row id of the mood whose row it is taken from; empty for the neutral row
     * @param distance how different the two look; 0 when it has its own
     */
    public record Service(Viseme asked, Viseme from, String drawing, double distance, String row) {
        public boolean own() {
            return asked == from;
        }

        /** Why, in words. */
        public String why() {
            return own()
                    ? "drawn for " + asked.words()
                    : "nearest to " + asked.words() + " of those drawn: " + from.words() + " ("
                            + Decimals.fixed(distance, 2) + " apart)";
        }
    }

    /**
     * The drawing for a class: its own, or the nearest drawn one by articulation. The lips of rest and of p, b, m never
     * fall back to an open mouth while any closed mouth is drawn. Empty only when nothing is drawn.
     */
    public Optional<Service> serve(Viseme asked) {
        return nearest(drawn, "", asked);
    }

    /**
     * The drawing for a class in a mood. A row that lacks it is served by its own nearest; where that is far off, or open
     * for a closed one, by the neutral row.
     *
     * @param mood a mood's id; an unknown one is the neutral row
     */
    public Optional<Service> serve(String mood, Viseme asked) {
        Optional<Service> neutral = serve(asked);
        Optional<Service> row = mood(mood).flatMap(m -> nearest(m.drawn(), m.id(), asked));
        if (row.isEmpty() || neutral.isEmpty()) {
            return row.or(() -> neutral);
        }
        boolean gapes = closed(asked)
                && !closed(row.get().from())
                && closed(neutral.get().from());
        boolean far = row.get().distance() > FAR
                && neutral.get().distance() < row.get().distance();
        return gapes || far ? neutral : row;
    }

    private static Optional<Service> nearest(Map<Viseme, String> drawn, String row, Viseme asked) {
        Service best = null;
        boolean wantsClosed = closed(asked);
        for (Map.Entry<Viseme, String> entry : drawn.entrySet()) {
            Viseme from = entry.getKey();
            double d = asked == from ? 0 : asked.articulation().distance(from.articulation());
            Service s = new Service(asked, from, entry.getValue(), d, row);
            if (best == null || rank(s, wantsClosed) < rank(best, wantsClosed)) {
                best = s;
            }
        }
        return Optional.ofNullable(best);
    }

    private static double rank(Service s, boolean wantsClosed) {
        return s.distance() + (wantsClosed && !closed(s.from()) ? 1e6 : 0);
    }

    /** Lips together in this class's drawing. */
    static boolean closed(Viseme v) {
        return v.articulation().closure() >= 0.5;
    }

    public Optional<Mood> mood(String id) {
        return moods.stream().filter(m -> m.id().equals(id)).findFirst();
    }

    /** The chart a line is said with in a mood: one row, in which every class has what the mood serves it. */
    public MouthChart in(String mood) {
        if (mood(mood).isEmpty()) {
            return this;
        }
        Map<Viseme, String> row = new EnumMap<>(Viseme.class);
        for (Viseme v : Viseme.values()) {
            serve(mood, v).filter(Service::own).ifPresent(s -> row.put(v, s.drawing()));
        }
        return new MouthChart(part, row.isEmpty() ? drawn : row, List.of(), Optional.empty(), betweens);
    }

    /**
     * The class a drawing shows: the one that is heard where it serves that, else the nearest to it that the drawing was made for.
     *
     * @return empty for a drawing without a class, such as one that is only ever pinned
     */
    public Optional<Viseme> shownBy(String drawing, Viseme heard) {
        if (serve(heard).map(Service::drawing).filter(drawing::equals).isPresent()) {
            return Optional.of(heard);
        }
        return drawn.entrySet().stream()
                .filter(e -> e.getValue().equals(drawing))
                .map(Map.Entry::getKey)
                .min(Comparator.comparingDouble(v -> v.articulation().distance(heard.articulation())));
    }

    /** Every drawing that serves something, in any row. */
    public Set<String> drawings() {
        Set<String> all = new LinkedHashSet<>(drawn.values());
        moods.forEach(m -> all.addAll(m.drawn().values()));
        return all;
    }

    public MouthChart with(Viseme viseme, String drawing) {
        Map<Viseme, String> more = new EnumMap<>(Viseme.class);
        more.putAll(drawn);
        more.put(viseme, drawing);
        return withDrawn(more);
    }

    public MouthChart withDrawn(Map<Viseme, String> newDrawn) {
        return new MouthChart(part, newDrawn, moods, recipe, betweens);
    }

    /** With a mood in place of the one of its id, or behind the others. */
    public MouthChart with(Mood mood) {
        List<Mood> all = new ArrayList<>(moods);
        all.replaceAll(m -> m.id().equals(mood.id()) ? mood : m);
        if (!all.contains(mood)) {
            all.add(mood);
        }
        return new MouthChart(part, drawn, all, recipe, betweens);
    }

    public MouthChart withoutMood(String id) {
        return new MouthChart(
                part, drawn, moods.stream().filter(m -> !m.id().equals(id)).toList(), recipe, betweens);
    }

    public MouthChart with(MouthRecipe newRecipe) {
        return new MouthChart(part, drawn, moods, Optional.of(newRecipe), betweens);
    }

    public MouthChart withBetweens(Map<String, Between> newBetweens) {
        return new MouthChart(part, drawn, moods, recipe, newBetweens);
    }
}
