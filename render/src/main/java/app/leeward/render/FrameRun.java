package app.leeward.render;

import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.formats.export.DrawnAs;
import app.leeward.formats.export.DrawnFrames;
import app.leeward.formats.export.ExportSource;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/** The frames of a shot, a stretch of them drawn by all threads at hand. Within an exposure nothing moves, so that is drawn once. */
public final class FrameRun implements DrawnFrames {
    /** Frames of a stretch at the most, and the bytes they may take together. */
    private static final int LONGEST = 16;

    private static final long ROOM = 24_000_000;

    private final ExportSource source;
    private final Playhead playhead;
    private final DrawnAs as;
    private final int frames;
    private final int stretch;
    /** A painter is one thread's own. */
    private final Map<Thread, FramePainter> painters = new ConcurrentHashMap<>();

    /** @param source of a shot */
    public FrameRun(ExportSource source, DrawnAs as) {
        this.source = source;
        this.playhead = source.playhead().orElseThrow();
        this.as = as;
        this.frames = source.shot().orElseThrow().frames();
        FramePainter size = FramePainter.of(source.character(), as.width(), source.images());
        this.stretch = (int) Math.max(2, Math.min(LONGEST, ROOM / (4L * size.width() * size.height())));
    }

    @Override
    public DrawnAs as() {
        return as;
    }

    @Override
    public int frames() {
        return frames;
    }

    @Override
    public int stretch() {
        return stretch;
    }

    @Override
    public List<byte[]> drawn(int from, int to) {
        return IntStream.range(from, to)
                .parallel()
                .mapToObj(f -> {
                    if (playhead.exposed(f) != f) {
                        return new byte[0];
                    }
                    FramePainter painter = painters.computeIfAbsent(
                            Thread.currentThread(),
                            t -> FramePainter.of(source.character(), as.width(), source.images()));
                    Frame frame = playhead.frameAt(f, Pose.REST);
                    return switch (as.kind()) {
                        case CLEAR -> painter.pixels(frame, false);
                        case WHITE -> painter.pixels(frame, true);
                        case PNG -> painter.png(frame);
                    };
                })
                .toList();
    }
}
