package app.leeward.speech;

import app.leeward.speech.acoustic.Pronounced;
import java.util.List;

/**
 * A word of a text with every way it may be said.
 *
 * @param spoken one a spoken word: "640" is two of them
 */
record Spelling(WrittenWord word, List<Pronounced> spoken) {
    /** The same where time begins {@code seconds} later; edges that are held before that are forgotten. */
    Spelling from(double seconds) {
        return new Spelling(
                word,
                spoken.stream()
                        .map(p -> new Pronounced(
                                p.ways(),
                                p.held().stream()
                                        .filter(h -> h.seconds() >= seconds)
                                        .map(h -> new Pronounced.HeldEdge(h.sound(), h.end(), h.seconds() - seconds))
                                        .toList()))
                        .toList());
    }
}
