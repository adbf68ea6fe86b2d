package app.leeward.core.rig;

import java.util.List;

/**
 * The fill of one part's drawing, masking other parts; its line never takes part. Windows nest: what masks the window's
 * own part masks everything seen through it too.
 *
 * @param by id of the part whose fill is the window
 * @param masked ids of the parts that show only inside it
 */
public record Window(String by, List<String> masked) {
    public Window {
        masked = List.copyOf(masked);
        if (masked.contains(by)) {
            throw new IllegalArgumentException("'" + by + "' cannot be its own window");
        }
    }
}
