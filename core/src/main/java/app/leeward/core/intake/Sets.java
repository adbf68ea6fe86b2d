package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.Map;
import java.util.Optional;

/** What a set does with a drawing that joins it. */
public final class Sets {
    private Sets() {}

    /** In a mouth, shapes are told apart by their names. */
    public static Artwork rolesFor(Part set, Artwork art) {
        return set.role() == PartRole.MOUTH ? new Artwork(ShapeNames.withRoles(art.shapes())) : art;
    }

    /** With the sounds that new mouths name; who serves a sound already goes on serving it. */
    public static Character charted(Character c, String set) {
        Part part = c.part(set).orElseThrow();
        if (part.role() != PartRole.MOUTH || part.drawings().isEmpty()) {
            return c;
        }
        MouthChart chart =
                c.voice().mouths().part().equals(Optional.of(set)) ? c.voice().mouths() : MouthNames.chart(part);
        for (Map.Entry<Viseme, String> e : MouthNames.chart(part).drawn().entrySet()) {
            if (!chart.drawn().containsKey(e.getKey())) {
                chart = chart.with(e.getKey(), e.getValue());
            }
        }
        return c.withVoice(c.voice().withMouths(chart));
    }
}
