package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The way of one outline's points along one dial. */
public final class PointDeltaCurve {
    private final String part;
    private final String drawing;
    private final int shape;
    private final int width;
    private final KeyedCurve chain;

    private PointDeltaCurve(Dial dial, String part, String drawing, int shape, int points) {
        this.part = part;
        this.drawing = drawing;
        this.shape = shape;
        width = 2 * points;
        chain = OffsetCurve.chain(dial, s -> of(s, part, drawing, shape).map(this::numbers), new double[width]);
    }

    private record Outline(String part, String drawing, int shape, int points) {}

    /** Those of every outline the dial reshapes; of shifts recorded for different numbers of points each its own. */
    public static List<PointDeltaCurve> of(Dial dial) {
        Set<Outline> outlines = new LinkedHashSet<>();
        for (Stop s : dial.stops()) {
            s.reshapes()
                    .forEach((part, all) -> all.forEach(r -> outlines.add(
                            new Outline(part, r.drawing(), r.shape(), r.shifts().size()))));
        }
        List<PointDeltaCurve> out = new ArrayList<>();
        outlines.forEach(o -> out.add(new PointDeltaCurve(dial, o.part, o.drawing, o.shape, o.points)));
        return out;
    }

    /** What a stop says about one outline. */
    public static Optional<PointDeltas> of(Stop stop, String part, String drawing, int shape) {
        return stop.reshapes().getOrDefault(part, List.of()).stream()
                .filter(r -> r.drawing().equals(drawing) && r.shape() == shape)
                .findFirst();
    }

    private double[] numbers(PointDeltas r) {
        double[] all = new double[width];
        for (int i = 0; 2 * i < width && i < r.shifts().size(); i++) {
            all[2 * i] = r.shifts().get(i).x();
            all[2 * i + 1] = r.shifts().get(i).y();
        }
        return all;
    }

    public String part() {
        return part;
    }

    public String drawing() {
        return drawing;
    }

    public int shape() {
        return shape;
    }

    /** How many points and handles the outline has. */
    public int points() {
        return width / 2;
    }

    /** Adds the shifts at a value, x and y in turns. */
    public void addTo(double[] into, double value) {
        int i = chain.before(value);
        double t = chain.share(i, value);
        for (int k = 0; k < width; k++) {
            into[k] += chain.number(i, t, k);
        }
    }
}
