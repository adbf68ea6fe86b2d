package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.SolidKind;
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
 */
public record SetSolid(String part, Optional<SolidKind> solid, double forward) implements TurnEdit {
    public SetSolid {
        solid = solid == null ? Optional.empty() : solid;
        // refuses a depth no head has
        new Solid(solid, forward);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.SOLID.of(part), Facet.DIAL.of(TurnMaker.DIAL), Facet.DIAL.all());
    }

    @Override
    public String describe(Character before) {
        String name = before.part(part).map(Part::name).orElse(part);
        boolean sameKind = before.part(part)
                .filter(p -> p.solid().flatMap(Solid::kind).equals(solid))
                .isPresent();
        if (sameKind) {
            return "Depth of " + name;
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
        Solid now = new Solid(solid, forward);
        Optional<Solid> kept = now.equals(Solid.GUESSED) ? Optional.empty() : Optional.of(now);
        Character said = before;
        for (Part p : bothSides(before)) {
            said = said.withPart(p.id(), q -> q.withSolid(kept));
        }
        return new Outcome.Done(said.controls().turn().isPresent() ? TurnMaker.addTo(said) : said);
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
