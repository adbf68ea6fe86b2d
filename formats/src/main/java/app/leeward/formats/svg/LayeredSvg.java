package app.leeward.formats.svg;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.LayerNames;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;
import java.util.ArrayList;
import java.util.List;

/** The drawings of a character as layers to be drawn on in, and read again: a group a part, back to front, all drawings in it. */
public final class LayeredSvg extends TextExporter {
    private static final Format FORMAT = new Format(
            "layered-svg",
            "Layered SVG",
            "image/svg+xml",
            "layers.svg",
            Scope.CHARACTER,
            Family.ARTWORK,
            "a group a part, all its drawings, named as they are read");

    public LayeredSvg() {
        super(FORMAT);
    }

    @Override
    public List<String> losses(ExportSource source) {
        List<String> all = new ArrayList<>(Losses.rig(source.character()));
        if (source.character().controls().views().isPresent()) {
            all.add("Its views come as plain parts, not as views.");
        }
        return all;
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        Character c = source.character();
        return LayeredSvgWriter.write(
                c.name(),
                "Drawings of " + c.name() + ". What is hidden is exchanged for what is shown.",
                c.sheet().canvas(),
                layers(c),
                source.images());
    }

    static Layer layers(Character c) {
        List<Layer.Node> parts = new ArrayList<>();
        for (String id : c.rig().order()) {
            Part part = c.part(id).orElseThrow();
            if (!part.drawings().isEmpty()) {
                parts.add(new Layer.Group(part(part)));
            }
        }
        return new Layer("", false, parts);
    }

    private static Layer part(Part part) {
        if (part.drawings().size() == 1) {
            return drawing(LayerNames.of(part), false, part.drawings().get(0));
        }
        List<Layer.Node> drawings = new ArrayList<>();
        for (Drawing d : part.drawings()) {
            drawings.add(new Layer.Group(drawing(LayerNames.of(d), !d.id().equals(part.shown()), d)));
        }
        return new Layer(LayerNames.of(part), false, drawings);
    }

    /** Shapes that do something, as teeth and windows do, are read by their names: each is a layer of its own. */
    private static Layer drawing(String name, boolean hidden, Drawing drawing) {
        List<Layer.Node> shapes = new ArrayList<>();
        for (Shape s : drawing.art().shapes()) {
            Layer.Leaf leaf = new Layer.Leaf(s);
            shapes.add(s.role() == ShapeRole.OTHER ? leaf : new Layer.Group(new Layer(s.name(), false, List.of(leaf))));
        }
        return new Layer(name, hidden, shapes);
    }
}
