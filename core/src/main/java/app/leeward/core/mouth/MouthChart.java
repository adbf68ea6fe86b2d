package app.leeward.core.mouth;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * Which drawing of the mouth serves which class of sounds.
 *
 * @param part id of the part whose drawings are the mouths; empty when the character has no mouth set
 * @param drawn class to the id of the drawing made for it; classes left out are served by the nearest
 */
public record MouthChart(Optional<String> part, Map<Viseme, String> drawn) {
    public static final MouthChart EMPTY = new MouthChart(Optional.empty(), Map.of());

    public MouthChart {
        Map<Viseme, String> copy = new EnumMap<>(Viseme.class);
        copy.putAll(drawn);
        drawn = java.util.Collections.unmodifiableMap(copy);
    }

    /**
     * How a class comes by its drawing.
     *
     * @param from the class the drawing was made for; the asked one itself when it has its own
     * @param distance how different the two look; 0 when it has its own
     */
    public record Service(Viseme asked, Viseme from, String drawing, double distance) {
        public boolean own() {
            return asked == from;
        }

        /** Why, in words. */
        public String why() {
            return own()
                    ? "drawn for " + asked.words()
                    : "nearest to " + asked.words() + " of those drawn: " + from.words()
                            + String.format(java.util.Locale.ROOT, " (%.2f apart)", distance);
        }
    }

    /**
     * The drawing for a class: its own, or the nearest drawn one by articulation. The lips of rest and of p, b, m never
     * fall back to an open mouth while any closed mouth is drawn. Empty only when nothing is drawn.
     */
    public Optional<Service> serve(Viseme asked) {
        Service best = null;
        boolean wantsClosed = closed(asked);
        for (Map.Entry<Viseme, String> entry : drawn.entrySet()) {
            Viseme from = entry.getKey();
            double d = asked == from ? 0 : asked.articulation().distance(from.articulation());
            Service s = new Service(asked, from, entry.getValue(), d);
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

    public MouthChart with(Viseme viseme, String drawing) {
        Map<Viseme, String> more = new EnumMap<>(Viseme.class);
        more.putAll(drawn);
        more.put(viseme, drawing);
        return new MouthChart(part, more);
    }
}
