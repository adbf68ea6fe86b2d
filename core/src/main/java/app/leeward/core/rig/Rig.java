package app.leeward.core.rig;

import app.leeward.core.art.Box;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The parts, who follows whom, what lies over what, what masks what and what mirrors what.
 *
 * @param order part ids back to front, independent of who follows whom; exactly the ids of {@code parts}
 * @param links which parts are kept as mirror images of each other
 */
@RecordBuilder
public record Rig(List<Part> parts, List<String> order, List<Window> windows, List<MirrorLink> links)
        implements RigBuilder.With {
    /** @throws IllegalArgumentException when two parts share an id, one follows itself or nobody, or the order is not theirs */
    public Rig {
        parts = List.copyOf(parts);
        order = List.copyOf(order);
        windows = List.copyOf(windows);
        // stored before there were such things
        links = links == null ? List.of() : List.copyOf(links);
        requireSoundTree(parts, order);
    }

    private static void requireSoundTree(List<Part> parts, List<String> order) {
        Map<String, Part> byId = new HashMap<>();
        for (Part p : parts) {
            if (byId.put(p.id(), p) != null) {
                throw new IllegalArgumentException("two parts have the id '" + p.id() + "'");
            }
        }
        if (order.size() != parts.size() || !byId.keySet().equals(new HashSet<>(order))) {
            throw new IllegalArgumentException("the stacking order must name every part once");
        }
        for (Part p : parts) {
            Set<String> seen = new HashSet<>();
            Part at = p;
            while (at.parent().isPresent()) {
                if (!seen.add(at.id())) {
                    throw new IllegalArgumentException("'" + p.name() + "' would follow itself");
                }
                String parent = at.parent().get();
                at = byId.get(parent);
                if (at == null) {
                    throw new IllegalArgumentException(
                            "'" + p.name() + "' follows '" + parent + "', which is not there");
                }
            }
        }
    }

    public Optional<Part> part(String id) {
        return parts.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** The first part in this role and on this side. */
    public Optional<Part> part(PartRole role, Side side) {
        return parts.stream().filter(p -> p.role() == role && p.side() == side).findFirst();
    }

    /** The first part in this role, whatever its side. */
    public Optional<Part> part(PartRole role) {
        return parts.stream().filter(p -> p.role() == role).findFirst();
    }

    /** The id of the view each part belongs to, by the part's id; parts of the whole body are left out. */
    public Map<String, String> views() {
        return ViewSet.membershipOf(parts);
    }

    public List<Part> childrenOf(String id) {
        return parts.stream().filter(p -> p.parent().equals(Optional.of(id))).toList();
    }

    /** Whether {@code part} is {@code above} or follows it, however far down. */
    public boolean follows(String part, String above) {
        Optional<String> at = Optional.of(part);
        while (at.isPresent()) {
            if (at.get().equals(above)) {
                return true;
            }
            at = part(at.get()).flatMap(Part::parent);
        }
        return false;
    }

    /** The runs of all parts. */
    public List<DrawnRun> runs() {
        return parts.stream().flatMap(p -> p.runs().stream()).toList();
    }

    /** The part whose drawings a run plays. */
    public Optional<Part> playedBy(String run) {
        return parts.stream()
                .filter(p -> p.runs().stream().anyMatch(r -> r.id().equals(run)))
                .findFirst();
    }

    /** The link that joins a part to its other side, when it has one that holds. */
    public Optional<MirrorLink> linkOf(String id) {
        return links.stream().filter(l -> l.joins(id)).findFirst();
    }

    /** Bounds of what a part and all that follow it show at rest, by their art alone. */
    public Optional<Box> boundsWithFollowers(String id) {
        Stream<Box> own = part(id).flatMap(Part::bounds).stream();
        Stream<Box> followers = childrenOf(id).stream().flatMap(p -> boundsWithFollowers(p.id()).stream());
        return Stream.concat(own, followers).reduce(Box::union);
    }

    /** @param at where in the stacking order it goes, 0 for the back */
    public Rig withNewPart(Part part, int at) {
        List<Part> more = new ArrayList<>(parts);
        more.add(part);
        List<String> stacked = new ArrayList<>(order);
        stacked.add(at, part.id());
        return with(r -> r.parts(more).order(stacked));
    }

    /** With these parts masked by a window too; what it masks already stays. */
    public Rig withMasked(String by, List<String> more) {
        List<Window> all = new ArrayList<>(windows);
        List<String> masked = new ArrayList<>();
        int at = -1;
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).by().equals(by)) {
                at = i;
                masked.addAll(all.get(i).masked());
            }
        }
        more.stream().filter(m -> !masked.contains(m)).forEach(masked::add);
        if (at < 0) {
            all.add(new Window(by, masked));
        } else {
            all.set(at, new Window(by, masked));
        }
        return masked.isEmpty() ? this : withWindows(all);
    }

    /** Without a part that nothing follows, and without what the others have to say of it. */
    Rig without(String id) {
        return new Rig(
                parts.stream()
                        .filter(p -> !p.id().equals(id))
                        .map(p -> p.forgetting(id))
                        .toList(),
                order.stream().filter(o -> !o.equals(id)).toList(),
                windows.stream()
                        .filter(w -> !w.by().equals(id))
                        .map(w -> new Window(
                                w.by(),
                                w.masked().stream().filter(m -> !m.equals(id)).toList()))
                        .filter(w -> !w.masked().isEmpty())
                        .toList(),
                links.stream().filter(l -> !l.joins(id)).toList());
    }
}
