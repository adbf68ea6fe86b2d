package app.leeward.core.rig;

import app.leeward.core.mouth.MouthChart;
import app.leeward.core.speech.Lexicon;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Optional;

/**
 * What the character speaks with.
 *
 * @param mouths which drawing serves which sound, in which mood
 * @param lexicon how words are said that the dictionary does not have, or has otherwise
 */
@RecordBuilder
public record Voice(MouthChart mouths, Lexicon lexicon) implements VoiceBuilder.With {
    public static final Voice NONE = new Voice(MouthChart.EMPTY, Lexicon.EMPTY);

    /** Without a mouth when this part was it. */
    Voice without(String part) {
        return mouths.part().equals(Optional.of(part)) ? withMouths(MouthChart.EMPTY) : this;
    }
}
