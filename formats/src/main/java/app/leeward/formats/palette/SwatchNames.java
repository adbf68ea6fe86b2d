package app.leeward.formats.palette;

import app.leeward.core.art.Swatch;
import app.leeward.formats.export.FileName;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Swatches by names that are identifiers: in lower case with hyphens, none twice. */
final class SwatchNames {
    private SwatchNames() {}

    static Map<String, Swatch> of(List<Swatch> palette) {
        Map<String, Swatch> named = new LinkedHashMap<>();
        for (Swatch s : palette) {
            String stem = FileName.stem(s.name());
            String name = stem;
            for (int n = 2; named.containsKey(name); n++) {
                name = stem + "-" + n;
            }
            named.put(name, s);
        }
        return named;
    }
}
