package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/**
 * Merges several colours of the palette into others at once.
 *
 * @param into the colour that goes to the one that stays; what stays may itself go to another
 */
public record MergeColours(Map<String, String> into) implements ColourEdit {
    public MergeColours {
        into = Collections.unmodifiableMap(new LinkedHashMap<>(into));
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.COLOURS.all(), Facet.ART.all());
    }

    @Override
    public String describe(Character before) {
        return "Merged " + into.size() + (into.size() == 1 ? " colour" : " colours")
                + " that could hardly be told apart";
    }

    @Override
    public Outcome on(Character before) {
        Character c = before;
        for (String from : into.keySet()) {
            String to = from;
            for (int i = 0; into.containsKey(to); i++) {
                if (i > into.size()) {
                    return new Outcome.Refused(
                            RefusalCode.CIRCLE, "The colours would merge into each other in a circle.");
                }
                to = into.get(to);
            }
            Outcome merged = new Recolour(from, to).on(c);
            if (!(merged instanceof Outcome.Done done)) {
                return merged;
            }
            c = done.character();
        }
        return new Outcome.Done(c);
    }
}
