package app.leeward.core.edit;

import app.leeward.core.lips.MouthSet;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthRecipe;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Begins a row of mouths in a mood, made from the neutral row's starting mouth, or changes one; what was shaped by hand in it
 * is kept.
 *
 * @param mood id of the mood to change; empty for a new one
 * @param corners −1 down to 1 up
 * @param tension 0 loose to 1 tight
 */
public record SetMood(String mood, String name, double corners, double tension) implements MouthEdit {
    public SetMood {
        mood = mood == null ? "" : mood;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.MOUTHS.all());
    }

    @Override
    public String describe(Character before) {
        return mood.isEmpty() ? "Began the mood " + name.strip() : "Changed the mood " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> bad = Edits.badName(name);
        if (bad.isPresent()) {
            return bad.get();
        }
        MouthChart chart = before.voice().mouths();
        boolean twice =
                chart.moods().stream().anyMatch(m -> m.name().equalsIgnoreCase(name.strip()) && !m.id().equals(mood));
        if (twice) {
            return new Outcome.Refused(RefusalCode.MOOD_TWICE, "There is a mood '" + name.strip() + "' already.");
        }
        if (mood.isEmpty()) {
            if (chart.moods().size() >= MouthSet.MOST_MOODS) {
                return new Outcome.Refused(
                        RefusalCode.MOODS_MANY, "A character has at most " + MouthSet.MOST_MOODS + " moods.");
            }
            String id = Ids.unused(name, chart.moods().stream().map(Mood::id).collect(Collectors.toSet()));
            return remade(before, new Mood(id, name.strip(), corners, tension, Map.of()), Set.of(id));
        }
        Mood was = chart.mood(mood).orElse(null);
        return was == null
                ? new Outcome.Refused(RefusalCode.NO_MOOD, "There is no such mood any more.")
                : remade(before, new Mood(mood, name.strip(), corners, tension, was.drawn()), Set.of());
    }

    private static Outcome remade(Character before, Mood mood, Set<String> fill) {
        MouthChart chart = before.voice().mouths().with(mood);
        MouthRecipe recipe = chart.recipe()
                .orElseGet(() -> new MouthRecipe(
                        MouthSet.start(before).map(d -> d.id()).orElse(""), MouthRulers.AS_ASKED, Map.of(), Map.of()));
        return MakeMouths.make(
                () -> MouthSet.again(before.withVoice(voice -> voice.withMouths(chart.with(recipe))), fill));
    }
}
