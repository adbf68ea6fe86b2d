package app.leeward.render;

import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;

/** A shot as MP4 with its sound, on white ground: H.264 and AAC, as any player shows them. */
public final class FilmMp4 implements Exporter, FilmEncoder.Encoding {
    private static final Format FORMAT = new Format("film-mp4", "MP4", "video/mp4", "mp4", Scope.SHOT);

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
        List<String> all = new ArrayList<>(List.of(
                "-c:v",
                "libx264",
                "-pix_fmt",
                "yuv420p",
                "-crf",
                "18",
                "-preset",
                "veryfast",
                "-tune",
                "animation",
                "-vf",
                "pad=ceil(iw/2)*2:ceil(ih/2)*2:color=white",
                "-movflags",
                "+faststart"));
        if (sound) {
            all.addAll(List.of("-c:a", "aac", "-b:a", "160k"));
        }
        return all;
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
