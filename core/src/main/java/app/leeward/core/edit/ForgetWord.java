package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.speech.Lexicon;
import java.util.Set;

/** Takes a word out of the lexicon; it is said as the dictionary says again, or as it is spelled. */
public record ForgetWord(String word) implements MouthEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.SOUNDS.of(word));
    }

    @Override
    public String describe(Character before) {
        return "Forgot how '" + word + "' is pronounced";
    }

    @Override
    public Outcome on(Character before) {
        Lexicon lexicon = before.voice().lexicon();
        return lexicon.of(word).isEmpty()
                ? new Outcome.Refused(RefusalCode.GONE, "The lexicon has no word '" + word + "' any more.")
                : new Outcome.Done(before.withVoice(voice -> voice.withLexicon(lexicon.without(word))));
    }
}
