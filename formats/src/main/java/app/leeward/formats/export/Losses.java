package app.leeward.formats.export;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import java.util.List;

/** Sentences about what formats leave out that several of them say. */
public final class Losses {
    private Losses() {}

    /** Of a format that is silent. */
    public static List<String> sound(ExportSource source) {
        boolean said = source.shot().map(Shot::lines).filter(l -> !l.isEmpty()).isPresent();
        return said ? List.of("The sound is left out; the WAV beside it has it.") : List.of();
    }

    /** Of artwork without its rig. */
    public static List<String> rig(Character c) {
        int windows = c.rig().windows().size();
        return windows == 0
                ? List.of()
                : List.of(
                        windows == 1
                                ? "1 mask of the rig: what it cuts comes whole."
                                : windows + " masks of the rig: what they cut comes whole.");
    }

    /** Of words that were not found in their recording. */
    public static List<String> words(ExportSource source) {
        return source.shot().stream()
                .flatMap(s -> s.lines().stream())
                .filter(l -> l.line().words().isEmpty() && !l.line().text().isBlank())
                .map(l -> "Nobody knows when the words of “"
                        + shortened(l.line().text()) + "” are said: they were not found in the recording.")
                .toList();
    }

    private static String shortened(String text) {
        String plain = text.strip().replaceAll("\\s+", " ");
        return plain.length() <= 40 ? plain : plain.substring(0, 39) + "…";
    }
}
