package app.leeward.formats.svg;

import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Note;
import java.util.List;
import java.util.Optional;

/**
 * What was read from an SVG file.
 *
 * @param title of the document, when it has one
 * @param notes what could not be kept as it was
 */
public record SvgArt(Optional<String> title, Canvas canvas, Layer root, List<Note> notes) {}
