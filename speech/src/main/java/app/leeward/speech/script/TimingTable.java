package app.leeward.speech.script;

import app.leeward.speech.SpeechProblem;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Sounds and words over time as a table: a row a stretch, with the seconds (or minutes and seconds) it begins and ends at. Either a column
 * says which tier its label is of, or each column of labels is a tier; a word that goes on over the rows of its sounds is one.
 */
final class TimingTable {
    private static final Set<String> TIER = Set.of("tier", "kind", "type", "layer");
    private static final Set<String> LABEL = Set.of("label", "text", "value", "mark");
    private static final Set<String> SOUND = Set.of("sound", "phone", "phoneme", "ipa");
    private static final Set<String> WORD = Set.of("word");

    /** By how much stretches may lie over one another, seconds: times are written with a few digits. */
    private static final double CLOSE = 1e-6;

    private final HeadedTable table;

    private TimingTable(HeadedTable table) {
        this.table = table;
    }

    /** Empty when it is no table with times and labels of sounds or of tiers; one of lines and their times is a script. */
    static Optional<TimingTable> of(String text) {
        return HeadedTable.of(text)
                .filter(t -> t.column(HeadedTable.FROM) >= 0 && t.column(HeadedTable.TO) >= 0)
                .filter(t -> t.column(SOUND) >= 0 || t.column(TIER) >= 0 && t.column(LABEL) >= 0)
                .map(TimingTable::new);
    }

    /** @throws SpeechProblem {@code grid-broken} with the line */
    TimingGrid grid() {
        Map<String, List<TimingGrid.Interval>> tiers = new LinkedHashMap<>();
        int from = table.column(HeadedTable.FROM);
        int to = table.column(HeadedTable.TO);
        int tier = table.column(TIER);
        try {
            for (HeadedTable.Row row : table.rows()) {
                if (row.cell(from).isEmpty() && row.cell(to).isEmpty()) {
                    continue;
                }
                double begins = seconds(row.cell(from), row.place());
                double ends = seconds(row.cell(to), row.place());
                if (tier >= 0 && table.column(LABEL) >= 0) {
                    String name = row.cell(tier);
                    add(tiers, name, false, begins, ends, label(row, LABEL), row.place());
                } else {
                    add(tiers, "sounds", false, begins, ends, label(row, SOUND), row.place());
                    if (table.column(WORD) >= 0) {
                        add(tiers, "words", true, begins, ends, label(row, WORD), row.place());
                    }
                }
            }
        } catch (IOException e) {
            throw new SpeechProblem("grid-broken", "The table of times cannot be read: " + e.getMessage());
        }
        double end = tiers.values().stream()
                .flatMap(List::stream)
                .mapToDouble(TimingGrid.Interval::to)
                .max()
                .orElseThrow(() -> new SpeechProblem("grid-broken", "The table of times has no rows."));
        return new TimingGrid(
                end,
                tiers.entrySet().stream()
                        .map(t -> new TimingGrid.Tier(t.getKey(), List.copyOf(t.getValue())))
                        .toList());
    }

    /** What a cell says; the apostrophe that keeps a spreadsheet from computing it is none of it. */
    private String label(HeadedTable.Row row, Set<String> columns) {
        return row.cell(table.column(columns)).replaceFirst("^'(?=[=+\\-@])", "");
    }

    private static void add(
            Map<String, List<TimingGrid.Interval>> tiers,
            String name,
            boolean goesOn,
            double from,
            double to,
            String label,
            int place) {
        List<TimingGrid.Interval> all = tiers.computeIfAbsent(name, n -> new ArrayList<>());
        TimingGrid.Interval last = all.isEmpty() ? null : all.get(all.size() - 1);
        if (to <= from || last != null && from < last.to() - CLOSE) {
            throw new SpeechProblem(
                    "grid-broken",
                    "The table of times cannot be read at line " + place + ": a stretch of '" + name
                            + "' ends before it begins or does not follow the one before it.");
        }
        if (goesOn && last != null && last.label().equals(label) && from < last.to() + CLOSE) {
            all.set(all.size() - 1, new TimingGrid.Interval(last.from(), to, label));
        } else {
            all.add(new TimingGrid.Interval(from, to, label));
        }
    }

    private static double seconds(String time, int place) {
        try {
            return ScriptReader.seconds(time, place);
        } catch (SpeechProblem e) {
            throw new SpeechProblem(
                    "grid-broken",
                    "The table of times cannot be read at line " + place + ": '" + time + "' is no time.");
        }
    }
}
