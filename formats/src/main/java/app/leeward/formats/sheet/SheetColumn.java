package app.leeward.formats.sheet;

import java.util.List;

/**
 * One column of an exposure sheet.
 *
 * @param cells one for each frame; empty where there is nothing
 */
record SheetColumn(String name, List<Cell> cells) {
    /**
     * What stands at one frame.
     *
     * @param begins whether it does so from this frame on, rather than from one before
     */
    record Cell(String text, boolean begins) {
        static final Cell EMPTY = new Cell("", false);
    }

    boolean isEmpty() {
        return cells.stream().allMatch(c -> c.text().isEmpty());
    }
}
