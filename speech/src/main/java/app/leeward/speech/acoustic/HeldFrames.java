package app.leeward.speech.acoustic;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToIntFunction;

/**
 * The frames of held edges. A hand may hold edges nearer to each other than the search can follow: then they are moved apart by
 * a frame or two for the search alone, and the sounds between them are let through in as many frames as there are.
 */
final class HeldFrames {
    private record Edge(int word, int sound, boolean end) {}

    private record Sound(int word, int sound) {}

    private final Map<Edge, Integer> frames = new HashMap<>();
    private final Set<Sound> tight = new HashSet<>();

    private HeldFrames() {}

    /**
     * @param frameOf the frame that a time, seconds, belongs to
     * @param length how many frames there are
     */
    static HeldFrames of(List<Pronounced> words, ToIntFunction<Double> frameOf, int length) {
        HeldFrames out = new HeldFrames();
        int left = words.stream().mapToInt(HeldFrames::sounds).sum();
        Run run = out.new Run();
        for (int w = 0; w < words.size(); w++) {
            Pronounced word = words.get(w);
            int sounds = sounds(word);
            for (int k = 0; k < sounds; k++) {
                for (boolean end : new boolean[] {false, true}) {
                    if (end) {
                        run.since.add(new Sound(w, k));
                        left--;
                    }
                    for (Pronounced.HeldEdge held : word.held()) {
                        if (Pronounced.of(held, k, sounds) && held.end() == end) {
                            int frame = Math.min(frameOf.applyAsInt(held.seconds()), length - left);
                            run.hold(new Edge(w, held.sound(), end), frame, !end && k == 0);
                        }
                    }
                }
            }
        }
        if (!out.frames.isEmpty()) {
            run.tighten(length);
        }
        return out;
    }

    /** Sounds since the last held edge, on the way through the words. */
    private final class Run {
        private final Set<Sound> since = new HashSet<>();
        private int last;
        private boolean ended;

        void hold(Edge edge, int frame, boolean afterWord) {
            int at = Math.max(frame, last + since.size());
            if (!edge.end() && since.isEmpty() && ended) {
                // there is no room for a silence, or none is looked for within a word
                at = !afterWord || at - last < AcousticModel.STATES ? last : at;
            }
            tighten(at);
            frames.put(edge, at);
            last = at;
            ended = edge.end();
        }

        void tighten(int until) {
            if (until - last < AcousticModel.STATES * since.size()) {
                tight.addAll(since);
            }
            since.clear();
        }
    }

    private static int sounds(Pronounced word) {
        return word.ways().stream().mapToInt(List::size).min().orElse(0);
    }

    /** The frame of a held edge, by what it was held as. */
    int of(int word, Pronounced.HeldEdge held) {
        return frames.get(new Edge(word, held.sound(), held.end()));
    }

    /** Whether a sound is to be let through in one frame. */
    boolean tight(int word, int sound) {
        return tight.contains(new Sound(word, sound));
    }
}
