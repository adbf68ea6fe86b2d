package app.leeward.core.edit;

import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Lets a mouth drawing serve a class of sounds, or leaves the class to the nearest.
 *
 * @param drawing id of the drawing; empty to leave the class to the nearest
 * @param mood id of the row; empty for the neutral one
 */
public record ServeSound(Viseme viseme, String drawing, String mood) implements MouthEdit {
    public ServeSound {
        // asked for before there were rows
        mood = mood == null ? "" : mood;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.SERVED.of(viseme + " " + mood));
    }

    @Override
    public String describe(Character before) {
        String row = before.voice()
                .mouths()
                .mood(mood)
                .map(m -> " in the mood " + m.name())
                .orElse("");
        return drawing.isEmpty()
                ? "Left " + viseme.words() + row + " to the nearest mouth"
                : "Mouth '" + name(before) + "' serves " + viseme.words() + row;
    }

    private String name(Character c) {
        return c.voice()
                .mouths()
                .part()
                .flatMap(c::part)
                .flatMap(p -> p.drawing(drawing))
                .map(d -> d.name())
                .orElse(drawing);
    }

    @Override
    public Outcome on(Character before) {
        MouthChart chart = before.voice().mouths();
        boolean known = chart.part()
                .flatMap(before::part)
                .flatMap(p -> p.drawing(drawing))
                .isPresent();
        if (!known && !drawing.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "The mouth has no drawing '" + drawing + "'.");
        }
        Optional<Mood> row = chart.mood(mood);
        if (!mood.isEmpty() && row.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_MOOD, "There is no such mood any more.");
        }
        Map<Viseme, String> drawn = new EnumMap<>(Viseme.class);
        drawn.putAll(row.map(Mood::drawn).orElse(chart.drawn()));
        if (drawing.isEmpty()) {
            drawn.remove(viseme);
        } else {
            drawn.put(viseme, drawing);
        }
        if (drawn.isEmpty() && row.isEmpty()) {
            return new Outcome.Refused(RefusalCode.LAST_MOUTH, "This is the last mouth that serves a sound; keep one.");
        }
        return new Outcome.Done(before.withVoice(voice ->
                voice.withMouths(row.isPresent() ? chart.with(row.get().withDrawn(drawn)) : chart.withDrawn(drawn))));
    }
}
