package app.leeward.core.edit;

import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Moves what a part turns and grows about. No picture changes, at any value of any dial: what was recorded before goes on
 * turning about the pivot it was recorded with, what is recorded from now on turns about the new one.
 *
 * @param to in the coordinates of the part's own art, as {@link Part#pivot()}
 */
public record MovePivot(String part, Point to) implements PartEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.PLACE.of(part), Facet.PIVOT.of(part));
    }

    @Override
    public String describe(Character before) {
        return "Moved the pivot of " + Edits.nameOf(before, part) + " to " + Edits.plain(to.x()) + ", "
                + Edits.plain(to.y());
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> moved = before.part(part);
        if (moved.isEmpty()) {
            return Edits.noPart(part);
        }
        if (Edits.tooFar(before, to.x(), to.y())) {
            return new Outcome.Refused(RefusalCode.TOO_FAR, "That would put the pivot far off the canvas.");
        }
        Part p = moved.get();
        boolean restTurns = p.earlierPivots().isEmpty() && turns(p.rest());
        if (!restTurns && before.controls().dials().stream().noneMatch(d -> turnsAboutPresent(d))) {
            return Edits.onPart(before, part, q -> q.withPivot(to, q.earlierPivots()));
        }
        List<Point> earlier = new ArrayList<>(p.earlierPivots());
        earlier.add(p.pivot());
        Integer hinge = earlier.size() - 1;
        List<Dial> dials = before.controls().dials().stream()
                .map(d -> d.poses(part) && !d.hinges().containsKey(part) ? hinged(d, hinge) : d)
                .toList();
        return Edits.onPart(before.withDials(dials, before.controls().pads()), part, q -> q.withPivot(to, earlier));
    }

    private static boolean turns(Placement r) {
        return r.rotation() != 0 || r.scaleX() != 1 || r.scaleY() != 1 || r.skewX() != 0;
    }

    private boolean turnsAboutPresent(Dial d) {
        return !d.hinges().containsKey(part)
                && d.stops().stream().map(s -> s.offsets().get(part)).anyMatch(o -> o != null && o.turns());
    }

    private Dial hinged(Dial d, Integer hinge) {
        Map<String, Integer> hinges = new HashMap<>(d.hinges());
        hinges.put(part, hinge);
        return d.withHinges(hinges);
    }
}
