package app.leeward.core.mouth;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * How a character's mouths were made, so that they can be made again when the rulers are turned.
 *
 * @param start id of the drawing they were made from
 * @param rulers for the whole set
 * @param own what single classes add to that
 * @param made drawing id to the fingerprint of what was made; a drawing that reads otherwise was shaped by hand since
 */
public record MouthRecipe(String start, MouthRulers rulers, Map<Viseme, MouthRulers> own, Map<String, String> made) {
    public MouthRecipe {
        Map<Viseme, MouthRulers> classes = new EnumMap<>(Viseme.class);
        classes.putAll(own);
        own = Collections.unmodifiableMap(classes);
        made = Collections.unmodifiableMap(new TreeMap<>(made));
    }

    /** Without drawings that are gone. */
    public MouthRecipe without(Set<String> drawings) {
        Map<String, String> left = new TreeMap<>(made);
        left.keySet().removeAll(drawings);
        return new MouthRecipe(start, rulers, own, left);
    }

    /** With one more drawing that was made. */
    public MouthRecipe with(String drawing, String fingerprint) {
        Map<String, String> more = new TreeMap<>(made);
        more.put(drawing, fingerprint);
        return new MouthRecipe(start, rulers, own, more);
    }

    /** The rulers of one class. */
    public MouthRulers of(Viseme viseme) {
        return own.containsKey(viseme) ? rulers.and(own.get(viseme)) : rulers;
    }
}
