package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.speech.Lexicon;
import java.util.Set;
import java.util.stream.Collectors;

/** Writes down how many words are pronounced, in place of what was written down of them before. */
public record TeachWords(Lexicon words) implements MouthEdit {
    @Override
    public Set<Touch> touches() {
        return words.entries().keySet().stream().map(Facet.SOUNDS::of).collect(Collectors.toSet());
    }

    @Override
    public String describe(Character before) {
        int count = words.entries().size();
        return count == 1 ? "Took one word into the lexicon" : "Took " + count + " words into the lexicon";
    }

    @Override
    public Outcome on(Character before) {
        if (words.entries().isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_SOUNDS, "There are no words to take in.");
        }
        Lexicon all = before.voice().lexicon().with(words);
        return all.entries().size() > Lexicon.MOST
                ? new Outcome.Refused(
                        RefusalCode.NO_SOUNDS,
                        "A lexicon has " + Lexicon.MOST + " words at most; this would make "
                                + all.entries().size() + ".")
                : new Outcome.Done(before.withVoice(voice -> voice.withLexicon(all)));
    }
}
