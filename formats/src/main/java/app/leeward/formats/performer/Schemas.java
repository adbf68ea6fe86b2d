package app.leeward.formats.performer;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** The JSON Schemas that come with this room. */
final class Schemas {
    private Schemas() {}

    static String named(String name) {
        try (InputStream in = Schemas.class.getResourceAsStream("/performer/" + name + ".schema.json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
