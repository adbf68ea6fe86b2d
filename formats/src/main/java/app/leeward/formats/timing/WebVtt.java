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

/** What is said in a shot as WebVTT captions (W3C). */
public final class WebVtt extends TextExporter {
    private static final Format FORMAT = new Format(
            "captions-vtt",
            "WebVTT",
            "text/vtt;charset=UTF-8",
            "vtt",
            Scope.SHOT,
            Family.TIMING,
            "the words as captions");

    public WebVtt() {
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
        StringBuilder out = new StringBuilder("WEBVTT\n");
        int n = 0;
        for (Timing.Span c : Captions.of(shot)) {
            out.append('\n')
                    .append(++n)
                    .append('\n')
                    .append(Captions.time(c.start(), '.'))
                    .append(" --> ");
            out.append(Captions.time(c.end(), '.')).append('\n');
            out.append(c.text().replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;"));
            out.append('\n');
        }
        return out.toString();
    }
}
