package app.leeward.core.transfer;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A set of mouths, as wide as the mouth there is and in its place and colours. */
final class MouthTransfer {
    private final Character from;
    private final Character to;
    private final Counterparts counterparts;

    MouthTransfer(Character from, Character to, Counterparts counterparts) {
        this.from = from;
        this.to = to;
        this.counterparts = counterparts;
    }

    /** Whether a character speaks with mouths of its own that could stay. */
    static boolean speaks(Character c) {
        return !c.voice().mouths().drawn().isEmpty();
    }

    /** @param instead whether they serve every sound they can, and not only those that have no mouth */
    Taken taken(boolean instead) {
        MouthChart chart = from.voice().mouths();
        Part mouth = chart.part().flatMap(from::part).orElseThrow();
        Optional<Part> own = to.voice()
                .mouths()
                .part()
                .flatMap(to::part)
                .or(() -> counterparts.part(mouth.id()).flatMap(to::part))
                .or(() -> to.mainParts().stream()
                        .filter(p -> p.role() == PartRole.MOUTH)
                        .findFirst());
        if (own.isEmpty()) {
            return Taken.nothing(
                    to, "There is no mouth to take them in the place of; take the part " + mouth.name() + " first.");
        }
        Optional<Drawing> start = resting(from, mouth);
        Optional<Drawing> there = resting(to, own.get());
        Optional<Box> a = start.flatMap(d -> d.art().bounds());
        Optional<Box> b = there.flatMap(d -> d.art().bounds());
        if (a.isEmpty() || b.isEmpty() || a.get().width() < 1e-6) {
            return Taken.nothing(to, "One of the two mouths at rest shows nothing to measure.");
        }
        double s = b.get().width() / a.get().width();
        Matrix place = new Matrix(
                s,
                0,
                0,
                s,
                b.get().centre().x() - s * a.get().centre().x(),
                b.get().centre().y() - s * a.get().centre().y());
        Map<String, String> colours =
                Colouring.between(start.get().art(), there.get().art());
        List<Drawing> drawings = used(chart, mouth);
        Map<String, String> ids = new HashMap<>();
        Part with = DrawingTransfer.beside(own.get(), drawings, place, colours, ids);
        ids.forEach((was, now) -> counterparts.putDrawing(mouth.id(), was, now));

        MouthChart here = to.voice().mouths();
        int kept = here.drawn().size();
        Map<Viseme, String> drawn = merged(here.drawn(), chart.drawn(), ids, instead);
        List<Mood> moods = new ArrayList<>(here.moods());
        int newMoods = 0;
        for (Mood m : chart.moods()) {
            Optional<Mood> same = moods.stream()
                    .filter(o -> o.name().equalsIgnoreCase(m.name()))
                    .findFirst();
            newMoods += same.isPresent() ? 0 : 1;
            Mood taken = (same.isPresent() ? same.get() : m)
                    .withDrawn(merged(same.map(Mood::drawn).orElse(Map.of()), m.drawn(), ids, instead));
            if (same.isPresent()) {
                moods.replaceAll(o -> o == same.get() ? taken : o);
            } else if (moods.stream().noneMatch(o -> o.id().equals(m.id()))) {
                moods.add(taken);
            }
        }
        Map<String, MouthChart.Between> ways = new HashMap<>(here.betweens());
        chart.betweens().forEach((into, w) -> {
            if (ids.containsKey(into) && ids.containsKey(w.from()) && ids.containsKey(w.drawing())) {
                ways.put(ids.get(into), new MouthChart.Between(ids.get(w.from()), ids.get(w.drawing())));
            }
        });
        // they were shaped for another face: the recipe that made them there would make them anew
        MouthChart made = new MouthChart(Optional.of(own.get().id()), drawn, moods, here.recipe(), ways);
        Character after = to.withPart(own.get().id(), p -> with).withVoice(v -> v.withMouths(made));
        List<String> facts = new ArrayList<>();
        facts.add(drawings.size() + " drawings, at " + Decimals.plain(s * 100, 0) + " % of their size: as wide as "
                + there.get().name() + ".");
        if (!colours.isEmpty()) {
            facts.add(
                    colours.size() == 1
                            ? "One colour becomes the one it has here."
                            : colours.size() + " colours become those it has here.");
        }
        long served = drawn.entrySet().stream()
                .filter(e -> ids.containsValue(e.getValue()))
                .count();
        facts.add("Serves " + served + (served == 1 ? " sound" : " sounds")
                + (!instead && kept > 0
                        ? "; " + kept + (kept == 1 ? " keeps" : " keep") + " the mouth it has here."
                        : "."));
        if (newMoods > 0) {
            facts.add(newMoods == 1 ? "One mood more." : newMoods + " moods more.");
        }
        return new Taken(
                after, instead && kept > 0 ? TransferItem.Fitting.REPLACES : TransferItem.Fitting.WHOLE, facts);
    }

    private static Optional<Drawing> resting(Character c, Part mouth) {
        return c.voice()
                .mouths()
                .serve(Viseme.REST)
                .flatMap(s -> mouth.drawing(s.drawing()))
                .or(() -> mouth.drawing(mouth.shown()))
                .or(() -> mouth.drawings().stream().findFirst());
    }

    /** Those that serve a sound in some mood, or lead into one, in their order. */
    private static List<Drawing> used(MouthChart chart, Part mouth) {
        List<String> ways = chart.betweens().values().stream()
                .map(MouthChart.Between::drawing)
                .toList();
        return mouth.drawings().stream()
                .filter(d -> chart.drawings().contains(d.id()) || ways.contains(d.id()))
                .toList();
    }

    private static Map<Viseme, String> merged(
            Map<Viseme, String> own, Map<Viseme, String> taken, Map<String, String> ids, boolean instead) {
        Map<Viseme, String> all = new EnumMap<>(Viseme.class);
        all.putAll(own);
        taken.forEach((v, d) -> {
            if (ids.containsKey(d) && (instead || !all.containsKey(v))) {
                all.put(v, ids.get(d));
            }
        });
        return all;
    }
}
