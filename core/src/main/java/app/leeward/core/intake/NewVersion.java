package app.leeward.core.intake;

import java.util.List;

/**
 * A newer version of the art beside what is here.
 *
 * @param file the newer one
 * @param was the one read before
 * @param says what was found about the file as a whole, a sentence each
 * @param changes in the file's painting order; missing ones last
 */
public record NewVersion(String file, String was, List<String> says, List<LayerChange> changes) {
    public NewVersion {
        says = List.copyOf(says);
        changes = List.copyOf(changes);
    }
}
