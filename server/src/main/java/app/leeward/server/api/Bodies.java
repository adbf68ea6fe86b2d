package app.leeward.server.api;

import app.leeward.server.studio.Problem;
import java.lang.reflect.RecordComponent;
import org.springframework.http.HttpStatus;

/** Checks of what was sent. */
final class Bodies {
    private Bodies() {}

    static <T> T require(T value, String name) {
        if (value == null) {
            throw new Problem(HttpStatus.BAD_REQUEST, "missing", name, "'" + name + "' is missing from what was sent.");
        }
        return value;
    }

    /** Every component of a record that came as JSON must be there; the one that is not is named. */
    static <T> T requireWhole(T value, String name) {
        require(value, name);
        for (RecordComponent c : value.getClass().getRecordComponents()) {
            try {
                require(c.getAccessor().invoke(value), c.getName());
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(e);
            }
        }
        return value;
    }
}
