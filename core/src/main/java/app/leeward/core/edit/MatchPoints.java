package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Path;
import app.leeward.core.morph.MatchedPoints;
import app.leeward.core.morph.Pieces;
import app.leeward.core.morph.Rewriting;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Gives two drawings of a part the same points, so that one can come over into the other. Neither looks any different. Drawings that
 * had the points of one of them before get the new ones too.
 *
 * @param from id of the drawing it comes from
 * @param to id of the drawing it comes over into
 */
public record MatchPoints(String part, String from, String to) implements ShapeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DRAWINGS.of(part), Facet.ART.of(part, from), Facet.ART.of(part, to));
    }

    @Override
    public String describe(Character before) {
        return "Matched the points of " + Redrawing.name(before, part, from) + " and of drawing "
                + before.part(part)
                        .flatMap(p -> p.drawing(to))
                        .map(Drawing::name)
                        .orElse(to);
    }

    @Override
    public Outcome on(Character before) {
        Part p = before.part(part).orElse(null);
        if (p == null) {
            return Edits.noPart(part);
        }
        for (String id : List.of(from, to)) {
            if (p.drawing(id).isEmpty()) {
                return new Outcome.Refused(RefusalCode.NO_DRAWING, p.name() + " has no drawing '" + id + "' any more.");
            }
        }
        int[] partners = Pieces.paired(art(before, from), art(before, to));
        Character now = before;
        for (int s = 0; s < partners.length; s++) {
            if (partners[s] >= 0) {
                Path own = art(now, from).shapes().get(partners[s]).path();
                Path other = art(now, to).shapes().get(s).path();
                MatchedPoints matched = own.steppedLike(other)
                        ? null
                        : MatchedPoints.of(own, other).orElse(null);
                if (matched != null) {
                    now = written(now, from, partners[s], own, matched.from());
                    now = written(now, to, s, other, matched.to());
                }
            }
        }
        return now == before
                ? new Outcome.Refused(RefusalCode.POINTS_MATCHED, unmatched(before, partners))
                : new Outcome.Done(now);
    }

    private String unmatched(Character c, int[] partners) {
        for (int s = 0; s < partners.length; s++) {
            if (partners[s] >= 0) {
                Path own = art(c, from).shapes().get(partners[s]).path();
                if (own.steppedLike(art(c, to).shapes().get(s).path())) {
                    return "What can come over has the same points in both drawings already.";
                }
            }
        }
        return "No piece of one drawing goes with a piece of the other: a piece needs one of the same kind (filled or not, with a line"
                + " or not, open or closed), and pictures do not come over.";
    }

    /** One shape written anew, in this drawing and in all that had the same points. */
    private Character written(Character c, String drawing, int shape, Path outline, Rewriting anew) {
        Map<String, Integer> all = new LinkedHashMap<>();
        for (Drawing d : c.part(part).orElseThrow().drawings()) {
            int[] partners = Pieces.paired(art(c, drawing), d.art());
            for (int i = 0; i < partners.length; i++) {
                boolean same = d.id().equals(drawing) ? i == shape : partners[i] == shape;
                if (same && d.art().shapes().get(i).path().steppedLike(outline)) {
                    all.put(d.id(), i);
                }
            }
        }
        Character now = c;
        for (Map.Entry<String, Integer> e : all.entrySet()) {
            Outcome done =
                    Redrawing.shape(now, part, e.getKey(), e.getValue(), s -> s.withPath(anew.of(s.path())), true);
            now = ((Outcome.Done) done).character();
        }
        return now;
    }

    private Artwork art(Character c, String drawing) {
        return c.part(part).orElseThrow().drawing(drawing).orElseThrow().art();
    }
}
