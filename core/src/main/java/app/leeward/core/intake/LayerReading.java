package app.leeward.core.intake;

import app.leeward.core.art.Drawing;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** First pass over the layers: which of them are parts, which are drawings of one, in painting order. */
final class LayerReading {
    /** A part as found, before it is hung; several layers may have added drawings to it. */
    static final class Found {
        final PartRole role;
        final String name;
        final Optional<Found> within;
        /** The view of the head it belongs to; none for the body and for a head that has one view only. */
        final Optional<Found> view;

        Side side;
        final List<Drawing> drawings = new ArrayList<>();
        boolean allHidden = true;
        String firstVisible;

        /** Itself, when it is a view, or the view it belongs to. */
        private Optional<Found> asView() {
            return role == PartRole.VIEW ? Optional.of(this) : view;
        }

        Found(PartRole role, Side side, String name, Optional<Found> within) {
            this(role, side, name, within, within.flatMap(Found::asView));
        }

        Found(PartRole role, Side side, String name, Optional<Found> within, Optional<Found> view) {
            this.view = view;
            this.role = role;
            this.side = side;
            this.name = name;
            this.within = within;
        }
    }

    /** In the order of the first shape of each; groups stand before what they hold. */
    final List<Found> found = new ArrayList<>();

    final List<Note> notes = new ArrayList<>();
    private final Map<String, Found> sets = new LinkedHashMap<>();
    /** A single group called "front view" is the whole character, not one of its views. */
    private final boolean views;

    private LayerReading(boolean views) {
        this.views = views;
    }

    static LayerReading of(Layer root) {
        LayerReading reading = new LayerReading(viewsIn(root) > 1);
        reading.children(root, Optional.empty());
        return reading;
    }

    /** The view the others are compared with: the front, or the first there is; empty without views. */
    Optional<Found> mainView() {
        List<Found> all = found.stream().filter(f -> f.role == PartRole.VIEW).toList();
        return all.stream()
                .filter(f -> PartNames.words(f.name).contains("front"))
                .findFirst()
                .or(() -> all.stream().findFirst());
    }

    private static int viewsIn(Layer layer) {
        boolean here = PartNames.read(layer.name())
                .filter(n -> n.role() == PartRole.VIEW)
                .isPresent();
        return (here ? 1 : 0)
                + layer.layers().stream().mapToInt(LayerReading::viewsIn).sum();
    }

    private Optional<PartName> read(String name) {
        return PartNames.read(name).filter(n -> views || n.role() != PartRole.VIEW);
    }

    private void children(Layer layer, Optional<Found> within) {
        List<Layer.Node> loose = new ArrayList<>();
        for (Layer.Node n : layer.nodes()) {
            if (n instanceof Layer.Group g) {
                flush(layer, loose, within);
                layer(g.layer(), within);
            } else {
                loose.add(n);
            }
        }
        flush(layer, loose, within);
    }

    /** Shapes lying between groups become a part of their own, so that none is lost and the painting order holds. */
    private void flush(Layer layer, List<Layer.Node> loose, Optional<Found> within) {
        if (!loose.isEmpty()) {
            String name = layer.name().isBlank() ? "loose shapes" : layer.name() + " loose shapes";
            unrecognised(new Layer(name, layer.hidden(), loose), within);
            loose.clear();
        }
    }

    private void layer(Layer layer, Optional<Found> within) {
        if (layer.isEmpty()) {
            if (!layer.name().isBlank()) {
                notes.add(new Note(
                        "layer-empty", layer.name(), "The layer '" + layer.name() + "' holds nothing to draw."));
            }
            return;
        }
        Optional<PartName> name = read(layer.name());
        boolean holdsParts = layer.layers().stream().anyMatch(l -> isPartIn(l, name)) || isLooseEye(layer, name);
        if (holdsParts) {
            Optional<Found> group = name.map(n -> group(n, layer, within));
            children(layer, group.or(() -> within));
        } else if (name.isPresent()) {
            part(name.get(), layer, within);
        } else {
            unrecognised(layer, within);
        }
    }

    /** Pieces of an eye that say nothing by their names, all to be seen at once: no drawings that replace each other. */
    private static boolean isLooseEye(Layer layer, Optional<PartName> name) {
        long seen =
                layer.layers().stream().filter(l -> !l.isEmpty() && !l.hidden()).count();
        return name.isPresent() && name.get().role() == PartRole.EYE && seen > 1 && !layer.hasLooseShapes();
    }

    /** Whether a layer inside one named {@code outer} is a part of its own rather than a drawing or a shape of it. */
    private static boolean isPartIn(Layer layer, Optional<PartName> outer) {
        Optional<PartName> own = PartNames.read(layer.name());
        boolean nested = layer.layers().stream().anyMatch(l -> isPartIn(l, own.or(() -> outer)));
        if (own.isEmpty()) {
            return nested;
        }
        boolean sameRole = outer.isPresent() && outer.get().role() == own.get().role();
        boolean shapeOfMouth = outer.isPresent() && outer.get().role() == PartRole.MOUTH;
        boolean numberedHand = outer.isPresent() && outer.get().role() == PartRole.HAND;
        return nested || !(sameRole || shapeOfMouth || numberedHand);
    }

    private Found group(PartName name, Layer layer, Optional<Found> within) {
        Found f = new Found(name.role(), name.side(), layer.name(), within);
        found.add(f);
        return f;
    }

    private void part(PartName name, Layer layer, Optional<Found> within) {
        Side side = name.side() != Side.NONE || !ofAnEye(name.role())
                ? name.side()
                : within.map(w -> w.side).orElse(Side.NONE);
        boolean shared = !name.rest().isEmpty() || name.role() == PartRole.MOUTH;
        String view = within.flatMap(Found::asView).map(v -> v.name).orElse("");
        String key = view + " " + name.role() + " " + side;
        Found f = shared ? sets.get(key) : null;
        if (f == null) {
            f = new Found(name.role(), side, partName(name, side), within);
            found.add(f);
            sets.putIfAbsent(key, f);
        }
        if (isSet(layer)) {
            for (Layer drawing : layer.layers()) {
                addDrawing(f, drawing.name(), drawing, layer.hidden() || drawing.hidden());
            }
        } else {
            String own = name.rest().isEmpty() ? layer.name() : name.rest();
            addDrawing(f, own, layer, layer.hidden());
        }
    }

    private static boolean ofAnEye(PartRole role) {
        return role.follows().equals(Optional.of(PartRole.EYE));
    }

    private static String partName(PartName name, Side side) {
        return side.prefix() + name.role().words();
    }

    /** Named groups and nothing loose: drawings that replace each other, unless they are the pieces of one mouth. */
    private static boolean isSet(Layer layer) {
        List<Layer> inner = layer.layers().stream().filter(l -> !l.isEmpty()).toList();
        boolean named = inner.stream().allMatch(l -> !l.name().isBlank());
        boolean pieces = inner.stream().allMatch(l -> ShapeNames.read(l.name()).isPresent());
        return !layer.hasLooseShapes() && named && !pieces && inner.size() >= 2;
    }

    private void unrecognised(Layer layer, Optional<Found> within) {
        String name = layer.name().isBlank() ? "unnamed layer" : layer.name();
        Found f = new Found(PartRole.OTHER, Side.NONE, name, within);
        found.add(f);
        addDrawing(f, name, layer, layer.hidden());
    }

    private void addDrawing(Found f, String name, Layer layer, boolean hidden) {
        if (layer.isEmpty()) {
            return;
        }
        String clean = name.isBlank() ? "drawing " + (f.drawings.size() + 1) : name.strip();
        Set<String> taken = new HashSet<>(f.drawings.stream().map(Drawing::id).toList());
        String id = Ids.unused(clean, taken);
        f.drawings.add(new Drawing(
                id,
                clean,
                f.role == PartRole.MOUTH
                        ? new app.leeward.core.art.Artwork(ShapeNames.withRoles(layer.shapes()))
                        : layer.art()));
        if (!hidden && f.firstVisible == null) {
            f.firstVisible = id;
        }
        f.allHidden &= hidden;
    }
}
