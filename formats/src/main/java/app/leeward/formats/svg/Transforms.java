package app.leeward.formats.svg;

import app.leeward.core.art.Matrix;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** SVG's transform lists: the leftmost is applied last. */
final class Transforms {
    private static final Pattern ONE = Pattern.compile("\\s*([a-zA-Z]+)\\s*\\(([^)]*)\\)\\s*,?");

    private Transforms() {}

    /** Empty when any part of the list cannot be read. */
    static Optional<Matrix> parse(String list) {
        Matcher m = ONE.matcher(list.strip());
        Matrix all = Matrix.IDENTITY;
        int at = 0;
        while (at < list.strip().length()) {
            if (!m.find(at) || m.start() != at) {
                return Optional.empty();
            }
            try {
                Optional<Matrix> one = one(m.group(1), numbers(m.group(2)));
                if (one.isEmpty()) {
                    return Optional.empty();
                }
                all = all.times(one.get());
            } catch (IllegalArgumentException e) {
                return Optional.empty();
            }
            at = m.end();
        }
        return Optional.of(all);
    }

    private static double[] numbers(String text) {
        String[] words = text.strip().replaceAll("(?<=[\\d.])-", " -").split("[\\s,]+");
        double[] out = new double[words.length];
        for (int i = 0; i < words.length; i++) {
            out[i] = Double.parseDouble(words[i]);
        }
        return out;
    }

    private static Optional<Matrix> one(String name, double[] n) {
        Matrix m =
                switch (name + n.length) {
                    case "matrix6" -> new Matrix(n[0], n[1], n[2], n[3], n[4], n[5]);
                    case "translate1" -> Matrix.translate(n[0], 0);
                    case "translate2" -> Matrix.translate(n[0], n[1]);
                    case "scale1" -> Matrix.scale(n[0], n[0]);
                    case "scale2" -> Matrix.scale(n[0], n[1]);
                    case "rotate1" -> Matrix.rotate(n[0]);
                    case "rotate3" ->
                        Matrix.translate(n[1], n[2]).times(Matrix.rotate(n[0])).times(Matrix.translate(-n[1], -n[2]));
                    case "skewX1" -> Matrix.skewX(n[0]);
                    case "skewY1" -> new Matrix(1, Math.tan(Math.toRadians(n[0])), 0, 1, 0, 0);
                    default -> null;
                };
        return Optional.ofNullable(m);
    }
}
