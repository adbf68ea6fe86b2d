package app.leeward.core.seeded;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.util.Arrays;
import java.util.SplittableRandom;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.InvocationInterceptor;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.junit.jupiter.api.extension.ReflectiveInvocationContext;

/** Runs a {@link Seeded} test as often as it asks. */
final class SeededRuns implements InvocationInterceptor, ParameterResolver {
    private static final double[] SMALLER = {1 / 64.0, 1 / 16.0, 1 / 8.0, 1 / 4.0, 1 / 2.0};

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return true;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        // the framework's own call is left out in favour of many of ours
        return new Draw(0, 1).values(new Parameter[] {parameter.getParameter()})[0];
    }

    @Override
    public void interceptTestMethod(
            Invocation<Void> invocation, ReflectiveInvocationContext<Method> call, ExtensionContext context)
            throws Throwable {
        invocation.skip();
        Method method = call.getExecutable();
        method.setAccessible(true);
        int tries = method.getAnnotation(Seeded.class).tries();
        long base = Long.getLong("leeward.seed", 0L) ^ method.toString().hashCode();
        SplittableRandom seeds = new SplittableRandom(base);
        for (int i = 0; i < tries; i++) {
            Draw draw = new Draw(seeds.nextLong(), Math.min(1, (i + 1.0) / (0.2 * tries)));
            Throwable failed = failure(method, call.getTarget().orElse(null), draw);
            if (failed != null) {
                throw told(method, call.getTarget().orElse(null), draw, failed);
            }
        }
    }

    private static Throwable failure(Method method, Object target, Draw draw) throws IllegalAccessException {
        try {
            method.invoke(target, draw.values(method.getParameters()));
            return null;
        } catch (InvocationTargetException e) {
            return e.getCause();
        }
    }

    private static Throwable told(Method method, Object target, Draw draw, Throwable failed)
            throws IllegalAccessException {
        Draw smallest = draw;
        Throwable why = failed;
        for (double share : SMALLER) {
            Draw smaller = new Draw(draw.seed(), draw.size() * share);
            Throwable fails = failure(method, target, smaller);
            if (fails != null) {
                smallest = smaller;
                why = fails;
                break;
            }
        }
        return new AssertionError(
                "with " + Arrays.toString(smallest.values(method.getParameters())) + ", seed " + smallest.seed()
                        + ", size " + smallest.size() + ": " + why.getMessage(),
                why);
    }
}
