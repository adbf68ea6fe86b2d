package app.leeward.core.check;

import app.leeward.core.cue.Cue;
import app.leeward.core.dial.Dial;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.MendAll;
import app.leeward.core.edit.RenamePart;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Names: no two things of one kind are called alike. Parts of different views of a head may be. */
final class NamesCheck implements Check {
    @Override
    public String id() {
        return "names";
    }

    @Override
    public Harm harm(String code) {
        return Harm.UNTIDY;
    }

    @Override
    public Stream<Fault> find(Character c) {
        Map<String, String> views = c.rig().views();
        return Stream.of(
                        doubled(c.rig().parts(), p -> plain(p.name()) + "\n" + views.getOrDefault(p.id(), "")).stream()
                                .map(all -> parts(c, all)),
                        doubled(c.controls().dials(), d -> plain(d.name())).stream()
                                .map(all -> fault(
                                        "dials", all.get(0).name(), all.size(), Subject.dial(ids(all, Dial::id)))),
                        doubled(c.library().looks(), l -> plain(l.name()) + "\n" + plain(l.collection())).stream()
                                .map(all -> fault(
                                        "looks", all.get(0).name(), all.size(), Subject.dial(ids(all, Look::id)))),
                        doubled(c.library().cues(), q -> plain(q.name())).stream()
                                .map(all ->
                                        fault("cues", all.get(0).name(), all.size(), Subject.dial(ids(all, Cue::id)))),
                        doubled(c.library().kits(), k -> plain(k.name()) + "\n" + plain(k.set())).stream()
                                .map(all ->
                                        fault("kits", all.get(0).name(), all.size(), Subject.dial(ids(all, Kit::id)))))
                .flatMap(Function.identity());
    }

    private static String plain(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    private static <T> List<List<T>> doubled(List<T> all, Function<T, String> name) {
        return all.stream()
                .collect(Collectors.groupingBy(name, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .filter(g -> g.size() > 1)
                .toList();
    }

    private static <T> String ids(List<T> all, Function<T, String> id) {
        return all.stream().map(id).collect(Collectors.joining("+"));
    }

    private static Fault fault(String kind, String name, int count, Subject subject) {
        return new Fault(
                kind + "-alike",
                subject,
                new Measure(count - 1, Unit.COUNT),
                Check.sentence(words(count) + " " + kind + " are called “" + name + "”"));
    }

    private static String words(int count) {
        return count == 2 ? "two" : Integer.toString(count);
    }

    /** All but the first are numbered on, past names that are taken. */
    private static Fault parts(Character c, List<Part> all) {
        Set<String> taken = c.rig().parts().stream().map(p -> plain(p.name())).collect(Collectors.toSet());
        List<Edit> mends = new ArrayList<>();
        int number = 1;
        for (Part p : all.subList(1, all.size())) {
            String name;
            do {
                number++;
                name = p.name().strip() + " " + number;
            } while (!taken.add(plain(name)));
            mends.add(new RenamePart(p.id(), name));
        }
        Fault fault = fault(
                "parts", all.get(0).name(), all.size(), Subject.part(all.get(0).id()));
        return mends.size() <= MendAll.MOST ? fault.trying("Number them", new MendAll(mends)) : fault;
    }
}
