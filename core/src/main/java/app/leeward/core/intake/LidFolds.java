package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Lab;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Window;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Keeps what is drawn of a lid beyond its eye: a fold, a crease, the end of a line. The lid itself shows inside the white only, because
 * it travels; a copy that shows past the white's edge only stays where it was drawn.
 */
final class LidFolds {
    /** Less than this apart (ΔE) it is skin on skin, which nobody sees. */
    private static final double SEEN = 3;
    /** How far beyond the white a lid may reach that was drawn as it is to be seen, as shares of the white's width and height. */
    private static final double ASIDE = 0.2;

    private static final double ABOVE = 0.9;

    private LidFolds() {}

    /**
     * With a fold for every lid that has something to be seen beyond the white that masks it.
     *
     * @param settled ids of lids that have the fold they need, or none because the file itself cuts them by the white
     */
    static Character addTo(Character c, Set<String> settled) {
        Character now = c;
        for (Window w : c.rig().windows()) {
            Part white = c.part(w.by()).orElseThrow();
            for (String id : white.role() == PartRole.WHITE ? w.masked() : List.<String>of()) {
                Part lid = c.part(id).orElseThrow();
                boolean lids = lid.role() == PartRole.UPPER_LID || lid.role() == PartRole.LOWER_LID;
                if (lids
                        && !settled.contains(id)
                        && !folded(now, lid, white)
                        && PastEdge.of(white, lid)
                        && drawnAsSeen(lid, white)
                        && seen(c, lid)) {
                    now = with(now, lid, white);
                }
            }
        }
        return now;
    }

    private static boolean folded(Character c, Part lid, Part white) {
        return c.rig().parts().stream()
                .anyMatch(p -> p.pastEdges().contains(white.id())
                        && p.drawings().stream().anyMatch(d -> lid.drawing(lid.shown())
                                .filter(s -> s.art().equals(d.art()))
                                .isPresent()));
    }

    /** Lids much larger than the eye are cut for travelling behind its edge, and were never meant to be seen whole. */
    private static boolean drawnAsSeen(Part lid, Part white) {
        Box w = white.bounds().orElseThrow();
        return lid.bounds()
                .filter(l -> l.minX() > w.minX() - ASIDE * w.width() && l.maxX() < w.maxX() + ASIDE * w.width())
                .filter(l -> l.minY() > w.minY() - ABOVE * w.height() && l.maxY() < w.maxY() + ABOVE * w.height())
                .isPresent();
    }

    private static boolean seen(Character c, Part lid) {
        Optional<Lab> skin = c.part(PartRole.FACE)
                .flatMap(f -> f.drawing(f.shown()))
                .flatMap(d -> d.art().shapes().stream()
                        .flatMap(s -> Sighted.colour(s).stream())
                        .findFirst());
        return lid.drawing(lid.shown()).stream()
                .flatMap(d -> d.art().shapes().stream())
                .anyMatch(s -> s.stroke().visible()
                        || skin.isEmpty()
                        || Sighted.colour(s)
                                .filter(l -> l.difference(skin.get()) > SEEN)
                                .isPresent());
    }

    private static Character with(Character c, Part lid, Part white) {
        Set<String> taken = new HashSet<>(c.rig().parts().stream().map(Part::id).toList());
        String name = lid.name() + " fold";
        Drawing drawn = lid.drawing(lid.shown()).orElseThrow();
        Part fold = lid.with(p -> p.id(Ids.unused(name, taken))
                .name(name)
                .role(PartRole.OTHER)
                .drawings(List.of(drawn))
                .shown(drawn.id())
                .runs(List.of())
                .pastEdges(List.of(white.id())));
        return c.withNewPart(fold, c.rig().order().indexOf(lid.id()));
    }
}
