package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the model sheet says about where things stand.
 *
 * @param axis x of the axis of symmetry of the front view, user units
 * @param lines the model lines, each name once
 */
public record Model(double axis, List<ModelLine> lines) {
    public Model {
        Numbers.finite("axis", axis);
        lines = List.copyOf(lines);
        if (lines.stream().map(ModelLine::name).distinct().count() != lines.size()) {
            throw new IllegalArgumentException("two model lines have the same name");
        }
    }

    /** The canvas's middle, standing on its lower edge. */
    public static Model of(Canvas canvas) {
        return new Model(canvas.width() / 2, List.of(new ModelLine(ModelLine.GROUND, canvas.height())));
    }

    public Optional<Double> line(String name) {
        return lines.stream()
                .filter(l -> l.name().equals(name))
                .map(ModelLine::y)
                .findFirst();
    }

    public Model withAxis(double x) {
        return new Model(x, lines);
    }

    /** The line moved, or added when there was none of this name. */
    public Model with(ModelLine line) {
        List<ModelLine> all = new ArrayList<>(lines);
        all.removeIf(l -> l.name().equals(line.name()));
        all.add(line);
        return new Model(axis, all);
    }
}
