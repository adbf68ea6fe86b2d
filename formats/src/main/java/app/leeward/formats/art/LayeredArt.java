package app.leeward.formats.art;

import app.leeward.core.intake.Assembler;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Note;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What was read from a layered file.
 *
 * @param title of the document, when it has one
 * @param notes what could not be kept as it was
 * @param images SHA-256 to the PNG file, for every picture in the layers
 * @param stacked whether the file says what lies before what; otherwise roles decide
 * @param cut its clipped pictures as they are seen
 */
public record LayeredArt(
        Optional<String> title,
        Canvas canvas,
        Layer root,
        List<Note> notes,
        Map<String, byte[]> images,
        boolean stacked,
        CutPictures cut) {
    /** Bytes of the largest file that is read, of any kind. */
    public static final int LARGEST_FILE = 64 * 1024 * 1024;

    public LayeredArt {
        notes = List.copyOf(notes);
        images = Map.copyOf(images);
    }

    /** Without clipped pictures. */
    public LayeredArt(
            Optional<String> title,
            Canvas canvas,
            Layer root,
            List<Note> notes,
            Map<String, byte[]> images,
            boolean stacked) {
        this(title, canvas, root, notes, images, stacked, new CutPictures());
    }

    /**
     * The character it becomes, at rest.
     *
     * @param frameRate frames a second
     */
    public IntakeResult assembled(String name, int frameRate) {
        return Assembler.assemble(name, canvas, frameRate, root, notes, cut::of);
    }
}
