package app.leeward.formats.sheet;

import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.TimedPhone;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The exposure sheet of a line as comma-separated values (RFC 4180): a header, then a row a frame with the frame
 * number from 1, its time, the sounds heard during it, the viseme class shown (lead included) and the drawing.
 */
public final class ExposureCsv {
    private ExposureCsv() {}

    public static String write(Shot shot, Optional<MouthTrack> mouths) {
        StringBuilder out = new StringBuilder("frame,seconds,phone,class,drawing,pinned\r\n");
        List<TimedPhone> spoken = shot.phones();
        double length = 1.0 / shot.rules().frameRate();
        for (int f = 0; f < shot.frames(); f++) {
            double from = f * length;
            int exposed = f - f % shot.rules().exposure();
            String phones = spoken.stream()
                    .filter(p -> p.end() > from + 1e-9 && p.start() < from + length - 1e-9)
                    .map(TimedPhone::phone)
                    .map(Enum::name)
                    .collect(Collectors.joining(" "));
            out.append(f + 1)
                    .append(',')
                    .append(String.format(Locale.ROOT, "%.3f", from))
                    .append(',')
                    .append(quoted(phones))
                    .append(',');
            if (mouths.isPresent()) {
                out.append(mouths.get().classes().get(exposed).number())
                        .append(',')
                        .append(quoted(mouths.get().at(exposed)));
            } else {
                out.append(',');
            }
            out.append(',')
                    .append(shot.tracks().pins().containsKey(exposed) ? "yes" : "")
                    .append("\r\n");
        }
        return out.toString();
    }

    private static String quoted(String text) {
        // a leading sign would be run as a formula by a spreadsheet
        String safe = text.matches("^[=+\\-@].*") ? "'" + text : text;
        return safe.matches("(?s).*[\",\r\n].*") ? '"' + safe.replace("\"", "\"\"") + '"' : safe;
    }
}
