package app.leeward.core.check;

import app.leeward.core.art.Drawing;
import app.leeward.core.lips.Opening;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Lips: in every mood what is shown for p, b and m is shut. */
final class LipsCheck implements Check {
    @Override
    public String id() {
        return "lips";
    }

    @Override
    public Harm harm(String code) {
        return Harm.MOVES;
    }

    @Override
    public Stream<Fault> find(Character c) {
        MouthChart chart = c.voice().mouths();
        return Stream.concat(Stream.of(""), chart.moods().stream().map(Mood::id))
                .flatMap(row -> fault(c, chart, row).stream());
    }

    private static Optional<Fault> fault(Character c, MouthChart chart, String row) {
        return chart.serve(row, Viseme.PBM)
                .flatMap(s ->
                        chart.part().flatMap(p -> c.drawing(p, s.drawing())).flatMap(d -> fault(chart, row, d)));
    }

    private static Optional<Fault> fault(MouthChart chart, String row, Drawing d) {
        double open = Opening.of(d.art());
        if (open <= 0) {
            return Optional.empty();
        }
        String mood = chart.mood(row)
                .map(m -> " when " + m.name().toLowerCase(Locale.ROOT))
                .orElse("");
        return Optional.of(new Fault(
                "not-shut" + (row.isEmpty() ? "" : "-" + row),
                Subject.drawing(chart.part().orElseThrow(), d.id()),
                new Measure(open, Unit.UNITS),
                String.format(
                        Locale.ROOT,
                        "“%s” is shown for p, b and m%s and is not shut: the lips stay %.1f apart.",
                        d.name(),
                        mood,
                        open)));
    }
}
