package app.leeward.core.dial;

import app.leeward.core.art.Point;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The way of one outline's points along one dial. */
public final class PointDeltaCurve {
    private final String part;
    private final String drawing;
    private final int shape;
    private final int width;
    private final KeyedCurve chain;

    private PointDeltaCurve(Dial dial, Outline outline, Map<Stop, double[]> said) {
        part = outline.part;
        drawing = outline.drawing;
        shape = outline.shape;
        width = 2 * outline.points;
        chain = OffsetCurve.chain(dial, s -> Optional.ofNullable(said.get(s)), new double[width]);
    }

    private record Outline(String part, String drawing, int shape, int points) {}

    /** Those of every outline the dial reshapes; of shifts recorded for different numbers of points each its own. */
    public static List<PointDeltaCurve> of(Dial dial) {
        Map<Outline, Map<Stop, double[]>> said = new LinkedHashMap<>();
        for (Stop stop : dial.stops()) {
            stop.reshapes()
                    .forEach((part, all) -> all.forEach(r -> said.computeIfAbsent(
                                    new Outline(
                                            part,
                                            r.drawing(),
                                            r.shape(),
                                            r.shifts().size()),
                                    o -> new IdentityHashMap<>())
                            .putIfAbsent(stop, numbers(r))));
        }
        List<PointDeltaCurve> out = new ArrayList<>();
        said.forEach((outline, stops) -> out.add(new PointDeltaCurve(dial, outline, stops)));
        return out;
    }

    /** What a stop says about one outline. */
    public static Optional<PointDeltas> of(Stop stop, String part, String drawing, int shape) {
        return stop.reshapes().getOrDefault(part, List.of()).stream()
                .filter(r -> r.drawing().equals(drawing) && r.shape() == shape)
                .findFirst();
    }

    private static double[] numbers(PointDeltas r) {
        double[] all = new double[2 * r.shifts().size()];
        int k = 0;
        for (Point shift : r.shifts()) {
            all[k++] = shift.x();
            all[k++] = shift.y();
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
