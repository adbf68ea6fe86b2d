package app.leeward.core.seeded;

import java.lang.reflect.Parameter;
import java.util.Random;

/**
 * The values one try is made with.
 *
 * @param size 0 to 1: how much of each range is drawn from, seen from its number nearest to zero
 */
record Draw(long seed, double size) {
    /** One in so many numbers is an end of its range, or the number nearest to zero: that is where things go wrong. */
    private static final int ENDS = 12;

    Object[] values(Parameter[] parameters) {
        Random random = new Random(seed);
        Object[] values = new Object[parameters.length];
        for (int i = 0; i < values.length; i++) {
            values[i] = value(parameters[i], random);
        }
        return values;
    }

    private Object value(Parameter p, Random random) {
        Class<?> type = p.getType();
        Between range = p.getAnnotation(Between.class);
        if (type == double.class && range != null) {
            return number(range, random);
        }
        if (type == int.class && range != null) {
            double n = number(new Ends(range.min() - 0.499, range.max() + 0.499), random);
            return (int) Math.max(range.min(), Math.min(range.max(), Math.rint(n)));
        }
        if (type == long.class) {
            return random.nextLong();
        }
        if (type == boolean.class) {
            return random.nextBoolean();
        }
        if (type.isEnum()) {
            return type.getEnumConstants()[random.nextInt(type.getEnumConstants().length)];
        }
        if (type == Random.class) {
            return new Random(random.nextLong());
        }
        throw new IllegalArgumentException("no way to draw " + p + "; numbers need @Between");
    }

    private record Ends(double min, double max) {}

    private double number(Between range, Random random) {
        return number(new Ends(range.min(), range.max()), random);
    }

    private double number(Ends range, Random random) {
        double simplest = Math.max(range.min, Math.min(range.max, 0));
        double least = simplest + (range.min - simplest) * size;
        double most = simplest + (range.max - simplest) * size;
        int end = random.nextInt(3 * ENDS);
        double drawn = least + (most - least) * random.nextDouble();
        return end == 0 ? least : end == 1 ? most : end == 2 ? simplest : drawn;
    }
}
