package app.leeward.core.edit;

import app.leeward.core.lips.MouthProblem;
import app.leeward.core.lips.MouthSet;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Makes the mouths of every row from the starting mouth. Mouths that were drawn, or shaped by hand since, are kept.
 *
 * @param start id of the drawing to make them from; empty for the one of before, or the mouth at rest
 * @param own rulers of single classes, over those of the set
 * @param fill whether mouths that are missing are made too
 * @param again classes of which drawn and shaped mouths give way; those drawings stay in the set
 */
public record MakeMouths(
        String start, MouthRulers rulers, Map<Viseme, MouthRulers> own, boolean fill, List<Viseme> again)
        implements MouthEdit {
    public MakeMouths {
        start = start == null ? "" : start;
        rulers = rulers == null ? MouthRulers.AS_ASKED : rulers;
        own = own == null ? Map.of() : Map.copyOf(own);
        again = again == null ? List.of() : List.copyOf(again);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.MOUTHS.all());
    }

    @Override
    public String describe(Character before) {
        return before.voice().mouths().recipe().isEmpty() ? "Made a set of mouths" : "Rebuilt the mouths";
    }

    @Override
    public Outcome on(Character before) {
        Set<String> rows = new HashSet<>();
        if (fill) {
            rows.add("");
            before.voice().mouths().moods().stream().map(Mood::id).forEach(rows::add);
        }
        return make(() -> MouthSet.made(before, start, rulers, own, rows, Set.copyOf(again)));
    }

    /** What comes of making mouths, or why it cannot be done. */
    static Outcome make(java.util.function.Supplier<Character> work) {
        try {
            return new Outcome.Done(work.get());
        } catch (MouthProblem e) {
            return new Outcome.Refused(e.reason(), e.getMessage());
        }
    }
}
