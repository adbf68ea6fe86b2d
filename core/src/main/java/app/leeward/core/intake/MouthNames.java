package app.leeward.core.intake;

import app.leeward.core.art.Drawing;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.speech.Phone;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reads which sounds a mouth drawing is for: sounds, letters, class numbers, IPA symbols, or a word like "closed". */
final class MouthNames {
    private static final Map<String, Viseme> WORDS = Map.ofEntries(
            Map.entry("rest", Viseme.REST),
            Map.entry("neutral", Viseme.REST),
            Map.entry("idle", Viseme.REST),
            Map.entry("closed", Viseme.PBM),
            Map.entry("shut", Viseme.PBM),
            Map.entry("mbp", Viseme.PBM),
            Map.entry("bmp", Viseme.PBM),
            Map.entry("pbm", Viseme.PBM),
            Map.entry("fv", Viseme.FV),
            Map.entry("td", Viseme.TD),
            Map.entry("kg", Viseme.KG),
            Map.entry("chsh", Viseme.CHSH),
            Map.entry("sz", Viseme.SZ),
            Map.entry("nl", Viseme.NL),
            Map.entry("ln", Viseme.NL),
            Map.entry("a", Viseme.AH),
            Map.entry("ai", Viseme.AH),
            Map.entry("open", Viseme.AH),
            Map.entry("e", Viseme.EH),
            Map.entry("i", Viseme.EE),
            Map.entry("ee", Viseme.EE),
            Map.entry("o", Viseme.OH),
            Map.entry("oh", Viseme.OH),
            Map.entry("u", Viseme.OO),
            Map.entry("oo", Viseme.OO),
            Map.entry("q", Viseme.OO),
            Map.entry("c", Viseme.KG),
            Map.entry("j", Viseme.CHSH),
            Map.entry("h", Viseme.KG),
            Map.entry("smile", Viseme.SMILE),
            Map.entry("happy", Viseme.SMILE),
            Map.entry("surprise", Viseme.SURPRISE),
            Map.entry("surprised", Viseme.SURPRISE));

    private MouthNames() {}

    /** The classes a name asks for, in order of their numbers; empty when it says nothing about sounds. */
    static Set<Viseme> read(String name) {
        List<String> words = PartNames.words(name);
        Set<Viseme> found = EnumSet.noneOf(Viseme.class);
        for (int i = 0; i < words.size(); i++) {
            String w = words.get(i);
            boolean numbered = i > 0
                    && (words.get(i - 1).equals("viseme") || words.get(i - 1).equals("v"));
            if (numbered && w.matches("\\d{1,2}") && Integer.parseInt(w) <= 14) {
                found.remove(Viseme.FV);
                found.add(Viseme.numbered(Integer.parseInt(w)));
            } else {
                word(w, found);
            }
        }
        return found;
    }

    /** The chart that the names of a mouth's drawings make; what is shown and names no sound is the mouth at rest. */
    static MouthChart chart(Part mouth) {
        Map<Viseme, String> drawn = new EnumMap<>(Viseme.class);
        for (Drawing d : mouth.drawings()) {
            read(d.name()).forEach(v -> drawn.putIfAbsent(v, d.id()));
        }
        mouth.drawings().stream()
                .filter(d -> d.id().equals(mouth.shown()) && read(d.name()).isEmpty())
                .forEach(d -> drawn.putIfAbsent(Viseme.REST, d.id()));
        if (drawn.isEmpty()) {
            drawn.put(Viseme.REST, mouth.drawings().get(0).id());
        }
        return new MouthChart(Optional.of(mouth.id()), drawn);
    }

    /** Mouths named for nothing but sounds that an earlier one is named for already. */
    static List<Note> twice(Part mouth) {
        Map<Viseme, Drawing> first = new EnumMap<>(Viseme.class);
        List<Note> out = new ArrayList<>();
        for (Drawing d : mouth.drawings()) {
            Set<Viseme> asked = read(d.name());
            if (!asked.isEmpty() && first.keySet().containsAll(asked)) {
                Viseme v = asked.iterator().next();
                out.add(new Note(
                        "mouth-twice",
                        d.name(),
                        "Two mouths are named for " + v.words() + ": '"
                                + first.get(v).name() + "' serves it, '" + d.name()
                                + "' stays in the set and can be given a sound by hand."));
            }
            asked.forEach(v -> first.putIfAbsent(v, d));
        }
        return out;
    }

    private static void word(String w, Set<Viseme> found) {
        if (WORDS.containsKey(w)) {
            found.add(WORDS.get(w));
            return;
        }
        Phone.parse(w.toUpperCase(Locale.ROOT)).ifPresent(p -> found.add(Viseme.of(p)));
        for (Phone p : Phone.values()) {
            if (p.ipa().equals(w)) {
                found.add(Viseme.of(p));
            }
        }
    }
}
