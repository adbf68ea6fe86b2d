package app.leeward.core.check;

import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** How far what a part shows reaches, by the box of its art; not for several threads. */
public final class Extents {
    private final Character character;
    private final Map<String, Optional<Box>> boxes = new HashMap<>();

    public Extents(Character character) {
        this.character = character;
    }

    /** Where the corners of its box lie on the canvas; empty for a drawing with nothing in it. */
    public List<Point> corners(Frame.Placed p) {
        Optional<Box> box = p.outlines().isEmpty()
                ? boxes.computeIfAbsent(p.part() + "/" + p.drawing(), k -> drawn(p))
                : bent(p.outlines());
        return box.map(b -> List.of(
                        p.matrix().apply(new Point(b.minX(), b.minY())),
                        p.matrix().apply(new Point(b.maxX(), b.minY())),
                        p.matrix().apply(new Point(b.maxX(), b.maxY())),
                        p.matrix().apply(new Point(b.minX(), b.maxY()))))
                .orElse(List.of());
    }

    private Optional<Box> drawn(Frame.Placed p) {
        return character
                .part(p.part())
                .flatMap((Part part) -> part.drawing(p.drawing()))
                .flatMap(d -> d.art().bounds());
    }

    /** By points and handles: within them lies every curve. */
    private static Optional<Box> bent(List<Path> outlines) {
        List<Point> all = outlines.stream().flatMap(o -> o.points().stream()).toList();
        return all.isEmpty() ? Optional.empty() : Optional.of(Box.around(all));
    }
}
