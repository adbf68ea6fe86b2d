package app.leeward.render;

import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Scope;
import java.util.List;

/** A shot as one PNG that moves, on clear ground, without sound. */
public final class FilmApng extends Film {
    public FilmApng() {
        super(
                new Format(
                        "film-apng",
                        "APNG",
                        "image/apng",
                        "apng",
                        Scope.SHOT,
                        Family.PICTURES,
                        "one PNG that moves, on clear ground"),
                true);
    }

    @Override
    public List<String> losses(ExportSource source) {
        return Losses.sound(source);
    }

    @Override
    public List<String> arguments(boolean sound) {
        return List.of("-map", "0:v", "-c:v", "apng", "-pix_fmt", "rgba", "-plays", "0");
    }
}
