package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A named layer or group of a file, with what it paints, back to front.
 *
 * @param name as a person named it; may be empty
 * @param hidden whether the file hides it
 */
public record Layer(String name, boolean hidden, List<Node> nodes) {
    /** A shape or a layer within. */
    public sealed interface Node {}

    public record Leaf(Shape shape) implements Node {}

    public record Group(Layer layer) implements Node {}

    public Layer {
        nodes = List.copyOf(nodes);
    }

    public List<Layer> layers() {
        return nodes.stream()
                .filter(Group.class::isInstance)
                .map(n -> ((Group) n).layer())
                .toList();
    }

    public boolean hasLooseShapes() {
        return nodes.stream().anyMatch(Leaf.class::isInstance);
    }

    public Layer asHidden() {
        return new Layer(name, true, nodes);
    }

    /** The layer without what is hidden inside it. */
    public Layer seen() {
        return new Layer(
                name,
                hidden,
                nodes.stream()
                        .filter(n -> !(n instanceof Group g && g.layer().hidden()))
                        .map(n -> n instanceof Group g ? new Group(g.layer().seen()) : n)
                        .toList());
    }

    /** The outermost hidden layers inside it. */
    public List<Layer> hiddenWithin() {
        return layers().stream()
                .flatMap(l -> l.hidden() ? Stream.of(l) : l.hiddenWithin().stream())
                .toList();
    }

    /** Every shape within, at any depth, each given the name of the nearest layer that somebody named when nobody named it. */
    public List<Shape> shapes() {
        List<Shape> out = new ArrayList<>();
        collect(this, name, out);
        return out;
    }

    private static void collect(Layer layer, String named, List<Shape> out) {
        for (Node n : layer.nodes) {
            if (n instanceof Leaf leaf) {
                Shape s = leaf.shape();
                boolean nobody = s.name().isBlank() || FaceFinder.generic(s.name()) && !FaceFinder.generic(named);
                out.add(nobody ? s.withName(named) : s);
            } else {
                Layer inner = ((Group) n).layer();
                collect(inner, FaceFinder.generic(inner.name) ? named : inner.name, out);
            }
        }
    }

    public Artwork art() {
        return new Artwork(shapes());
    }

    public boolean isEmpty() {
        return shapes().isEmpty();
    }
}
