package app.leeward.formats.sheet;

import app.leeward.core.shot.Playhead;
import app.leeward.core.text.Decimals;
import app.leeward.formats.export.CsvCell;
import java.util.ArrayList;
import java.util.List;

/**
 * The exposure sheet of a shot as comma-separated values (RFC 4180): a header, then a row a frame with the frame number from 1, its
 * time, the words and sounds heard during it, the viseme class shown (lead included), the mouth, and what stands on each track that has
 * something on it. The last column names what is keyed there.
 */
public final class ExposureCsv {
    private ExposureCsv() {}

    public static String write(Playhead playhead) {
        List<SheetColumn> acted = SheetColumns.acted(playhead);
        List<SheetColumn> columns = new ArrayList<>(SheetColumns.heard(playhead));
        columns.addAll(acted);
        StringBuilder out = new StringBuilder("frame,seconds");
        columns.forEach(c -> out.append(',').append(CsvCell.of(c.name())));
        out.append(",begins here\r\n");
        double length = 1.0 / playhead.shot().rules().frameRate();
        for (int f = 0; f < playhead.shot().frames(); f++) {
            out.append(f + 1).append(',').append(Decimals.fixed(f * length, 3));
            List<String> begins = new ArrayList<>();
            for (SheetColumn c : columns) {
                out.append(',').append(CsvCell.of(c.cells().get(f).text()));
            }
            for (SheetColumn c : acted) {
                if (c.cells().get(f).begins()) {
                    begins.add(c.name());
                }
            }
            out.append(',').append(CsvCell.of(String.join("; ", begins))).append("\r\n");
        }
        return out.toString();
    }
}
