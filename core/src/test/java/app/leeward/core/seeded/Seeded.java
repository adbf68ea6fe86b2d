package app.leeward.core.seeded;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A test that holds for whatever its parameters are: it is run many times with drawn values, growing from small to large. A
 * number is drawn as {@link Between} says, everything else from all values of its type. The draws follow from the name of the
 * test, so that a run can be repeated; {@code -Dleeward.seed=7} draws others. What fails is tried again smaller, and told with its
 * seed.
 */
@Test
@ExtendWith(SeededRuns.class)
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Seeded {
    int tries() default 1000;
}
