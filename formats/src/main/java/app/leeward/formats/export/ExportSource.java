package app.leeward.formats.export;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What an exporter writes from.
 *
 * @param frame what the pose asked for shows
 * @param shot the line, for scope {@link Scope#SHOT}
 * @param playhead the same over the character
 * @param images the pictures its artwork refers to
 * @param sound what is heard in the shot, as WAV; read only when it is wanted
 * @param everything the character with all its shots, read only when it is wanted
 * @param work how frames are drawn, and who is told how far it is
 */
public record ExportSource(
        Character character,
        Frame frame,
        Optional<Shot> shot,
        Optional<Playhead> playhead,
        ImageShelf images,
        Supplier<Optional<byte[]>> sound,
        Supplier<Everything> everything,
        ExportWork work) {

    /**
     * All that belongs to a character.
     *
     * @param shots in the order of their list
     * @param recordings the WAV file of a recording by its hash
     * @param sounds what is heard in a shot, as WAV; empty where nothing is said
     */
    public record Everything(
            List<Shot> shots, Function<String, byte[]> recordings, Function<Shot, Optional<byte[]>> sounds) {
        public static final Everything NOTHING =
                new Everything(List.of(), hash -> new byte[0], shot -> Optional.empty());
    }

    /** Of a character that has no shots, or where nobody asks for them. */
    public ExportSource(
            Character character,
            Frame frame,
            Optional<Shot> shot,
            Optional<Playhead> playhead,
            ImageShelf images,
            Supplier<Optional<byte[]>> sound) {
        this(character, frame, shot, playhead, images, sound, () -> Everything.NOTHING, ExportWork.HERE);
    }

    /** The same, worked on in another way. */
    public ExportSource withWork(ExportWork other) {
        return new ExportSource(character, frame, shot, playhead, images, sound, everything, other);
    }
}
