package app.leeward.formats.bundle;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The table of contents of a bundle, {@code leeward.json} in it.
 *
 * @param format always {@link #FORMAT}
 * @param version of what is where in a bundle, {@link #VERSION}
 * @param schema the form its JSON is written in, as stored
 * @param name of the character
 * @param character path of its document
 * @param shots paths of their documents, in order
 * @param files every file by its path
 */
record Manifest(
        String format,
        int version,
        int schema,
        String name,
        String character,
        List<String> shots,
        Map<String, FileEntry> files) {
    static final String PATH = "leeward.json";
    static final String FORMAT = "leeward-bundle";
    static final int VERSION = 1;

    Manifest {
        shots = shots == null ? List.of() : List.copyOf(shots);
        files = files == null ? Map.of() : new TreeMap<>(files);
    }

    /** What is known of a file before it is read. */
    record FileEntry(String sha256, long bytes) {}
}
