package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;
import java.util.List;

/**
 * A word that is said, and how it may be.
 *
 * @param ways all its pronunciations
 * @param held edges of its sounds that stay where they are; where there are several pronunciations only the start of the first
 *     sound and the end of the {@link #LAST}
 */
public record Pronounced(List<List<Phone>> ways, List<HeldEdge> held) {
    /** The last sound, whichever pronunciation it is. */
    public static final int LAST = -1;

    public Pronounced {
        ways = ways.stream().map(List::copyOf).toList();
        held = List.copyOf(held);
        if (ways.isEmpty() || ways.stream().anyMatch(List::isEmpty)) {
            throw new IllegalArgumentException("a word needs a sound");
        }
        if (ways.size() > 1 && held.stream().anyMatch(h -> h.end() ? h.sound() != LAST : h.sound() != 0)) {
            throw new IllegalArgumentException("inner edges are held of one pronunciation");
        }
    }

    /** Whether an edge is of the sound of a number, in a pronunciation of so many sounds. */
    static boolean of(HeldEdge held, int sound, int sounds) {
        return held.sound() == sound || held.sound() == LAST && sound == sounds - 1;
    }

    public static Pronounced as(List<List<Phone>> ways) {
        return new Pronounced(ways, List.of());
    }

    /**
     * @param sound which one of the word, from 0; {@link #LAST}
     * @param end whether it is the sound's end and not its start
     * @param seconds where it is
     */
    public record HeldEdge(int sound, boolean end, double seconds) {}
}
