package app.leeward.speech.script;

import app.leeward.speech.SpeechProblem;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A script as a table: a row a line. */
final class ScriptTable {
    private static final Set<String> WORDS =
            Set.of("text", "line", "lines", "words", "dialogue", "dialog", "transcript");
    private static final Set<String> SPEAKER = Set.of("speaker", "character", "name", "role", "who");
    private static final Set<String> CUE = Set.of("cue", "number", "no", "nr", "id", "#", "file", "take");

    private ScriptTable() {}

    /** Empty when it is no table with a column of words. */
    static Optional<List<ScriptLine>> of(String text) {
        return HeadedTable.of(text).filter(t -> t.column(WORDS) >= 0).map(ScriptTable::read);
    }

    private static List<ScriptLine> read(HeadedTable table) {
        List<ScriptLine> out = new ArrayList<>();
        int words = table.column(WORDS);
        int from = table.column(HeadedTable.FROM);
        int to = table.column(HeadedTable.TO);
        try {
            for (HeadedTable.Row row : table.rows()) {
                if (!row.cell(words).isEmpty()) {
                    out.add(new ScriptLine(
                            row.place(),
                            row.cell(table.column(SPEAKER)),
                            row.cell(table.column(CUE)),
                            times(row.cell(from), row.cell(to), row.place()),
                            row.cell(words)));
                }
            }
        } catch (IOException e) {
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
}
