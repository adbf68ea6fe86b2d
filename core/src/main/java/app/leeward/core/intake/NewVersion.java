package app.leeward.core.intake;

import java.util.List;

/**
 * A newer version of the art beside what is here.
 *
 * @param file the newer one
 * @param was the one read before
 * @param message what was found about the file as a whole, a sentence each
 * @param changes in the file's painting order; missing ones last
 */
public record NewVersion(String file, String was, List<String> message, List<LayerChange> changes) {
    public NewVersion {
        message = List.copyOf(message);
        changes = List.copyOf(changes);
    }
}
