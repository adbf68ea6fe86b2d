package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.TimedPhone;
import java.util.ArrayList;
import java.util.List;

/** A line of which one word was found badly, to be listened to again. */
public final class SpoiltLine {
    private SpoiltLine() {}

    /** The same with the sounds of a word pressed together towards its start, which nobody held. */
    public static DialogueLine of(DialogueLine line, int word) {
        List<TimedPhone> phones = new ArrayList<>(line.phones());
        List<Integer> of = line.phonesOf(word);
        double at = phones.get(of.get(0)).start();
        double end = phones.get(of.get(of.size() - 1)).end();
        for (int i : of) {
            double to = i == of.get(of.size() - 1) ? end : at + 0.02;
            phones.set(i, new TimedPhone(phones.get(i).phone(), at, to));
            at = to;
        }
        return new DialogueLine(
                line.text(), line.sound(), line.seconds(), line.words(), phones, List.of(), line.doubt());
    }
}
