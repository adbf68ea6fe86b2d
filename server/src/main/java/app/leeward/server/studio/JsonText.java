package app.leeward.server.studio;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;

/** JSON we wrote ourselves: a failure is a fault of ours, never of the person. */
final class JsonText {
    private JsonText() {}

    static <T> T read(ObjectMapper json, String text, Class<T> type) {
        try {
            return json.readValue(text, type);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("stored " + type.getSimpleName() + " cannot be read", e);
        }
    }

    static String write(ObjectMapper json, Object value) {
        return writeAs(json, value.getClass(), value);
    }

    /** As one option of the choice {@code type}, so that its kind is written too. */
    static String writeAs(ObjectMapper json, Class<?> type, Object value) {
        try {
            return json.writerFor(type).writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
