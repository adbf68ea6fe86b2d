package app.leeward.core.edit;

import app.leeward.core.art.Matrix;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Stop;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Lets parts follow another one, or nothing. The picture at rest stays as it is, and so does what every dial does to the
 * parts themselves: shifts keep their direction on the canvas, turns their sense.
 *
 * @param parent empty to follow nothing
 */
public record Hang(List<String> parts, Optional<String> parent) implements PartEdit {
    public Hang {
        parts = List.copyOf(parts);
        parent = parent == null ? Optional.empty() : parent;
    }

    @Override
    public Set<Touch> touches() {
        return parts.stream().map(p -> Facet.PLACE.of(p)).collect(Collectors.toSet());
    }

    @Override
    public String describe(Character before) {
        return Edits.namesOf(before, parts)
                + (parts.size() == 1 ? " follows " : " follow ")
                + parent.map(p -> Edits.nameOf(before, p)).orElse("nothing");
    }

    @Override
    public Outcome on(Character before) {
        Optional<String> gone = Edits.missing(before, parts)
                .or(() -> parent.filter(p -> before.part(p).isEmpty()));
        if (gone.isPresent()) {
            return Edits.noPart(gone.get());
        }
        Optional<String> circle = parts.stream()
                .filter(p -> parent.isPresent() && before.rig().follows(parent.get(), p))
                .findFirst();
        if (circle.isPresent()) {
            return new Outcome.Refused(
                    RefusalCode.CIRCLE,
                    Edits.nameOf(before, circle.get()) + " cannot follow " + Edits.nameOf(before, parent.orElseThrow())
                            + ", which follows it.");
        }
        try {
            Character c = before;
            for (String p : parts) {
                c = rehung(c, p);
            }
            return new Outcome.Done(c);
        } catch (IllegalStateException e) {
            return new Outcome.Refused(RefusalCode.FLAT, "A part cannot follow one that is flattened to a line.");
        }
    }

    private Character rehung(Character c, String id) {
        Part part = c.part(id).orElseThrow();
        if (part.parent().equals(parent)) {
            return c;
        }
        Evaluator standing = new Evaluator(c);
        Matrix change = standing.atRest(parent).inverse().times(standing.atRest(part.parent()));
        Placement rest = Placement.of(change.times(part.restMatrix()), part.restPivot(), part.rest());
        Character hung = c.withPart(id, p -> p.withParent(parent).withRest(rest));
        boolean onlyMoved = change.a() == 1 && change.b() == 0 && change.c() == 0 && change.d() == 1;
        return onlyMoved
                ? hung
                : hung.withDials(dials(c, id, change), c.controls().pads());
    }

    private static List<Dial> dials(Character c, String part, Matrix change) {
        double sense = Math.signum(change.determinant());
        return c.controls().dials().stream()
                .map(d -> !d.poses(part)
                        ? d
                        : d.withStops(d.stops().stream()
                                .map(s -> stop(s, part, change, sense))
                                .toList()))
                .toList();
    }

    private static Stop stop(Stop s, String part, Matrix m, double sense) {
        Offset o = s.offsets().get(part);
        if (o == null) {
            return s;
        }
        Map<String, Offset> offsets = new HashMap<>(s.offsets());
        offsets.put(
                part,
                o.with(Channel.X, m.a() * o.x() + m.c() * o.y())
                        .with(Channel.Y, m.b() * o.x() + m.d() * o.y())
                        .with(Channel.ROTATION, o.rotation() * sense)
                        .with(Channel.SKEW_X, o.skewX() * sense));
        return s.withOffsets(offsets);
    }
}
