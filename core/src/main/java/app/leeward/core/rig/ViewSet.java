package app.leeward.core.rig;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Whole sub-faces that one dial exchanges.
 *
 * @param dial id of the dial
 * @param views each once, the one every other is registered to first
 * @param bands from low to high without a gap
 */
public record ViewSet(String dial, List<HeadView> views, List<ViewBand> bands) {
    public ViewSet {
        views = List.copyOf(views);
        bands = List.copyOf(bands);
        Set<String> roots = views.stream().map(HeadView::root).collect(Collectors.toSet());
        if (views.isEmpty() || bands.isEmpty() || roots.size() != views.size()) {
            throw new IllegalArgumentException("a view set has views, each once, and bands that show them");
        }
        for (int i = 0; i < bands.size(); i++) {
            if (!roots.contains(bands.get(i).view())) {
                throw new IllegalArgumentException(
                        "a band shows the view '" + bands.get(i).view() + "', which is not there");
            }
            if (i > 0 && bands.get(i).from() != bands.get(i - 1).to()) {
                throw new IllegalArgumentException(
                        "the bands of views leave a gap at " + bands.get(i - 1).to());
            }
        }
    }

    /** The view the others are registered to. */
    public HeadView main() {
        return views.get(0);
    }

    public Optional<HeadView> view(String root) {
        return views.stream().filter(v -> v.root().equals(root)).findFirst();
    }

    /** The band at a value; beyond the ends it is the end's. */
    public ViewBand at(double value) {
        for (ViewBand b : bands) {
            if (value < b.to()) {
                return b;
            }
        }
        return bands.get(bands.size() - 1);
    }

    /** The band that shows a view, as it was drawn where there is such; empty for one that none shows. */
    public Optional<ViewBand> shown(String root) {
        return bands.stream().filter(b -> b.view().equals(root)).min(Comparator.comparing(ViewBand::flipped));
    }

    /** With the edge between two neighbouring bands elsewhere; empty when it would leave either of them nothing. */
    public Optional<ViewSet> withEdge(int after, double at) {
        if (after < 0 || after >= bands.size() - 1) {
            return Optional.empty();
        }
        ViewBand left = bands.get(after);
        ViewBand right = bands.get(after + 1);
        if (!(left.from() < at && at < right.to())) {
            return Optional.empty();
        }
        List<ViewBand> moved = new ArrayList<>(bands);
        moved.set(after, new ViewBand(left.from(), at, left.view(), left.flipped()));
        moved.set(after + 1, new ViewBand(at, right.to(), right.view(), right.flipped()));
        return Optional.of(new ViewSet(dial, views, moved));
    }

    /** Without a view: its neighbours share its bands. Empty when fewer than two would be left. */
    public Optional<ViewSet> without(String root) {
        List<HeadView> left = views.stream().filter(v -> !v.root().equals(root)).toList();
        List<ViewBand> kept = bands.stream().filter(b -> !b.view().equals(root)).toList();
        if (left.size() < 2 || kept.isEmpty()) {
            return Optional.empty();
        }
        List<ViewBand> closed = new ArrayList<>();
        for (int i = 0; i < kept.size(); i++) {
            ViewBand b = kept.get(i);
            double from = i == 0 ? bands.get(0).from() : closed.get(i - 1).to();
            double to = i == kept.size() - 1
                    ? bands.get(bands.size() - 1).to()
                    : (b.to() + kept.get(i + 1).from()) / 2;
            closed.add(new ViewBand(from, to, b.view(), b.flipped()));
        }
        return Optional.of(new ViewSet(dial, left, closed));
    }

    /** Which view each part belongs to, by its id: the root above it, for parts of a view only. */
    public static Map<String, String> membership(List<Part> parts, Set<String> roots) {
        Map<String, Part> byId = parts.stream().collect(Collectors.toMap(Part::id, p -> p));
        Map<String, String> out = new HashMap<>();
        for (Part p : parts) {
            Set<String> seen = new HashSet<>();
            for (Part at = p;
                    at != null && seen.add(at.id());
                    at = at.parent().map(byId::get).orElse(null)) {
                if (roots.contains(at.id())) {
                    out.put(p.id(), at.id());
                    break;
                }
            }
        }
        return out;
    }

    /** The same, whatever stands in the role of a view. */
    public static Map<String, String> membershipOf(List<Part> parts) {
        return membership(
                parts,
                parts.stream()
                        .filter(p -> p.role() == PartRole.VIEW)
                        .map(Part::id)
                        .collect(Collectors.toSet()));
    }

    /** Which of its views each part belongs to; parts of the whole body belong to none. */
    public Map<String, String> membership(List<Part> parts) {
        return membership(parts, views.stream().map(HeadView::root).collect(Collectors.toSet()));
    }
}
