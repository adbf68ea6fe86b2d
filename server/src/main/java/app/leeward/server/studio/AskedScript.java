package app.leeward.server.studio;

import java.util.List;

/**
 * The lines of a script that are to be cut out of a recording.
 *
 * @param byTimes by the times the lines have, instead of by their words
 * @param everyTake whether a line that is said more than once becomes a line each time
 */
public record AskedScript(List<Line> lines, boolean byTimes, boolean everyTake) {
    /**
     * @param name what the line is to be called
     * @param words what is said in it
     * @param from seconds into the recording; null when the script does not say
     * @param to seconds into the recording
     */
    public record Line(String name, String words, Double from, Double to) {}

    /**
     * What came of it.
     *
     * @param found how many lines were found, each take by itself
     * @param missing names of those that were not
     */
    public record Outcome(int found, List<String> missing) {}
}
