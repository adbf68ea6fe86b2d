package app.leeward.formats.timing;

import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.text.Decimals;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;
import java.util.ArrayList;
import java.util.List;

/** Words, sounds and mouths of a shot as tiers of intervals, in Praat's text format. */
public final class TextGrid extends TextExporter {
    private static final Format FORMAT = new Format(
            "textgrid",
            "TextGrid",
            "text/plain;charset=UTF-8",
            "TextGrid",
            Scope.SHOT,
            Family.TIMING,
            "words, sounds and mouths as tiers");

    public TextGrid() {
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
        Shot shot = playhead.shot();
        double end = Timing.seconds(shot);
        StringBuilder out = new StringBuilder("File type = \"ooTextFile\"\nObject class = \"TextGrid\"\n\nxmin = 0\n");
        out.append("xmax = ").append(number(end)).append("\ntiers? <exists>\nsize = 3\nitem []:\n");
        tier(out, 1, "words", Timing.words(shot), end);
        tier(out, 2, "phones", Timing.phones(shot), end);
        tier(out, 3, "mouths", Timing.mouths(playhead), end);
        return out.toString();
    }

    /** A tier covers all of the time: what lies between is an interval without text. */
    private static void tier(StringBuilder out, int index, String name, List<Timing.Span> spans, double end) {
        List<Timing.Span> all = new ArrayList<>();
        double at = 0;
        for (Timing.Span s : spans) {
            double from = Math.max(at, Math.min(end, s.start()));
            double to = Math.min(end, s.end());
            if (to - from < 1e-6) {
                continue;
            }
            if (from - at > 1e-6) {
                all.add(new Timing.Span(at, from, ""));
            } else {
                from = at;
            }
            all.add(new Timing.Span(from, to, s.text()));
            at = to;
        }
        if (end - at > 1e-6) {
            all.add(new Timing.Span(at, end, ""));
        }
        out.append("    item [").append(index).append("]:\n        class = \"IntervalTier\"\n        name = \"");
        out.append(name).append("\"\n        xmin = 0\n        xmax = ").append(number(end));
        out.append("\n        intervals: size = ").append(all.size()).append('\n');
        for (int i = 0; i < all.size(); i++) {
            Timing.Span s = all.get(i);
            out.append("        intervals [")
                    .append(i + 1)
                    .append("]:\n            xmin = ")
                    .append(number(s.start()));
            out.append("\n            xmax = ").append(number(s.end())).append("\n            text = \"");
            out.append(s.text().replace("\"", "\"\"")).append("\"\n");
        }
    }

    private static String number(double v) {
        return Decimals.plain(v, 7);
    }
}
