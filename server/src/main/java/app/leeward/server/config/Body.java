package app.leeward.server.config;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** What came with a request: in memory while it is small, else in a file that only this account can read. */
final class Body {
    private static final int SMALL = 65_536;

    private ByteArrayOutputStream memory = new ByteArrayOutputStream(1_024);
    private Path file;
    private OutputStream out;
    private long length;

    void add(byte[] bytes, int count) throws IOException {
        length += count;
        if (file == null && length > SMALL) {
            file = Files.createTempFile("leeward-body", "");
            out = Files.newOutputStream(file);
            memory.writeTo(out);
            memory = null;
        }
        (file == null ? memory : out).write(bytes, 0, count);
    }

    long length() {
        return length;
    }

    /** Nothing more comes. */
    void close() throws IOException {
        if (out != null) {
            out.close();
        }
    }

    InputStream open() throws IOException {
        return file == null ? new ByteArrayInputStream(memory.toByteArray()) : Files.newInputStream(file);
    }

    void delete() {
        try {
            close();
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            file.toFile().deleteOnExit();
        }
    }
}
