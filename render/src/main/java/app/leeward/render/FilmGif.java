package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/** A shot as GIF on white ground, without sound, its colours chosen from its own frames. */
public final class FilmGif implements Exporter, FilmEncoder.Encoding {
    private static final Format FORMAT = new Format("film-gif", "GIF", "image/gif", "gif", Scope.SHOT);

    @Override
    public Format format() {
        return FORMAT;
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
    public List<String> arguments(boolean sound) {
        return List.of(
                "-filter_complex",
                "[0:v]split[a][b];[a]palettegen=stats_mode=diff[p];[b][p]paletteuse=dither=none",
                "-loop",
                "0");
    }

    @Override
    public boolean clear() {
        return false;
    }

    @Override
    public String extension() {
        return FORMAT.extension();
    }
}
