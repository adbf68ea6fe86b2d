package app.leeward.formats.export;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CancellationException;

/** How the long part of an export is done: who hears how far it is, and who draws the frames. */
public interface ExportWork {
    /** Done at once, here, while somebody waits. */
    ExportWork HERE = share -> {};

    /**
     * Tells how far the file is.
     *
     * @param share 0 to 1
     * @throws CancellationException when nobody wants it any more
     */
    void reached(double share);

    /** Draws a stretch, or has it drawn elsewhere. */
    default List<byte[]> stretch(DrawnFrames frames, int from, int to) {
        return frames.drawn(from, to);
    }

    /** Takes the frames one after the other; the very same array again for a frame that is held. */
    interface Sink {
        void take(int frame, byte[] drawn) throws IOException;
    }

    /**
     * All frames in their order.
     *
     * @throws IOException only from {@code sink}
     */
    default void each(DrawnFrames frames, Sink sink) throws IOException {
        byte[] last = null;
        for (int from = 0; from < frames.frames(); from += frames.stretch()) {
            reached((double) from / frames.frames());
            List<byte[]> drawn = stretch(frames, from, Math.min(frames.frames(), from + frames.stretch()));
            for (int i = 0; i < drawn.size(); i++) {
                last = drawn.get(i).length == 0 ? last : drawn.get(i);
                sink.take(from + i, last);
            }
        }
    }

    /** The same work for one of several files. */
    default ExportWork part(int which, int of) {
        ExportWork whole = this;
        return new ExportWork() {
            @Override
            public void reached(double share) {
                whole.reached((which + share) / of);
            }

            @Override
            public List<byte[]> stretch(DrawnFrames frames, int from, int to) {
                return whole.stretch(frames, from, to);
            }
        };
    }
}
