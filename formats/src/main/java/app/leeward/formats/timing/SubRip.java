package app.leeward.formats.timing;

import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;
import java.util.List;

/** What is said in a shot as SRT captions. */
public final class SubRip extends TextExporter {
    private static final Format FORMAT = new Format(
            "captions-srt", "SRT", "application/x-subrip", "srt", Scope.SHOT, Family.TIMING, "the words as captions");

    public SubRip() {
        super(FORMAT);
    }

    @Override
    public List<String> losses(ExportSource source) {
        return Losses.words(source);
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        return text(source.shot().orElseThrow());
    }

    static String text(Shot shot) {
        StringBuilder out = new StringBuilder();
        int n = 0;
        for (Timing.Span c : Captions.of(shot)) {
            out.append(++n).append("\r\n").append(Captions.time(c.start(), ',')).append(" --> ");
            out.append(Captions.time(c.end(), ',')).append("\r\n");
            out.append(c.text().replace("\n", "\r\n")).append("\r\n\r\n");
        }
        return out.toString();
    }
}
