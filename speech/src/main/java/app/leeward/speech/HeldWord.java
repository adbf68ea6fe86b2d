package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.speech.acoustic.Pronounced;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoublePredicate;

/** A word of a line as it is said there. */
final class HeldWord {
    private HeldWord() {}

    /** @param also which edges stay where they are besides those that are held by hand */
    static Pronounced of(DialogueLine line, int word, DoublePredicate also) {
        List<Phone> phones = new ArrayList<>();
        List<Pronounced.HeldEdge> held = new ArrayList<>();
        for (int i : line.phonesOf(word)) {
            TimedPhone p = line.phones().get(i);
            if (line.holds(p.start()) || also.test(p.start())) {
                held.add(new Pronounced.HeldEdge(phones.size(), false, p.start()));
            }
            if (line.holds(p.end()) || also.test(p.end())) {
                held.add(new Pronounced.HeldEdge(phones.size(), true, p.end()));
            }
            phones.add(p.phone());
        }
        return new Pronounced(List.of(phones), held);
    }
}
