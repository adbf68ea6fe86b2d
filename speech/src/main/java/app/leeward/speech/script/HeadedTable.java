package app.leeward.speech.script;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A table (RFC 4180, also with semicolons or tabs) whose first row says what each column is. */
final class HeadedTable {
    /** Names of the columns that say when something begins and ends. */
    static final Set<String> FROM = Set.of("start", "from", "in", "begin", "start time");

    static final Set<String> TO = Set.of("end", "to", "out", "stop", "end time");

    private final String text;
    private final char between;
    private final List<String> columns;

    private HeadedTable(String text, char between, List<String> columns) {
        this.text = text;
        this.between = between;
        this.columns = columns;
    }

    /**
     * A row.
     *
     * @param place line of the text it ends in, from 1
     */
    record Row(int place, CSVRecord cells) {
        /** Empty where there is no such column. */
        String cell(int column) {
            return column >= 0 && column < cells.size() ? cells.get(column).strip() : "";
        }
    }

    /** Empty when nothing parts the first row; of several signs the one that makes most columns does. */
    static Optional<HeadedTable> of(String text) {
        String bare = text.startsWith("\uFEFF") ? text.substring(1) : text;
        String first = bare.lines().findFirst().orElse("");
        return Stream.of(',', ';', '\t')
                .map(between -> new HeadedTable(bare, between, columns(first, between)))
                .filter(t -> t.columns.size() > 1)
                .max(Comparator.comparingInt(t -> t.columns.size()))
                .filter(t -> t.columns.stream().allMatch(c -> c.length() <= PlainScript.LONGEST_CUE));
    }

    private static List<String> columns(String first, char between) {
        return Stream.of(first.split(String.valueOf(between), -1))
                .map(c -> c.strip().replaceAll("^\"|\"$", "").toLowerCase(Locale.ROOT))
                .toList();
    }

    /** The number of the first column that is called one of these, -1 when none is. */
    int column(Set<String> names) {
        for (int i = 0; i < columns.size(); i++) {
            if (names.contains(columns.get(i))) {
                return i;
            }
        }
        return -1;
    }

    /**
     * All rows but the first.
     *
     * @throws IOException where quotes are not closed or stand where none may
     */
    List<Row> rows() throws IOException {
        List<Row> out = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(between).get();
        try (CSVParser rows = CSVParser.parse(text, format)) {
            for (CSVRecord row : rows) {
                if (row.getRecordNumber() > 1) {
                    out.add(new Row((int) rows.getCurrentLineNumber(), row));
                }
            }
        } catch (UncheckedIOException | IllegalStateException e) {
            throw new IOException(e.getMessage(), e);
        }
        return out;
    }
}
