package app.leeward.speech.script;

import app.leeward.speech.SpeechProblem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A script as a table (RFC 4180, also with semicolons or tabs); its first row says what each column is. */
final class ScriptTable {
    private static final Set<String> WORDS =
            Set.of("text", "line", "lines", "words", "dialogue", "dialog", "transcript");
    private static final Set<String> SPEAKER = Set.of("speaker", "character", "name", "role", "who");
    private static final Set<String> CUE = Set.of("cue", "number", "no", "nr", "id", "#", "file", "take");
    private static final Set<String> FROM = Set.of("start", "from", "in", "begin", "start time");
    private static final Set<String> TO = Set.of("end", "to", "out", "stop", "end time");

    private ScriptTable() {}

    /** Empty when it is no table with a column of words. */
    static Optional<List<ScriptLine>> of(String text) {
        String first = text.lines().findFirst().orElse("");
        for (char between : new char[] {',', ';', '\t'}) {
            if (first.indexOf(between) < 0) {
                continue;
            }
            List<String> columns = List.of(first.split(String.valueOf(between), -1)).stream()
                    .map(c -> c.strip().replaceAll("^\"|\"$", "").toLowerCase(Locale.ROOT))
                    .toList();
            int words = column(columns, WORDS);
            if (words >= 0 && columns.stream().allMatch(c -> c.length() <= PlainScript.LONGEST_CUE)) {
                return Optional.of(read(text, between, columns, words));
            }
        }
        return Optional.empty();
    }

    private static int column(List<String> columns, Set<String> names) {
        for (int i = 0; i < columns.size(); i++) {
            if (names.contains(columns.get(i))) {
                return i;
            }
        }
        return -1;
    }

    private static List<ScriptLine> read(String text, char between, List<String> columns, int words) {
        CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(between).get();
        List<ScriptLine> out = new ArrayList<>();
        int from = column(columns, FROM);
        int to = column(columns, TO);
        try (CSVParser rows = CSVParser.parse(text, format)) {
            for (CSVRecord row : rows) {
                int place = (int) rows.getCurrentLineNumber();
                if (row.getRecordNumber() > 1 && !cell(row, words).isEmpty()) {
                    out.add(new ScriptLine(
                            place,
                            cell(row, column(columns, SPEAKER)),
                            cell(row, column(columns, CUE)),
                            times(cell(row, from), cell(row, to), place),
                            cell(row, words)));
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new SpeechProblem(
                    "script-table", "The script looks like a table but cannot be read as one: " + e.getMessage());
        }
        return out;
    }

    private static Optional<ScriptLine.Times> times(String from, String to, int place) {
        if (from.isEmpty() || to.isEmpty()) {
            return Optional.empty();
        }
        double begins = ScriptReader.seconds(from, place);
        double ends = ScriptReader.seconds(to, place);
        return ends > begins ? Optional.of(new ScriptLine.Times(begins, ends)) : Optional.empty();
    }

    private static String cell(CSVRecord row, int column) {
        return column >= 0 && column < row.size() ? row.get(column).strip() : "";
    }
}
