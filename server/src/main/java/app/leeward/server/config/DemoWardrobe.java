package app.leeward.server.config;

import app.leeward.core.art.Drawing;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.KeepKit;
import app.leeward.core.edit.KeepRun;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.server.studio.Characters;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Maren's clothes, put together from the drawings of the same name, and a gesture of her hand. */
final class DemoWardrobe {
    private DemoWardrobe() {}

    static Character dress(Character maren) {
        Character c = Characters.applied(maren, kit(maren, "Raincoat", "raincoat", "sou'wester"));
        c = Characters.applied(c, kit(c, "On watch", "jumper", "wool cap"));
        c = Characters.applied(c, kit(c, "Indoors", "jumper", Part.NOTHING));
        return Characters.applied(c, thumbUp(c));
    }

    private static Edit kit(Character c, String name, String clothes, String cap) {
        Map<String, String> choices = new HashMap<>();
        for (Part p : c.parts()) {
            for (Drawing d : p.drawings()) {
                if (d.name().equals(clothes) || d.name().equals(cap)) {
                    choices.put(p.id(), d.id());
                }
            }
            if (p.role() == PartRole.CAP) {
                choices.putIfAbsent(p.id(), Part.NOTHING);
            }
        }
        return new KeepKit(name, "Clothes", choices);
    }

    private static Edit thumbUp(Character c) {
        Part hand = c.part(PartRole.HAND, Side.LEFT).orElseThrow();
        List<String> drawings = List.of("relaxed", "fist", "thumb up").stream()
                .flatMap(n -> hand.drawings().stream().filter(d -> d.name().equals(n)))
                .map(Drawing::id)
                .toList();
        return new KeepRun(hand.id(), "Thumb up", drawings, List.of(2, 3, 6), DrawnRun.Way.ONCE);
    }
}
