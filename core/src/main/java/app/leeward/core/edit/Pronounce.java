package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.speech.Phone;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Writes down how a word is pronounced. */
public record Pronounce(String word, List<Phone> phones) implements MouthEdit {
    public Pronounce {
        phones = List.copyOf(phones);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.SOUNDS.of(word));
    }

    @Override
    public String describe(Character before) {
        return "'" + word + "' is pronounced "
                + phones.stream().map(Phone::name).collect(Collectors.joining(" "));
    }

    @Override
    public Outcome on(Character before) {
        return word.isBlank() || phones.isEmpty()
                ? new Outcome.Refused(RefusalCode.NO_SOUNDS, "A word needs at least one sound.")
                : new Outcome.Done(before.withVoice(
                        voice -> voice.withLexicon(before.voice().lexicon().with(word.strip(), phones))));
    }
}
