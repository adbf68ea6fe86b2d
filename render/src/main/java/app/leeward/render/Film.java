package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Option;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/** A shot as one kind of film; what kind is its format and how it is encoded. */
abstract class Film implements Exporter, FilmEncoder.Encoding {
    private final Format format;
    private final boolean clear;

    /** @param clear whether what is not drawn stays clear */
    Film(Format format, boolean clear) {
        this.format = format;
        this.clear = clear;
    }

    @Override
    public Format format() {
        return format;
    }

    @Override
    public boolean drawsFrames() {
        return true;
    }

    @Override
    public List<Option> options() {
        return List.of(FilmEncoder.WIDTH);
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        FilmEncoder.write(source, choices, this, out);
    }

    @Override
    public boolean clear() {
        return clear;
    }

    @Override
    public String extension() {
        return format.extension();
    }
}
