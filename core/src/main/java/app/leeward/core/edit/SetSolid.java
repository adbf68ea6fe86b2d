package app.leeward.core.edit;

import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.rig.Weld;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.turn.TurnMaker;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Says what a piece of a head is in the round, and of its other side if it has one. The turn and the nod are made anew; what was
 * shaped by hand stays.
 *
 * @param solid its kind; empty for what is guessed
 * @param forward how much further towards the viewer it stands than its kind says, in half widths of the head
 * @param root where it grows out of the head, in the coordinates of its drawings; empty for where it meets the skin
 * @param weld what it is welded to; empty for the outline of the face, where it lies along that
 */
public record SetSolid(
        String part, Optional<SolidKind> solid, double forward, Optional<Point> root, Optional<Weld> weld)
        implements TurnEdit {
    public SetSolid {
        solid = solid == null ? Optional.empty() : solid;
        root = root == null ? Optional.empty() : root;
        weld = weld == null ? Optional.empty() : weld;
        // refuses a depth no head has
        new Solid(solid, forward, root, weld);
    }

    /** A kind and a depth; root and weld as they look. */
    public static SetSolid of(String part, Optional<SolidKind> solid, double forward) {
        return new SetSolid(part, solid, forward, Optional.empty(), Optional.empty());
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.SOLID.of(part), Facet.DIAL.of(TurnMaker.DIAL), Facet.DIAL.all());
    }

    @Override
    public String describe(Character before) {
        String name = before.part(part).map(Part::name).orElse(part);
        Solid was = before.part(part).flatMap(Part::solid).orElse(Solid.GUESSED);
        if (was.kind().equals(solid)) {
            return !was.weld().equals(weld)
                    ? "What " + name + " is welded to"
                    : !was.root().equals(root) ? "Root of " + name : "Depth of " + name;
        }
        return "What " + name + " is in the round: "
                + solid.map(SolidKind::words).orElse("as it looks");
    }

    @Override
    public Outcome on(Character before) {
        boolean onHead = before.part(PartRole.HEAD)
                .filter(head -> before.part(part).isPresent() && before.rig().follows(part, head.id()))
                .isPresent();
        if (!onHead) {
            return new Outcome.Refused(RefusalCode.NO_PART, "There is no such piece on the head any more.");
        }
        Optional<String> weldedTo = weld.flatMap(Weld::to);
        if (weldedTo.isPresent()) {
            Optional<Outcome> refused = weldRefused(before, weldedTo.get());
            if (refused.isPresent()) {
                return refused.get();
            }
        }
        Character said = before;
        for (Part p : bothSides(before)) {
            Solid now = p.id().equals(part) ? new Solid(solid, forward, root, weld) : mirrored(before, p);
            Optional<Solid> kept = now.equals(Solid.GUESSED) ? Optional.empty() : Optional.of(now);
            said = said.withPart(p.id(), q -> q.withSolid(kept));
        }
        return new Outcome.Done(said.controls().turn().isPresent() ? TurnMaker.addTo(said) : said);
    }

    /** Only to what goes with the head point by point: what keeps its drawing cannot follow along an outline, nor be followed. */
    private Optional<Outcome> weldRefused(Character c, String to) {
        Optional<HeadSolids> solids = TurnMaker.fitted(c).flatMap(shape -> HeadSolids.of(c, shape));
        boolean bears = !to.equals(part)
                && solids.filter(s -> s.pieces().contains(to) && s.goesByPoints(to))
                        .isPresent();
        return bears
                ? Optional.empty()
                : Optional.of(new Outcome.Refused(
                        RefusalCode.NO_WELD,
                        c.part(to)
                                .map(
                                        p -> p.name()
                                                + " moves as one piece or not at all, so nothing can be welded along its outline.")
                                .orElse("The piece to weld it to is not there any more.")));
    }

    /** The same for the piece on the other side, whose root lies across the axis. */
    private Solid mirrored(Character c, Part other) {
        Evaluator evaluator = new Evaluator(c);
        double axis = c.sheet().model().axis();
        Optional<Point> across = root.map(evaluator.atRest(Optional.of(part))::apply)
                .map(p -> new Point(2 * axis - p.x(), p.y()))
                .map(evaluator.atRest(Optional.of(other.id())).inverse()::apply);
        Optional<Weld> there = weld.map(w -> new Weld(w.to().map(to -> otherSide(c, to))));
        return new Solid(solid, forward, across, there);
    }

    private static String otherSide(Character c, String piece) {
        Part one = c.part(piece).orElseThrow();
        return c.rig().parts().stream()
                .filter(p -> one.side() != Side.NONE
                        && p.side() == one.side().mirrored()
                        && p.role() == one.role()
                        && sameButForSide(c, p, one))
                .map(Part::id)
                .findFirst()
                .orElse(piece);
    }

    private List<Part> bothSides(Character c) {
        Part one = c.part(part).orElseThrow();
        return c.rig().parts().stream()
                .filter(p -> p == one
                        || one.side() != Side.NONE
                                && p.side() == one.side().mirrored()
                                && p.role() == one.role()
                                && sameButForSide(c, p, one))
                .toList();
    }

    /** The other side's piece: of several in one role the one at the same place among them. */
    private static boolean sameButForSide(Character c, Part a, Part b) {
        return place(c, a) == place(c, b);
    }

    private static int place(Character c, Part p) {
        return c.rig().parts().stream()
                .filter(o -> o.role() == p.role() && o.side() == p.side())
                .toList()
                .indexOf(p);
    }
}
