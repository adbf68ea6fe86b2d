package app.leeward.core.intake;

import app.leeward.core.art.Swatch;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Gathers the palette: every colour once, named after the part it was first seen on. */
final class Swatches {
    private Swatches() {}

    static List<Swatch> of(List<Part> parts) {
        List<Swatch> palette = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        Set<String> names = new HashSet<>();
        for (Part p : parts) {
            for (var drawing : p.drawings()) {
                for (String colour : drawing.art().colours()) {
                    if (seen.add(colour)) {
                        palette.add(new Swatch(
                                unused(
                                        p.role() == app.leeward.core.rig.PartRole.OTHER
                                                ? p.name()
                                                : p.role().words(),
                                        names),
                                colour));
                    }
                }
            }
        }
        return palette;
    }

    private static String unused(String name, Set<String> names) {
        String free = name;
        for (int n = 2; !names.add(free); n++) {
            free = name + " " + n;
        }
        return free;
    }
}
