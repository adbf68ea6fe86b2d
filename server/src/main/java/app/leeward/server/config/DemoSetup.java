package app.leeward.server.config;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.edit.BendWrist;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Hold;
import app.leeward.core.edit.JoinSet;
import app.leeward.core.edit.KeepKit;
import app.leeward.core.edit.KeepRun;
import app.leeward.core.edit.MarkFingers;
import app.leeward.core.edit.MovePivot;
import app.leeward.core.edit.RenamePart;
import app.leeward.core.edit.SetGrip;
import app.leeward.core.edit.Show;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.server.studio.Characters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Maren's clothes, put together from the drawings of the same name, a gesture of her hand, and what it holds. */
final class DemoSetup {
    /** The middle of the handles, where they are drawn in her hand. */
    private static final Point HANDLE = new Point(528, 918);

    /** Over how much of its width a wrist bends. */
    private static final double BEND = 0.5;

    private DemoSetup() {}

    static Character dress(Character maren) {
        Character c = Characters.applied(maren, kit(maren, "Raincoat", "raincoat", "sou'wester"));
        c = Characters.applied(c, kit(c, "On watch", "jumper", "wool cap"));
        c = Characters.applied(c, kit(c, "Indoors", "jumper", Part.NOTHING));
        c = Characters.applied(c, thumbUp(c));
        return holding(c);
    }

    /** Her left hand holds what is drawn for it, by its handle; both wrists bend. */
    private static Character holding(Character maren) {
        Part hand = maren.part(PartRole.HAND, Side.LEFT).orElseThrow();
        Part held = named(maren, "handbell");
        List<Edit> edits = new ArrayList<>();
        edits.add(new MovePivot(held.id(), HANDLE));
        edits.add(new JoinSet(named(maren, "signal flag").id(), held.id()));
        edits.add(new RenamePart(held.id(), "in her hand"));
        edits.add(new Show(held.id(), Part.NOTHING));
        edits.add(new Hold(held.id(), Optional.of(hand.id())));
        String hold = drawing(hand, "hold");
        String fist = drawing(hand, "fist");
        edits.add(new SetGrip(hand.id(), hold, Optional.of(HANDLE), -14));
        edits.add(new SetGrip(hand.id(), fist, Optional.of(new Point(528, 912)), -8));
        // the thumb of the open grip lies behind the handle, everything of a fist before it
        for (int shape = 1; shape < 5; shape++) {
            edits.add(new MarkFingers(hand.id(), hold, shape, true));
        }
        for (int shape = 0; shape < 6; shape++) {
            edits.add(new MarkFingers(hand.id(), fist, shape, true));
        }
        for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
            edits.add(
                    new BendWrist(maren.part(PartRole.HAND, side).orElseThrow().id(), BEND));
        }
        edits.add(new KeepKit("Bell in hand", "In hand", Map.of(hand.id(), hold, held.id(), "handbell")));
        Character c = maren;
        for (Edit e : edits) {
            c = Characters.applied(c, e);
        }
        return c;
    }

    private static Part named(Character c, String part) {
        return c.rig().parts().stream()
                .filter(p -> p.name().equals(part))
                .findFirst()
                .orElseThrow();
    }

    private static String drawing(Part part, String name) {
        return part.drawings().stream()
                .filter(d -> d.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static Edit kit(Character c, String name, String clothes, String cap) {
        Map<String, String> choices = new HashMap<>();
        for (Part p : c.rig().parts()) {
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
