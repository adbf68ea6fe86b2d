package app.leeward.core.check;

import app.leeward.core.art.Drawing;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Drawings nothing shows: no dial, sound, look, kit, run or key, and not the part itself at rest. A hand's drawings are there to be
 * picked from, so they are not looked at.
 */
final class UnusedCheck implements Check {
    @Override
    public String id() {
        return "unused";
    }

    @Override
    public Harm harm(String code) {
        return Harm.UNTIDY;
    }

    @Override
    public Stream<Fault> find(Character c) {
        Set<List<String>> shown = shown(c);
        return c.rig().parts().stream().filter(p -> p.role() != PartRole.HAND).flatMap(p -> {
            List<Drawing> unused = p.drawings().stream()
                    .filter(d -> !shown.contains(List.of(p.id(), d.id())))
                    .toList();
            return unused.isEmpty() ? Stream.empty() : Stream.of(fault(p, unused));
        });
    }

    private static Fault fault(Part p, List<Drawing> unused) {
        String names = unused.stream().limit(4).map(d -> "“" + d.name() + "”").collect(Collectors.joining(", "));
        String more = unused.size() > 4 ? " and " + (unused.size() - 4) + " more" : "";
        return new Fault(
                "never-shown",
                unused.size() == 1 ? Subject.drawing(p.id(), unused.get(0).id()) : Subject.part(p.id()),
                new Measure(unused.size(), Unit.COUNT),
                Check.sentence(p.name() + ": no dial, sound, look, kit, run or key shows " + names + more));
    }

    private static Set<List<String>> shown(Character c) {
        Set<List<String>> all = new HashSet<>();
        c.rig().parts().forEach(p -> {
            all.add(List.of(p.id(), p.shown()));
            p.runs().forEach(r -> r.steps().forEach(s -> all.add(List.of(p.id(), s.drawing()))));
        });
        c.controls().dials().forEach(d -> d.bands()
                .forEach(b -> b.bands().forEach(x -> all.add(List.of(b.part(), x.drawing())))));
        mouths(c.voice().mouths(), all);
        c.controls().views().stream()
                .flatMap(v -> v.views().stream())
                .map(HeadView::mouths)
                .forEach(m -> mouths(m, all));
        c.library().looks().forEach(l -> picked(l.drawings(), all));
        c.library().kits().forEach(k -> picked(k.choices(), all));
        c.library().keys().forEach(k -> all.add(List.of(k.part(), k.drawing())));
        return all;
    }

    private static void mouths(MouthChart chart, Set<List<String>> all) {
        chart.part().ifPresent(p -> {
            chart.drawings().forEach(d -> all.add(List.of(p, d)));
            chart.betweens().values().forEach(b -> all.add(List.of(p, b.drawing())));
        });
    }

    private static void picked(Map<String, String> drawings, Set<List<String>> all) {
        drawings.forEach((part, drawing) -> all.add(List.of(part, drawing)));
    }
}
