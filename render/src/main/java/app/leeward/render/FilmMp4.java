package app.leeward.render;

import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import java.util.ArrayList;
import java.util.List;

/** A shot as MP4 with its sound, on white ground: H.264 and AAC, as any player shows them. */
public final class FilmMp4 extends Film {
    public FilmMp4() {
        super(
                new Format("film-mp4", "MP4", "video/mp4", "mp4", Scope.SHOT, Family.FILM, "on white, with its sound"),
                false);
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
}
