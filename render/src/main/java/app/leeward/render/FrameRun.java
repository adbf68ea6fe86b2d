package app.leeward.render;

import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.formats.export.ExportSource;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;
import java.util.stream.IntStream;

/**
 * Every frame of a shot, drawn by all threads at hand some frames ahead, and given on in order. Within an exposure nothing moves, so a
 * frame that is held is drawn once.
 */
final class FrameRun {
    /** Frames that are drawn ahead at the most, and the bytes they may take together. */
    private static final int AHEAD = 8;

    private static final long ROOM = 64_000_000;

    private FrameRun() {}

    /** Takes the frames one after the other. */
    interface Sink {
        void take(int frame, byte[] drawn) throws IOException;
    }

    /**
     * @param draw what is made of a frame
     * @throws IOException only from {@code sink}
     */
    static void each(ExportSource source, int width, BiFunction<FramePainter, Frame, byte[]> draw, Sink sink)
            throws IOException {
        Playhead playhead = source.playhead().orElseThrow();
        int frames = source.shot().orElseThrow().frames();
        // a painter is one thread's own
        Map<Thread, FramePainter> painters = new ConcurrentHashMap<>();
        long bytes = 4L * width * width;
        int ahead = (int) Math.max(2, Math.min(AHEAD, ROOM / bytes));
        byte[] last = null;
        for (int from = 0; from < frames; from += ahead) {
            List<byte[]> drawn = IntStream.range(from, Math.min(frames, from + ahead))
                    .parallel()
                    .mapToObj(f -> {
                        if (playhead.exposed(f) != f) {
                            return new byte[0];
                        }
                        FramePainter painter = painters.computeIfAbsent(
                                Thread.currentThread(),
                                t -> FramePainter.of(source.character(), width, source.images()));
                        return draw.apply(painter, playhead.frameAt(f, Pose.REST));
                    })
                    .toList();
            for (int i = 0; i < drawn.size(); i++) {
                last = drawn.get(i).length == 0 ? last : drawn.get(i);
                sink.take(from + i, last);
            }
        }
    }
}
