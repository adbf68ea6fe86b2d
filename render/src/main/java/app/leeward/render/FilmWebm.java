package app.leeward.render;

import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import java.util.ArrayList;
import java.util.List;

/** A shot as WebM with its sound: VP9 with what is not drawn left clear, and Opus. */
public final class FilmWebm extends Film {
    public FilmWebm() {
        super(
                new Format(
                        "film-webm",
                        "WebM",
                        "video/webm",
                        "webm",
                        Scope.SHOT,
                        Family.FILM,
                        "see-through where nothing is drawn, with its sound"),
                true);
    }

    @Override
    public List<String> arguments(boolean sound) {
        List<String> all = new ArrayList<>(List.of(
                "-c:v",
                "libvpx-vp9",
                "-pix_fmt",
                "yuva420p",
                "-crf",
                "24",
                "-b:v",
                "0",
                "-deadline",
                "realtime",
                "-cpu-used",
                "6",
                "-row-mt",
                "1",
                "-auto-alt-ref",
                "0"));
        if (sound) {
            all.addAll(List.of("-c:a", "libopus", "-b:a", "96k"));
        }
        return all;
    }
}
