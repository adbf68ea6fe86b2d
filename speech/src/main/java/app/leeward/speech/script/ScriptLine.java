package app.leeward.speech.script;

import java.util.Optional;

/**
 * One line of a script.
 *
 * @param place the number of its line in the text, from 1
 * @param speaker who says it; empty when the script does not say
 * @param cue its number or name in the script; empty when it has none
 * @param times when it is said, when the script knows
 * @param words what is said, directions and all
 */
public record ScriptLine(int place, String speaker, String cue, Optional<Times> times, String words) {
    /**
     * A stretch of the recording.
     *
     * @param from seconds
     * @param to seconds, behind {@code from}
     */
    public record Times(double from, double to) {}
}
