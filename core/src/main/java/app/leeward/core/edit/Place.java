package app.leeward.core.edit;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Puts a part somewhere in its rest pose, by numbers or by a hand on its handles. Turning and growing happen about the
 * pivot the part has now.
 */
public record Place(String part, Placement rest) implements PartEdit {
    /** Smallest factor, so that no part becomes a line that cannot be grown again. */
    public static final double SMALLEST = 0.001;

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.PLACE.of(part));
    }

    @Override
    public String describe(Character before) {
        Placement was = before.part(part).map(Part::rest).orElse(Placement.REST);
        List<String> changed = new ArrayList<>();
        if (was.x() != rest.x() || was.y() != rest.y()) {
            changed.add("stands at " + Edits.plain(rest.x()) + ", " + Edits.plain(rest.y()));
        }
        if (was.rotation() != rest.rotation()) {
            changed.add("is turned " + Edits.plain(rest.rotation()) + "°");
        }
        if (was.scaleX() != rest.scaleX() || was.scaleY() != rest.scaleY()) {
            changed.add("is " + Edits.plain(rest.scaleX() * 100) + " % wide and " + Edits.plain(rest.scaleY() * 100)
                    + " % tall");
        }
        if (was.skewX() != rest.skewX()) {
            changed.add("is skewed " + Edits.plain(rest.skewX()) + "°");
        }
        if (was.opacity() != rest.opacity()) {
            changed.add("is " + Edits.plain(rest.opacity() * 100) + " % opaque");
        }
        return Edits.nameOf(before, part) + " " + (changed.isEmpty() ? "stays" : String.join(", ", changed));
    }

    @Override
    public Outcome on(Character before) {
        if (Edits.tooFar(before, rest.x(), rest.y())) {
            return Edits.TOO_FAR;
        }
        if (Math.abs(rest.scaleX()) < SMALLEST
                || Math.abs(rest.scaleY()) < SMALLEST
                || Math.abs(rest.skewX()) > 85
                || Math.max(Math.abs(rest.scaleX()), Math.abs(rest.scaleY())) > 1000) {
            return new Outcome.Refused(
                    RefusalCode.FLAT,
                    "A part keeps 0.1 % to 100000 % of its size and a skew within 85°, or it could not be seen.");
        }
        if (rest.opacity() < 0 || rest.opacity() > 1) {
            return new Outcome.Refused(RefusalCode.OPACITY, "Opacity lies between 0 and 100 %.");
        }
        return Edits.onPart(before, part, p -> p.withRest(aboutPresentPivot(p)));
    }

    /** The rest placement acts about the oldest pivot; the shift makes up for it, so that the present one stays put. */
    private Placement aboutPresentPivot(Part p) {
        Point from = p.restPivot();
        if (from.equals(p.pivot())) {
            return rest;
        }
        Matrix was = p.rest().matrix(from);
        Point onArt = was.inverse()
                .apply(p.pivot().plus(new Point(p.rest().x(), p.rest().y())));
        Point wanted = was.apply(onArt)
                .plus(new Point(rest.x() - p.rest().x(), rest.y() - p.rest().y()));
        Point got = rest.matrix(from).apply(onArt);
        return rest.movedBy(wanted.x() - got.x(), wanted.y() - got.y());
    }
}
