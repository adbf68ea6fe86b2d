package app.leeward.render;

import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Scope;
import java.util.List;

/** A shot as GIF on white ground, without sound, its colours chosen from its own frames. */
public final class FilmGif extends Film {
    public FilmGif() {
        super(
                new Format("film-gif", "GIF", "image/gif", "gif", Scope.SHOT, Family.FILM, "on white, 256 colours"),
                false);
    }

    @Override
    public List<String> losses(ExportSource source) {
        return Losses.sound(source);
    }

    @Override
    public List<String> arguments(boolean sound) {
        return List.of(
                "-filter_complex",
                "[0:v]split[a][b];[a]palettegen=stats_mode=diff[p];[b][p]paletteuse=dither=none",
                "-loop",
                "0");
    }
}
