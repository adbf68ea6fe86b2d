package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The colours that were exchanged for others throughout a character since its art was read. */
final class Recolouring {
    private final Map<String, String> into;

    private Recolouring(Map<String, String> into) {
        this.into = into;
    }

    /** A colour counts as exchanged when it became one and the same other colour wherever it was used. */
    static Recolouring between(List<Registration.Pair> readAndNow) {
        Map<String, Set<String>> seen = new HashMap<>();
        for (Registration.Pair p : readAndNow) {
            List<String> from = colours(p.from());
            List<String> to = colours(p.to());
            if (from.size() == to.size()
                    && p.from().shapes().size() == p.to().shapes().size()) {
                for (int i = 0; i < from.size(); i++) {
                    seen.computeIfAbsent(from.get(i), k -> new HashSet<>()).add(to.get(i));
                }
            }
        }
        Map<String, String> into = new HashMap<>();
        seen.forEach((from, to) -> {
            if (to.size() == 1 && !to.contains(from)) {
                into.put(from, to.iterator().next());
            }
        });
        return new Recolouring(into);
    }

    boolean isEmpty() {
        return into.isEmpty();
    }

    int size() {
        return into.size();
    }

    /** All exchanges at once, so that two colours that changed places do not become one. */
    Artwork on(Artwork art) {
        return isEmpty()
                ? art
                : new Artwork(art.shapes().stream().map(s -> s.recoloured(into)).toList());
    }

    /** In order and with repeats, one a place where a colour can stand. */
    private static List<String> colours(Artwork art) {
        List<String> out = new ArrayList<>();
        for (Shape s : art.shapes()) {
            s.fill().colours().forEach(out::add);
            (s.stroke().visible() ? s.stroke().paint() : Paint.NONE).colours().forEach(out::add);
        }
        return out;
    }
}
