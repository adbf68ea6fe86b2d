package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
        /** What it is a further piece of, when a layer of the same role was there before it. */
        Optional<Found> whole = Optional.empty();
        /** The white of an eye that the file clips it to. */
        Optional<Found> cutBy = Optional.empty();
        /** Whether these are shapes that a group keeps beside its layers. */
        boolean loose;
        /** Whether its name says that it is on the side of the head that is turned to us; null when it says neither. */
        Boolean near;

        /** The same drawings, known for something. */
        Found as(PartRole known, String called) {
            Found f = new Found(known, side, called, within, view);
            f.drawings.addAll(drawings);
            f.allHidden = allHidden;
            f.firstVisible = firstVisible;
            return f;
        }

        /** Whether it is one drawing that is to be seen, and neither goes with another nor another with it: it may be taken to pieces. */
        boolean parts(List<Found> all) {
            return drawings.size() == 1
                    && firstVisible != null
                    && whole.isEmpty()
                    && all.stream().noneMatch(o -> o.whole.equals(Optional.of(this)));
        }

        /** A part of one drawing that is to be seen. */
        static Found shown(PartRole role, Side side, Optional<Found> within, Optional<Found> view, Drawing drawing) {
            return shown(role, side, side.prefix() + role.words(), within, view, drawing);
        }

        static Found shown(
                PartRole role, Side side, String name, Optional<Found> within, Optional<Found> view, Drawing drawing) {
            Found f = new Found(role, side, name, within, view);
            f.drawings.add(drawing);
            f.firstVisible = drawing.id();
            f.allHidden = false;
            return f;
        }

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

    private static final Set<String> POSES = Set.of(
            "front",
            "back",
            "side",
            "profile",
            "left",
            "right",
            "up",
            "down",
            "open",
            "close",
            "closed",
            "shut",
            "half",
            "wide",
            "blink",
            "wink",
            "squint",
            "rest",
            "neutral",
            "default",
            "relaxed",
            "happy",
            "sad",
            "angry",
            "scared",
            "surprised",
            "smile",
            "frown",
            "fist",
            "flat",
            "point",
            "pointing",
            "wave",
            "grip",
            "thumb",
            "thumbs",
            "spread");

    /** In the order of the first shape of each; groups stand before what they hold. */
    final List<Found> found = new ArrayList<>();

    final List<Note> notes = new ArrayList<>();
    private final Map<String, Found> sets = new LinkedHashMap<>();
    /** A single group called "front view" is the whole character, not one of its views. */
    private final boolean views;

    /** Whether names say nothing, so that groups do not say either what belongs together. */
    private final boolean nameless;

    /** The words every name of the view that is being read begins with. */
    private List<String> prefix = List.of();
    /** Whether something round the layer that is being read is hidden. */
    private boolean concealed;

    private LayerReading(boolean views, boolean nameless) {
        this.views = views;
        this.nameless = nameless;
    }

    static LayerReading of(Layer root) {
        LayerReading reading = new LayerReading(viewsIn(root) > 1, FaceFinder.nameless(names(root)));
        reading.children(root, Optional.empty());
        return reading;
    }

    private static List<String> names(Layer layer) {
        List<String> all = new ArrayList<>();
        layer.layers().forEach(l -> {
            all.add(l.name());
            all.addAll(names(l));
        });
        return all;
    }

    boolean nameless() {
        return nameless;
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
        return (isView(layer) ? 1 : 0)
                + layer.layers().stream().mapToInt(LayerReading::viewsIn).sum();
    }

    /** Named as a view, and with something of a head in it. */
    private static boolean isView(Layer layer) {
        return ViewNames.says(layer.name())
                && names(layer).stream()
                                .flatMap(n -> PartNames.read(n).stream())
                                .map(PartName::role)
                                .distinct()
                                .filter(r -> r != PartRole.VIEW && r != PartRole.OTHER)
                                .count()
                        > 1;
    }

    private Optional<PartName> read(Layer layer) {
        if (views && isView(layer)) {
            return Optional.of(new PartName(PartRole.VIEW, Side.NONE, ""));
        }
        return bare(layer.name()).filter(n -> n.role() != PartRole.VIEW);
    }

    /** What a name says without the words that every name of its view begins with. */
    private Optional<PartName> bare(String name) {
        List<String> words = PartNames.words(name);
        boolean prefixed = !prefix.isEmpty()
                && words.size() > prefix.size()
                && words.subList(0, prefix.size()).equals(prefix);
        return prefixed
                ? PartNames.read(String.join(" ", words.subList(prefix.size(), words.size())))
                : PartNames.read(name);
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
            unrecognised(new Layer(name, layer.hidden(), loose), within).loose = true;
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
        Optional<PartName> name = read(layer);
        boolean view = name.filter(n -> n.role() == PartRole.VIEW).isPresent();
        List<String> prefixBefore = prefix;
        boolean concealedBefore = concealed;
        // which view is to be seen is the dial's matter
        concealed |= layer.hidden() && !view;
        prefix = view ? ViewNames.prefix(names(layer)) : prefix;
        named(layer, name, within);
        prefix = prefixBefore;
        concealed = concealedBefore;
    }

    private void named(Layer layer, Optional<PartName> name, Optional<Found> within) {
        boolean holdsParts = layer.layers().stream().anyMatch(l -> isPartIn(l, name)) || isLooseEye(layer, name);
        if (holdsParts) {
            Optional<Found> group = name.map(n -> group(n, layer, within));
            children(layer, group.or(() -> within));
        } else if (name.isPresent()) {
            part(name.get(), layer, within);
        } else if (nameless && layer.layers().size() > 1) {
            children(layer, within);
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
    private boolean isPartIn(Layer layer, Optional<PartName> outer) {
        Optional<PartName> own = bare(layer.name());
        boolean nested = layer.layers().stream().anyMatch(l -> isPartIn(l, own.or(() -> outer)));
        if (own.isEmpty()) {
            return nested;
        }
        boolean sameRole = outer.isPresent() && outer.get().role() == own.get().role();
        boolean shapeOfMouth = outer.isPresent() && outer.get().role() == PartRole.MOUTH;
        boolean lidShutting = own.get().role() == PartRole.BLINK
                && outer.filter(o -> o.role() == PartRole.UPPER_LID || o.role() == PartRole.LOWER_LID)
                        .isPresent();
        boolean numberedHand = outer.isPresent() && outer.get().role() == PartRole.HAND;
        return nested || !(sameRole || shapeOfMouth || lidShutting || numberedHand);
    }

    /** A group that a file closes and opens again, because something else lies between, is one group. */
    private Found group(PartName name, Layer layer, Optional<Found> within) {
        Boolean near = near(name);
        Optional<Found> there = found.stream()
                .filter(f -> f.role == name.role() && f.side == name.side() && f.within.equals(within))
                .filter(f -> f.drawings.isEmpty() && f.role != PartRole.VIEW && Objects.equals(f.near, near))
                .findFirst();
        if (there.isPresent()) {
            return there.get();
        }
        Found f = new Found(name.role(), name.side(), layer.name(), within);
        f.near = near;
        found.add(f);
        return f;
    }

    private static Boolean near(PartName name) {
        List<String> words = PartNames.words(name.rest());
        return words.contains("near") ? Boolean.TRUE : words.contains("far") ? Boolean.FALSE : null;
    }

    private void part(PartName name, Layer layer, Optional<Found> within) {
        Side side = name.side() != Side.NONE || !ofAnEye(name.role())
                ? name.side()
                : within.map(w -> w.side).orElse(Side.NONE);
        String view = within.flatMap(Found::asView).map(v -> v.name).orElse("");
        String key = view + " " + name.role() + " " + side;
        Found f = sets.get(key);
        boolean seen = !layer.hidden() && !concealed;
        if (f != null && seen && f.firstVisible != null && !replaces(name, layer)) {
            if (!beside(f, layer) && joined(f, layer)) {
                return;
            }
            Found piece = new Found(name.role(), side, partName(name, side), within);
            piece.whole = beside(f, layer) ? Optional.empty() : Optional.of(f);
            found.add(piece);
            f = piece;
        } else if (f == null) {
            f = new Found(name.role(), side, partName(name, side), within);
            found.add(f);
            sets.put(key, f);
        }
        if (isSet(layer, name.role())) {
            for (Layer drawing : layer.layers()) {
                addDrawing(f, drawing.name(), drawing, layer.hidden() || drawing.hidden());
            }
        } else {
            String own = name.rest().isEmpty() ? layer.name() : name.rest();
            addDrawing(f, own, layer, layer.hidden());
        }
        f.near = near(name) == null ? f.near : near(name);
    }

    /** Mouths, blinks, and hands in poses or by numbers, are drawn one over the other and shown one at a time; not so pieces of a mouth. */
    private static boolean replaces(PartName name, Layer layer) {
        return switch (name.role()) {
            case MOUTH -> !pieceOfMouth(name, layer);
            case BLINK -> true;
            case HAND -> !name.rest().isEmpty();
            default -> false;
        };
    }

    /** A lower beak, the teeth: named for what they are of a mouth, and for no sound or pose. */
    private static boolean pieceOfMouth(PartName name, Layer layer) {
        return name.role() == PartRole.MOUTH
                && ShapeNames.read(layer.name()).isPresent()
                && !namesPose(PartRole.MOUTH, name.rest());
    }

    /** Whether a layer lies to the left or right of a part: the other one of two, rather than a piece of it. */
    private static boolean beside(Found f, Layer layer) {
        Optional<Box> one = Assembler.boundsOf(f);
        Optional<Box> two = layer.art().bounds();
        return f.side == Side.NONE
                && one.isPresent()
                && two.isPresent()
                && (one.get().maxX() <= two.get().minX()
                        || two.get().maxX() <= one.get().minX());
    }

    /** Adds a piece to the drawing that is shown, when nothing that was painted between the two lies where the piece does. */
    private boolean joined(Found f, Layer piece) {
        if (piece.layers().stream().anyMatch(Layer::hidden)) {
            return false;
        }
        Optional<Box> box = piece.art().paintedBounds();
        boolean free = box.isPresent()
                && found.subList(found.indexOf(f) + 1, found.size()).stream()
                        .flatMap(o -> o.drawings.stream())
                        .flatMap(d -> d.art().paintedBounds().stream())
                        .noneMatch(b -> b.intersection(box.get()).isPresent());
        if (!free) {
            return false;
        }
        f.drawings.replaceAll(d -> {
            if (!d.id().equals(f.firstVisible)) {
                return d;
            }
            List<Shape> shapes = new ArrayList<>(d.art().shapes());
            shapes.addAll(piece.shapes());
            return f.role == PartRole.MOUTH ? mouth(d, shapes) : d.withArt(new Artwork(shapes));
        });
        return true;
    }

    /** A mouth of several pieces; what one of them is called is no name for all. */
    static Drawing mouth(Drawing d, List<Shape> pieces) {
        Drawing whole = d.withArt(new Artwork(ShapeNames.withRoles(pieces)));
        return namesPose(PartRole.MOUTH, d.name()) ? whole : whole.withName("rest");
    }

    private static boolean ofAnEye(PartRole role) {
        return role.follows().equals(Optional.of(PartRole.EYE));
    }

    private static String partName(PartName name, Side side) {
        return side.prefix() + name.role().words();
    }

    /**
     * Named groups and nothing loose: drawings that replace each other, when one of them at most is to be seen, or when they are hands, or
     * their names tell them apart by numbers, sounds or poses; else pieces of one drawing.
     */
    private static boolean isSet(Layer layer, PartRole role) {
        List<Layer> inner = layer.layers().stream().filter(l -> !l.isEmpty()).toList();
        boolean named = inner.stream().allMatch(l -> !l.name().isBlank());
        boolean pieces = inner.stream().allMatch(l -> ShapeNames.read(l.name()).isPresent());
        boolean oneSeen = inner.stream().filter(l -> !l.hidden()).count() <= 1;
        boolean poses = role == PartRole.HAND || inner.stream().allMatch(l -> namesPose(role, l.name()));
        return !layer.hasLooseShapes() && named && !pieces && inner.size() >= 2 && (oneSeen || poses);
    }

    /** Whether a name tells a drawing from others of the same thing: a number, a sound, a pose. */
    private static boolean namesPose(PartRole role, String name) {
        return role == PartRole.MOUTH && !MouthNames.read(name).isEmpty()
                || PartNames.words(name).stream()
                        .anyMatch(w -> w.length() == 1 || w.matches("\\d+") || POSES.contains(w));
    }

    private Found unrecognised(Layer layer, Optional<Found> within) {
        String name = layer.name().isBlank() ? "unnamed layer" : layer.name();
        Found f = new Found(PartRole.OTHER, Side.NONE, name, within);
        found.add(f);
        addDrawing(f, name, layer, layer.hidden());
        return f;
    }

    private void addDrawing(Found f, String name, Layer layer, boolean hidden) {
        if (layer.isEmpty()) {
            return;
        }
        Layer seen = layer.seen();
        if (!seen.isEmpty()) {
            add(f, name, seen, hidden || concealed);
        }
        // what is hidden inside would show, if it were a shape of the same drawing
        for (Layer inner : layer.hiddenWithin()) {
            if (!inner.isEmpty()) {
                add(f, inner.name(), inner, true);
            }
        }
    }

    private static void add(Found f, String name, Layer layer, boolean hidden) {
        String clean = name.isBlank() ? "drawing " + (f.drawings.size() + 1) : name.strip();
        Set<String> taken = new HashSet<>(f.drawings.stream().map(Drawing::id).toList());
        String id = Ids.unused(clean, taken);
        f.drawings.add(new Drawing(
                id, clean, f.role == PartRole.MOUTH ? new Artwork(ShapeNames.withRoles(layer.shapes())) : layer.art()));
        if (!hidden && f.firstVisible == null) {
            f.firstVisible = id;
        }
        f.allHidden &= hidden;
    }

    /** The first of a role and side in a view of the head; in none for the body and a head of one view. */
    Optional<Found> find(PartRole role, Side side, Optional<Found> view) {
        return found.stream()
                .filter(f -> f.role == role && f.side == side && f.view.equals(view))
                .findFirst();
    }
}
