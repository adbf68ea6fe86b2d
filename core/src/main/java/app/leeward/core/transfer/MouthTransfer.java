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
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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
        MouthChart here = to.voice().mouths();
        int kept = here.drawn().size();
        Set<String> wanted =
                new HashSet<>(missing(here.drawn(), chart.drawn(), instead).values());
        chart.moods()
                .forEach(m ->
                        wanted.addAll(missing(mood(here, m).map(Mood::drawn).orElse(Map.of()), m.drawn(), instead)
                                .values()));
        // what leads from one of them into another comes along
        chart.betweens().forEach((into, w) -> {
            if (wanted.contains(into) && wanted.contains(w.from())) {
                wanted.add(w.drawing());
            }
        });
        List<Drawing> drawings =
                mouth.drawings().stream().filter(d -> wanted.contains(d.id())).toList();
        if (drawings.isEmpty()) {
            return Taken.nothing(to, "Every sound has a mouth here.");
        }
        Map<String, String> ids = new HashMap<>();
        Part with = DrawingTransfer.beside(own.get(), drawings, place, colours, ids);
        ids.forEach((was, now) -> counterparts.putDrawing(mouth.id(), was, now));

        Map<Viseme, String> drawn = merged(here.drawn(), chart.drawn(), ids, instead);
        List<Mood> moods = new ArrayList<>(here.moods());
        int newMoods = 0;
        for (Mood m : chart.moods()) {
            Optional<Mood> same = mood(here, m);
            Mood taken =
                    same.orElse(m).withDrawn(merged(same.map(Mood::drawn).orElse(Map.of()), m.drawn(), ids, instead));
            if (same.isPresent()) {
                moods.replaceAll(o -> o.id().equals(taken.id()) ? taken : o);
            } else if (moods.stream().noneMatch(o -> o.id().equals(m.id()))) {
                newMoods++;
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

    private static Optional<Mood> mood(MouthChart chart, Mood like) {
        return chart.moods().stream()
                .filter(o -> o.name().equalsIgnoreCase(like.name()))
                .findFirst();
    }

    /** What a row would take of another. */
    private static Map<Viseme, String> missing(Map<Viseme, String> own, Map<Viseme, String> there, boolean instead) {
        Map<Viseme, String> of = new EnumMap<>(Viseme.class);
        there.forEach((v, d) -> {
            if (instead || !own.containsKey(v)) {
                of.put(v, d);
            }
        });
        return of;
    }

    private static Map<Viseme, String> merged(
            Map<Viseme, String> own, Map<Viseme, String> there, Map<String, String> ids, boolean instead) {
        Map<Viseme, String> all = new EnumMap<>(Viseme.class);
        all.putAll(own);
        missing(own, there, instead).forEach((v, d) -> all.put(v, ids.get(d)));
        return all;
    }
}
