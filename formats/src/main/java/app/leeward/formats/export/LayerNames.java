package app.leeward.formats.export;

import app.leeward.core.art.Drawing;
import app.leeward.core.rig.Part;

/** What layers of artwork are called, so that they are read again as the parts and drawings they are. */
public final class LayerNames {
    private LayerNames() {}

    /** Of a part's layer, or of the group of its drawings. */
    public static String of(Part part) {
        return part.drawings().size() == 1 ? part.drawings().get(0).name() : part.name();
    }

    /** Of a drawing among others of its part. */
    public static String of(Drawing drawing) {
        return drawing.id().replace('-', ' ');
    }
}
