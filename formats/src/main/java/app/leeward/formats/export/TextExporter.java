package app.leeward.formats.export;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** Writes one format that is text, in UTF-8. */
public abstract class TextExporter implements Exporter {
    private final Format format;

    protected TextExporter(Format format) {
        this.format = format;
    }

    @Override
    public final Format format() {
        return format;
    }

    /** All of the file. */
    protected abstract String text(ExportSource source, Choices choices);

    @Override
    public final void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        out.write(text(source, choices).getBytes(StandardCharsets.UTF_8));
    }
}
