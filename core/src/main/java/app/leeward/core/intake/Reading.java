package app.leeward.core.intake;

import app.leeward.core.art.Matrix;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Window;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Hangs parts anew after somebody said what they are. The picture at rest does not change. */
public final class Reading {
    private Reading() {}

    /** @param offers about parts that are there */
    public static Character as(Character c, List<Offer> offers) {
        Character now = c;
        for (Offer o : offers) {
            now = named(now, o);
        }
        for (Offer o : offers) {
            if (o.role().follows().equals(Optional.of(PartRole.EYE))) {
                now = withEye(now, o.side());
            }
        }
        for (Offer o : offers) {
            now = hung(now, o.part());
        }
        List<String> touched = offers.stream().map(Offer::part).toList();
        List<Window> windows = windows(now, touched);
        // a lid nobody spoke of, masked by a white already, has the fold it needs
        Set<String> settled = c.rig().windows().stream()
                .filter(w -> c.part(w.by()).orElseThrow().role() == PartRole.WHITE)
                .flatMap(w -> w.masked().stream())
                .filter(id -> !touched.contains(id))
                .collect(Collectors.toSet());
        return Roles.withDials(LidFolds.addTo(chart(now.withRig(rig -> rig.withWindows(windows))), settled));
    }

    private static Character named(Character c, Offer o) {
        String wanted = o.side().prefix() + o.role().words();
        boolean taken = c.rig().parts().stream().anyMatch(p -> p.name().equals(wanted) && !p.id().equals(o.part()));
        return c.withPart(o.part(), p -> {
            Part as = p.withRole(o.role(), o.side())
                    .withDrawings(
                            p.drawings().stream()
                                    .map(d -> Bendable.of(o.role(), d))
                                    .toList(),
                            p.shown());
            return taken || o.role() == PartRole.OTHER ? as : as.withName(wanted);
        });
    }

    /** An eye for the pieces of one to follow. */
    private static Character withEye(Character c, Side side) {
        if (c.part(PartRole.EYE, side).isPresent()) {
            return c;
        }
        String name = side.prefix() + PartRole.EYE.words();
        Set<String> taken =
                new java.util.HashSet<>(c.rig().parts().stream().map(Part::id).toList());
        Part eye = new Part(
                app.leeward.core.rig.Ids.unused(name, taken),
                name,
                PartRole.EYE,
                side,
                c.part(PartRole.HEAD).map(Part::id),
                new app.leeward.core.art.Point(0, 0),
                Placement.REST,
                List.of(),
                Part.NOTHING);
        return c.withNewPart(eye, 0);
    }

    private static Character hung(Character c, String id) {
        Part p = c.part(id).orElseThrow();
        Optional<String> parent = Roles.parentFor(c, p.role(), p.side(), id).map(Part::id);
        if (p.role() == PartRole.OTHER
                || parent.filter(to -> c.rig().follows(to, id)).isPresent()) {
            parent = p.parent();
        }
        Optional<String> to = parent;
        Evaluator rest = new Evaluator(c);
        Matrix change = rest.atRest(to).inverse().times(rest.atRest(p.parent()));
        Placement placed =
                to.equals(p.parent()) ? p.rest() : Placement.of(change.times(p.restMatrix()), p.restPivot(), p.rest());
        Character there = c.withPart(id, q -> q.withParent(to).withRest(placed));
        if (!placed.equals(Placement.REST)) {
            return there;
        }
        // not placed yet, and the dials are made anew: the pivot can go where the role wants it
        List<Part> parts = there.rig().parts();
        return there.withRig(rig -> rig.withParts(parts.stream()
                .map(q -> q.id().equals(id) || isEyeOf(p, q) ? q.withPivot(Pivots.placeFor(q, parts), List.of()) : q)
                .toList()));
    }

    private static boolean isEyeOf(Part piece, Part eye) {
        return eye.role() == PartRole.EYE
                && eye.side() == piece.side()
                && piece.role().follows().equals(Optional.of(PartRole.EYE));
    }

    /** Windows of parts nobody spoke of stay; those of the others follow from the roles. */
    private static List<Window> windows(Character c, List<String> touched) {
        List<Window> out = new ArrayList<>();
        Map<String, String> views = c.rig().views();
        for (Part by : c.rig().parts()) {
            List<String> before = c.rig().windows().stream()
                    .filter(w -> w.by().equals(by.id()))
                    .flatMap(w -> w.masked().stream())
                    .toList();
            List<String> masked = c.rig().parts().stream()
                    .filter(p -> touched.contains(by.id()) || touched.contains(p.id())
                            ? !by.drawings().isEmpty()
                                    && (Roles.masks(by, p) || clipped(by, p, touched) && before.contains(p.id()))
                                    && Objects.equals(views.get(by.id()), views.get(p.id()))
                            : before.contains(p.id()))
                    .map(Part::id)
                    .toList();
            if (!masked.isEmpty()) {
                out.add(new Window(by.id(), masked));
            }
        }
        return out;
    }

    /** What the file clips to a white, whatever it is, stays masked by it. */
    private static boolean clipped(Part by, Part p, List<String> touched) {
        return by.role() == PartRole.WHITE && p.role() == PartRole.OTHER && !touched.contains(p.id());
    }

    private static Character chart(Character c) {
        boolean there = c.voice()
                .mouths()
                .part()
                .flatMap(c::part)
                .filter(p -> p.role() == PartRole.MOUTH)
                .isPresent();
        return there
                ? c
                : c.withVoice(voice -> voice.withMouths(c.part(PartRole.MOUTH)
                        .filter(p -> !p.drawings().isEmpty())
                        .map(MouthNames::chart)
                        .orElse(app.leeward.core.mouth.MouthChart.EMPTY)));
    }
}
