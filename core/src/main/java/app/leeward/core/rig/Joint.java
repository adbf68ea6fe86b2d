package app.leeward.core.rig;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import java.util.Optional;

/**
 * Where a part's pivot is in a pose, for drawing who follows whom on the character.
 *
 * @param parent id of the part it follows
 * @param at the pivot on the canvas
 * @param within from the coordinates of what it follows to the canvas: its inverse turns a hand's movement on the picture
 *     into a shift of the part
 */
public record Joint(String part, Optional<String> parent, Point at, Matrix within) {}
