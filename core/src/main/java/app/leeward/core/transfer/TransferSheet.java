package app.leeward.core.transfer;

import app.leeward.core.art.Box;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import java.util.List;

/**
 * A thing as it looks on the character that has it, and how it would look on the one that takes it, side by side.
 *
 * @param after the character that takes it, with it
 */
public record TransferSheet(Character after, List<Cell> cells) {
    public TransferSheet {
        cells = List.copyOf(cells);
    }

    /**
     * One pose of both.
     *
     * @param caption what is shown
     * @param there of the character that has it
     * @param thereBox what of that picture shows it
     * @param here the same of the character that takes it
     */
    public record Cell(String caption, Pose there, Box thereBox, Pose here, Box hereBox) {}
}
