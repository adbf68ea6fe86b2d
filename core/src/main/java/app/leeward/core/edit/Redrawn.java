package app.leeward.core.edit;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;

/** A drawing whose art an edit changes. */
public record Redrawn(String part, String drawing, List<Shape> shapes) {
    /** Every drawing whose art is not the very same in both. */
    public static List<Redrawn> between(Character before, Character after) {
        List<Redrawn> changed = new ArrayList<>();
        for (Part p : after.rig().parts()) {
            List<Drawing> was = before.part(p.id()).map(Part::drawings).orElse(List.of());
            for (Drawing d : p.drawings()) {
                boolean same = was.stream().anyMatch(w -> w.id().equals(d.id()) && w.art() == d.art());
                if (!same) {
                    changed.add(new Redrawn(p.id(), d.id(), d.art().shapes()));
                }
            }
        }
        return changed;
    }
}
