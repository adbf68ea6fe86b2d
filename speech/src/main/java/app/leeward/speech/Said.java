package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import java.util.List;

/**
 * Words said without a recording.
 *
 * @param line with typical durations; its sound is empty
 * @param skipped words that could not be read out, each with why
 */
public record Said(DialogueLine line, List<String> skipped) {
    public Said {
        skipped = List.copyOf(skipped);
    }
}
