package app.leeward.core.transfer;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.Window;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A whole part with all that follows it, hung where it hangs there, as large as the face or the body is there. */
final class PartTransfer {
    /** So many that come along are called by their names. */
    private static final int FEW = 3;

    private final Character from;
    private final Character to;
    private final Counterparts counterparts;

    PartTransfer(Character from, Character to, Counterparts counterparts) {
        this.from = from;
        this.to = to;
        this.counterparts = counterparts;
    }

    /** Parts nothing stands for, but for what they hang on. */
    static List<Part> missing(Character from, Character to, Counterparts counterparts) {
        return from.mainParts().stream()
                .filter(p -> counterparts.part(p.id()).isEmpty())
                .filter(p -> p.parent()
                        .map(parent -> counterparts.part(parent).isPresent())
                        .orElse(true))
                .filter(p -> box(coming(from, p, counterparts)).isPresent())
                .toList();
    }

    /** A part and what follows it, as far as nothing stands for it: a neck comes without the head that is there. */
    private static List<Part> coming(Character from, Part top, Counterparts counterparts) {
        return from.mainParts().stream()
                .filter(p -> from.rig().follows(p.id(), top.id()))
                .filter(p -> {
                    Optional<Part> at = Optional.of(p);
                    while (at.isPresent() && !at.get().id().equals(top.id())) {
                        if (counterparts.part(at.get().id()).isPresent()) {
                            return false;
                        }
                        at = at.get().parent().flatMap(from::part);
                    }
                    return true;
                })
                .toList();
    }

    /** A part by its name, with the names of the few that come with it: an arm is looked for by its hand. */
    static String name(Character from, Part top, Counterparts counterparts) {
        List<String> others = coming(from, top, counterparts).stream()
                .filter(p -> !p.id().equals(top.id()))
                .map(Part::name)
                .toList();
        if (others.isEmpty()) {
            return top.name();
        }
        int last = others.size() - 1;
        return top.name() + " with "
                + (others.size() > FEW
                        ? others.size() + " parts"
                        : last == 0
                                ? others.get(0)
                                : String.join(", ", others.subList(0, last)) + " and " + others.get(last));
    }

    private static Optional<Box> box(List<Part> parts) {
        return parts.stream().flatMap(p -> p.bounds().stream()).reduce(Box::union);
    }

    Taken taken(Part top) {
        Optional<String> parent = top.parent().flatMap(counterparts::part);
        if (top.parent().isPresent() && parent.isEmpty()) {
            return Taken.nothing(to, "Its parent is not there.");
        }
        List<Part> all = coming(from, top, counterparts);
        Optional<Box> box = box(all);
        if (box.isEmpty()) {
            return Taken.nothing(to, "It shows nothing.");
        }
        PartScale scale = scale(top, parent);
        Matrix place = scale.placing(box.get().centre());
        Map<String, String> ids = new LinkedHashMap<>();
        Set<String> taken = new HashSet<>();
        to.rig().parts().forEach(p -> taken.add(p.id()));
        for (Part p : all) {
            String id = Ids.unused(p.id(), taken);
            taken.add(id);
            ids.put(p.id(), id);
        }
        List<Part> parts = new ArrayList<>(to.rig().parts());
        List<String> order = new ArrayList<>(to.rig().order());
        Map<String, Part> made = new HashMap<>();
        for (Part p : all) {
            Optional<String> on = p.id().equals(top.id()) ? parent : p.parent().map(ids::get);
            Part there = placed(p, ids.get(p.id()), on, place, ids);
            made.put(p.id(), there);
            parts.add(there);
        }
        // back to front, each where its neighbour behind it lies there
        for (String id : from.rig().order()) {
            if (made.containsKey(id)) {
                order.add(slot(id, order, ids), ids.get(id));
            }
        }
        Character after = to.withRig(r -> r.with(b -> b.parts(parts).order(order)));
        for (Window w : from.rig().windows()) {
            String by = ids.getOrDefault(w.by(), counterparts.part(w.by()).orElse(""));
            List<String> masked =
                    w.masked().stream().filter(ids::containsKey).map(ids::get).toList();
            if (!by.isEmpty() && !masked.isEmpty()) {
                after = after.withRig(r -> r.withMasked(by, masked));
            }
        }
        all.forEach(p -> counterparts.put(p, made.get(p.id())));
        List<String> facts = new ArrayList<>();
        facts.add((all.size() == 1 ? "One part" : all.size() + " parts") + ", at "
                + Decimals.plain(scale.even() * 100, 0) + " % of the size"
                + parent.flatMap(to::part).map(p -> ", its parent " + p.name()).orElse("") + ".");
        return new Taken(after, TransferItem.Fitting.WHOLE, facts);
    }

    private PartScale scale(Part top, Optional<String> parent) {
        Optional<Box> a = PartScale.around(from, top.id());
        Optional<Box> b =
                parent.flatMap(p -> inFace(top) ? PartScale.face(to) : to.rig().boundsWithFollowers(p));
        if (!inFace(top)) {
            a = top.parent().flatMap(p -> from.rig().boundsWithFollowers(p));
        }
        if (a.isEmpty() || b.isEmpty()) {
            a = Optional.of(canvas(from));
            b = Optional.of(canvas(to));
        }
        return new PartScale(
                b.get().width() / Math.max(1e-6, a.get().width()),
                b.get().height() / Math.max(1e-6, a.get().height()),
                a.get(),
                b.get());
    }

    private boolean inFace(Part p) {
        return p.parent().flatMap(o -> PartScale.within(from, o, PartRole.HEAD)).isPresent();
    }

    private static Box canvas(Character c) {
        return new Box(0, 0, c.sheet().canvas().width(), c.sheet().canvas().height());
    }

    private Part placed(Part p, String id, Optional<String> on, Matrix m, Map<String, String> ids) {
        Placement r = p.rest();
        List<Drawing> drawings = p.drawings().stream()
                .map(d -> d.transform(m)
                        .withOver(d.over()
                                .map(o ->
                                        ids.getOrDefault(o, counterparts.part(o).orElse(null)))))
                .toList();
        List<String> edges = p.pastEdges().stream()
                .map(e -> ids.getOrDefault(e, counterparts.part(e).orElse(id)))
                .filter(e -> !e.equals(id))
                .toList();
        return p.with(b -> b.id(id)
                .parent(on)
                .drawings(drawings)
                .pivot(m.apply(p.pivot()))
                .earlierPivots(p.earlierPivots().stream().map(m::apply).toList())
                .rest(new Placement(
                        m.a() * r.x(), m.a() * r.y(), r.rotation(), r.scaleX(), r.scaleY(), r.skewX(), r.opacity()))
                .pastEdges(edges)
                // where it is welded to, and grows from, is the other head's
                .solid(p.solid().flatMap(s -> s.kind().map(k -> Solid.of(k, s.forward())))));
    }

    /** Directly over the nearest part behind it that is there too; at the back when there is none. */
    private int slot(String id, List<String> order, Map<String, String> ids) {
        List<String> own = from.rig().order();
        for (int i = own.indexOf(id) - 1; i >= 0; i--) {
            String behind = own.get(i);
            Optional<String> there = Optional.ofNullable(ids.get(behind)).or(() -> counterparts.part(behind));
            if (there.isPresent() && order.contains(there.get())) {
                return order.indexOf(there.get()) + 1;
            }
        }
        return 0;
    }
}
