package app.leeward.core.intake;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What the parts without a role may be, of a whole character. */
public final class Recognitions {
    private Recognitions() {}

    /** The surest first; nothing where there is no face to compare with. What belongs to a view is compared with that view's face. */
    public static List<Recognition> in(Character c) {
        Map<String, String> views = c.rig().views();
        Set<Optional<String>> of = new LinkedHashSet<>();
        c.rig().parts().forEach(p -> of.add(Optional.ofNullable(views.get(p.id()))));
        List<Recognition> all = new ArrayList<>();
        for (Optional<String> view : of) {
            List<Part> parts = c.rig().parts().stream()
                    .filter(p -> Optional.ofNullable(views.get(p.id())).equals(view))
                    .toList();
            Optional<Part> skin = parts.stream()
                    .filter(p -> p.role() == PartRole.FACE && !p.drawings().isEmpty())
                    .findFirst()
                    .or(() -> parts.stream()
                            .filter(p -> p.role() == PartRole.HEAD)
                            .findFirst());
            skin.flatMap(Part::bounds)
                    .filter(b -> b.width() > 0 && b.height() > 0)
                    .ifPresent(b -> all.addAll(new Recogniser(c, parts, skin.get(), b).offers()));
        }
        all.sort(Comparator.comparingDouble((Recognition o) -> -o.sure()));
        return all;
    }
}
