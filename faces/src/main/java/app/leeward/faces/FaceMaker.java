package app.leeward.faces;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;

/** Draws a face, names its layers and writes them down. */
final class FaceMaker {
    private FaceMaker() {}

    static Face make(long seed) {
        Random random = new Random(seed * 0x9E3779B97F4A7C15L + 0x5851F42D4C957F2DL);
        Traits t = Traits.drawn(random);
        Habits habits = new Habits(t, seed);
        List<Piece> pieces = habits.of(Drawing.of(t, random));
        Names names = new Names(t, random, habits);
        double[] all = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        double[] skin = all.clone();
        for (Piece p : pieces) {
            grow(all, p);
            if (p.what() == What.SKIN) {
                grow(skin, p);
            }
        }
        double margin = 20;
        double across = (all[2] - all[0] + 2 * margin) * t.size();
        double width = across * (1 + 2 * Math.abs(t.offCentre()));
        double height = (all[3] - all[1] + 2 * margin) * t.size();
        double dx = (margin - all[0]) * t.size() + Math.max(0, t.offCentre()) * 2 * across;
        double dy = (margin - all[1]) * t.size();
        List<String> called = new ArrayList<>();
        List<Truth.Layer> layers = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            Piece p = pieces.get(i);
            String name = names.of(p);
            called.add(name);
            Mark first = p.marks().get(0);
            double[] b = first.curve().box();
            layers.add(new Truth.Layer(
                    i,
                    name,
                    p.what(),
                    p.side(),
                    p.detail(),
                    p.hidden(),
                    p.aside(),
                    List.of(b[0] * t.size() + dx, b[1] * t.size() + dy, b[2] * t.size() + dx, b[3] * t.size() + dy),
                    first.fill(),
                    first.line()));
        }
        long written = random.nextLong();
        List<Piece> figure = pieces.stream().filter(p -> !p.aside()).toList();
        List<String> figureCalled = IntStream.range(0, pieces.size())
                .filter(i -> !pieces.get(i).aside())
                .mapToObj(called::get)
                .toList();
        return new Face(
                seed,
                new SvgSheet(t, new Random(written), width, height, t.size(), dx, dy).write(pieces, called),
                new SvgSheet(t, new Random(written), width, height, t.size(), dx, dy).write(figure, figureCalled),
                new Truth(t, width, height, OptionalDouble.of(dx), (skin[2] - skin[0]) * t.size(), layers));
    }

    private static void grow(double[] b, Piece p) {
        for (Mark m : p.marks()) {
            double[] o = m.curve().box();
            b[0] = Math.min(b[0], o[0]);
            b[1] = Math.min(b[1], o[1]);
            b[2] = Math.max(b[2], o[2]);
            b[3] = Math.max(b[3], o[3]);
        }
    }
}
