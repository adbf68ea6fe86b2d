package app.leeward.core;

import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;

/** What is asked for cannot be done, and says so for the reason expected. */
public final class Refused {
    private Refused() {}

    public static void because(RefusalCode reason, ThrowingCallable asked) {
        assertThatExceptionOfType(Refusal.class)
                .isThrownBy(asked)
                .matches(e -> e.reason() == reason, "for " + reason)
                .withMessageMatching("\\S.*[.]");
    }
}
