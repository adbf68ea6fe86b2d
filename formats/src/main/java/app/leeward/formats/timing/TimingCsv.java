package app.leeward.formats.timing;

import app.leeward.core.shot.Playhead;
import app.leeward.core.text.Decimals;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.CsvCell;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;
import java.util.List;

/** Words, sounds and mouths of a shot as comma-separated values (RFC 4180): a row a stretch. */
public final class TimingCsv extends TextExporter {
    private static final Format FORMAT = new Format(
            "timing-csv",
            "Timing, CSV",
            "text/csv;charset=UTF-8",
            "timing.csv",
            Scope.SHOT,
            Family.TIMING,
            "words, sounds and mouths with their seconds");

    public TimingCsv() {
        super(FORMAT);
    }

    @Override
    public List<String> losses(ExportSource source) {
        return Losses.words(source);
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        return text(source.playhead().orElseThrow());
    }

    static String text(Playhead playhead) {
        StringBuilder out = new StringBuilder("tier,start,end,label\r\n");
        tier(out, "words", Timing.words(playhead.shot()));
        tier(out, "phones", Timing.phones(playhead.shot()));
        tier(out, "mouths", Timing.mouths(playhead));
        return out.toString();
    }

    private static void tier(StringBuilder out, String name, List<Timing.Span> spans) {
        for (Timing.Span s : spans) {
            out.append(name)
                    .append(',')
                    .append(Decimals.fixed(s.start(), 4))
                    .append(',')
                    .append(Decimals.fixed(s.end(), 4))
                    .append(',')
                    .append(CsvCell.of(s.text()))
                    .append("\r\n");
        }
    }
}
