package app.leeward.formats.export;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * What an exporter writes from.
 *
 * @param frame what the pose asked for shows
 * @param shot the line, for scope {@link Scope#SHOT}
 * @param playhead the same over the character
 * @param images the pictures its artwork refers to
 * @param sound what is heard in the shot, as WAV; read only when it is wanted
 */
public record ExportSource(
        Character character,
        Frame frame,
        Optional<Shot> shot,
        Optional<Playhead> playhead,
        ImageShelf images,
        Supplier<Optional<byte[]>> sound) {}
