package app.leeward.formats.sheet;

import app.leeward.core.cue.Blink;
import app.leeward.core.cue.Cue;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.dial.Dial;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MoodSpan;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.mouth.TimingSpan;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Gesture;
import app.leeward.core.shot.HeldDrawing;
import app.leeward.core.shot.KitSpan;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotNote;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.IntFunction;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;

/** Everything that is acted in a shot, a column for each track that has something on it, in the names the rigger gave. */
final class SheetColumns {
    private final Playhead playhead;
    private final Shot shot;
    private final Character character;

    /** Rows of mouths that were looked at, by mood. */
    private final Map<String, MouthChart> rows = new HashMap<>();

    private SheetColumns(Playhead playhead) {
        this.playhead = playhead;
        this.shot = playhead.shot();
        this.character = playhead.evaluator().character();
    }

    /** What is heard and shown by the mouth; these are there even when they are empty. */
    static List<SheetColumn> heard(Playhead playhead) {
        return new SheetColumns(playhead).heard();
    }

    /** What is acted; only tracks with something on them. */
    static List<SheetColumn> acted(Playhead playhead) {
        return new SheetColumns(playhead)
                .acted().stream().filter(c -> !c.isEmpty()).toList();
    }

    private List<SheetColumn> heard() {
        double length = 1.0 / shot.rules().frameRate();
        List<TimedPhone> phones = shot.phones();
        return List.of(
                column("word", f -> word(f * length, length)),
                column("phone", f -> phones.stream()
                        .filter(p -> during(p.start(), p.end(), f * length, length))
                        .map(p -> p.phone().name())
                        .collect(Collectors.joining(" "))),
                column("class", f -> playhead.mouths()
                        .flatMap(m -> shown(m, f))
                        .map(SheetColumns::number)
                        .orElse("")),
                column("heard", f -> playhead.mouths()
                        .map(m -> number(m.classes().get(playhead.exposed(f))))
                        .orElse("")),
                column("mouth", f -> playhead.mouths().map(m -> mouth(m, f)).orElse("")),
                column("pinned", f -> shot.tracks().pins().containsKey(playhead.exposed(f)) ? "yes" : ""));
    }

    private static String number(Viseme viseme) {
        return String.valueOf(viseme.number());
    }

    private Optional<Viseme> shown(MouthTrack mouths, int frame) {
        int at = playhead.exposed(frame);
        return rows.computeIfAbsent(shot.moodAt(at), character.voice().mouths()::in)
                .shownBy(mouths.at(at), mouths.classes().get(at));
    }

    private String mouth(MouthTrack mouths, int frame) {
        String id = mouths.at(playhead.exposed(frame));
        return character
                .voice()
                .mouths()
                .part()
                .flatMap(character::part)
                .map(p -> drawing(p, id))
                .orElse(id);
    }

    private String mood(String id) {
        return id.isEmpty()
                ? "neutral"
                : character.voice().mouths().mood(id).map(Mood::name).orElse(id);
    }

    private String word(double from, double length) {
        List<String> words = new ArrayList<>();
        for (PlacedLine line : shot.lines()) {
            for (TimedWord w : line.line().words()) {
                if (during(w.start() + shot.starts(line), w.end() + shot.starts(line), from, length)) {
                    words.add(w.text());
                }
            }
        }
        return String.join(" ", words);
    }

    private static boolean during(double start, double end, double from, double length) {
        return end > from + 1e-9 && start < from + length - 1e-9;
    }

    private List<SheetColumn> acted() {
        List<SheetColumn> columns = new ArrayList<>();
        shot.tracks().dials().forEach((id, keys) -> columns.add(dial(id, keys)));
        shot.tracks().drawings().forEach((id, held) -> columns.add(drawings(id, held)));
        columns.add(spans(
                "blinks",
                shot.tracks().blinks(),
                Blink::frame,
                Blink::end,
                (b, f) -> Math.round(100 * b.shut(playhead.exposed(f))) + " % shut"));
        columns.add(spans(
                "looks",
                shot.tracks().looks(),
                LookSpan::from,
                LookSpan::to,
                (l, f) -> look(l.look()) + " " + Math.round(100 * l.at(playhead.exposed(f))) + " %"));
        columns.add(spans("kits", shot.tracks().kits(), KitSpan::from, KitSpan::to, (k, f) -> kit(k.kit())));
        columns.add(spans("cues", shot.tracks().cues(), CuePlacement::frame, this::ends, (c, f) -> cue(c)));
        columns.add(spans("runs", shot.tracks().gestures(), Gesture::from, Gesture::to, (g, f) -> run(g.run())));
        columns.add(spans("mood", shot.tracks().moods(), MoodSpan::from, MoodSpan::to, (m, f) -> mood(m.mood())));
        columns.add(spans(
                "mouth timing",
                shot.tracks().timings(),
                TimingSpan::from,
                TimingSpan::to,
                (t, f) -> "lead " + t.lead() + ", held " + t.minimumHold()));
        columns.add(spans(
                "notes",
                shot.tracks().notes(),
                ShotNote::from,
                ShotNote::to,
                (n, f) -> n.text() + (n.author().isEmpty() ? "" : " (" + n.author() + ")")));
        return columns;
    }

    /** Its value in every exposure; a cell begins where it has a key. */
    private SheetColumn dial(String id, List<DialKey> keys) {
        Optional<Dial> dial = character.dial(id);
        Set<Integer> keyed = new HashSet<>();
        keys.forEach(k -> keyed.add(k.frame()));
        double[] values = playhead.valuesOf(id);
        List<SheetColumn.Cell> cells = new ArrayList<>();
        for (int f = 0; f < shot.frames(); f++) {
            // what belongs to a dial that is gone is kept, and shows nothing
            String text = values.length == 0 ? "" : Decimals.plain(values[playhead.exposed(f)], 2);
            cells.add(new SheetColumn.Cell(text, keyed.contains(f)));
        }
        return new SheetColumn(
                dial.map(d -> d.unit().isEmpty() ? d.name() : d.name() + " (" + d.unit() + ")")
                        .orElse(id + " (gone)"),
                cells);
    }

    private SheetColumn drawings(String id, List<HeldDrawing> held) {
        Optional<Part> part = character.part(id);
        return spans(
                part.map(Part::name).orElse(id + " (gone)"),
                held,
                HeldDrawing::from,
                HeldDrawing::to,
                (h, f) -> part.map(p -> drawing(p, h.drawing())).orElse(h.drawing()));
    }

    private static String drawing(Part part, String id) {
        // a drawing is known by its id on every bench; its name is that of the art
        return part.drawing(id).map(d -> d.id()).orElse(id);
    }

    private String kit(String id) {
        return character.library().kits().stream()
                .filter(k -> k.id().equals(id))
                .map(Kit::name)
                .findFirst()
                .orElse(id + " (gone)");
    }

    private String look(String id) {
        return character.library().looks().stream()
                .filter(l -> l.id().equals(id))
                .map(l -> l.name())
                .findFirst()
                .orElse(id + " (gone)");
    }

    private String run(String id) {
        return character.rig().runs().stream()
                .filter(r -> r.id().equals(id))
                .map(r -> r.name())
                .findFirst()
                .orElse(id + " (gone)");
    }

    private String cue(CuePlacement c) {
        String name = character.cue(c.cue()).map(Cue::name).orElse(c.cue() + " (gone)");
        return name
                + (c.strength() == 1 ? "" : " " + Math.round(100 * c.strength()) + " %")
                + (c.times() == 1 ? "" : " × " + c.times())
                + (c.reversed() ? " backwards" : "");
    }

    private int ends(CuePlacement c) {
        return c.frame() + character.cue(c.cue()).map(c::lasts).orElse(1);
    }

    /** What lies on a track by stretches; where several do, all of them are told. */
    private <T> SheetColumn spans(
            String name,
            List<T> items,
            ToIntFunction<T> from,
            ToIntFunction<T> to,
            BiFunction<T, Integer, String> told) {
        List<SheetColumn.Cell> cells = new ArrayList<>();
        for (int f = 0; f < shot.frames(); f++) {
            List<String> texts = new ArrayList<>();
            boolean begins = false;
            for (T item : items) {
                if (from.applyAsInt(item) <= f && f < to.applyAsInt(item)) {
                    texts.add(told.apply(item, f));
                    begins |= from.applyAsInt(item) == f;
                }
            }
            cells.add(
                    texts.isEmpty() ? SheetColumn.Cell.EMPTY : new SheetColumn.Cell(String.join("; ", texts), begins));
        }
        return new SheetColumn(name, cells);
    }

    /** A text for each frame; a cell begins where it is another than before. */
    private SheetColumn column(String name, IntFunction<String> text) {
        List<SheetColumn.Cell> cells = new ArrayList<>();
        String before = "";
        for (int f = 0; f < shot.frames(); f++) {
            String now = text.apply(f);
            cells.add(new SheetColumn.Cell(now, !now.equals(before)));
            before = now;
        }
        return new SheetColumn(name, cells);
    }
}
