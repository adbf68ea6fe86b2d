package app.leeward.core.check;

import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.ToDoubleFunction;

/** Whether a mend is one: it makes its own finding smaller, none of the others larger, and brings none up. */
public final class MendTrial {
    /** By how much a measure has to change to count, as a share of it. */
    private static final double COUNTS = 0.01;

    private MendTrial() {}

    /**
     * What is left of a finding; empty when the mend does not help, or harms something else.
     *
     * @param before every finding without the mend
     * @param after those with it that may not be worse
     * @param same whether two are about the same fault of the same thing, however large
     * @param measure how large one is
     */
    public static <F> Optional<Double> leaves(
            F mended, List<F> before, List<F> after, BiPredicate<F, F> same, ToDoubleFunction<F> measure) {
        double left = most(after, mended, same, measure);
        boolean helps = left < measure.applyAsDouble(mended) * (1 - COUNTS);
        return helps && !harms(before, after, same, measure) ? Optional.of(left) : Optional.empty();
    }

    /** Whether anything that is found after is worse than it was before, or was not there. */
    static <F> boolean harms(List<F> before, List<F> after, BiPredicate<F, F> same, ToDoubleFunction<F> measure) {
        return after.stream().anyMatch(a -> measure.applyAsDouble(a) > (1 + COUNTS) * most(before, a, same, measure));
    }

    private static <F> double most(List<F> all, F like, BiPredicate<F, F> same, ToDoubleFunction<F> measure) {
        return all.stream()
                .filter(f -> same.test(like, f))
                .mapToDouble(measure)
                .max()
                .orElse(0);
    }
}
