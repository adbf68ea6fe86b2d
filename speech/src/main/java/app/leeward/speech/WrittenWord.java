package app.leeward.speech;

import java.util.List;

/**
 * A word as typed and how it is read out.
 *
 * @param text as typed, punctuation taken off
 * @param spoken lower-case words it is read as; several for numbers and hyphens
 */
public record WrittenWord(String text, List<String> spoken) {
    public WrittenWord {
        spoken = List.copyOf(spoken);
    }
}
