package app.leeward.server.config;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.check.Checks;
import app.leeward.core.check.Finding;
import app.leeward.core.edit.AcceptFinding;
import app.leeward.core.edit.BendWrist;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Hold;
import app.leeward.core.edit.JoinSet;
import app.leeward.core.edit.KeepKit;
import app.leeward.core.edit.KeepRun;
import app.leeward.core.edit.KeyKit;
import app.leeward.core.edit.KeyRun;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MarkFingers;
import app.leeward.core.edit.MovePivot;
import app.leeward.core.edit.RenamePart;
import app.leeward.core.edit.SetGrip;
import app.leeward.core.edit.SetKey;
import app.leeward.core.edit.SetMood;
import app.leeward.core.edit.Show;
import app.leeward.core.edit.SplitNose;
import app.leeward.core.edit.SuggestLinks;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.core.signal.SignalSource;
import app.leeward.core.turn.HeadDial;
import app.leeward.server.studio.Characters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How Maren stands in the demo: her clothes put together from the drawings of the same name, a gesture of her hand and what it holds;
 * and, once she is rigged, everything else an animator asks of a face.
 */
final class DemoSetup {
    /** The middle of the handles, where they are drawn in her hand. */
    private static final Point HANDLE = new Point(528, 918);

    /** Over how much of its width a wrist bends. */
    private static final double BEND = 0.5;

    /** Under the left hand, on every keyboard. */
    private static final String HAND_KEYS = "asdfgqer";

    private DemoSetup() {}

    /** Everything: mouths in three moods, brows, lids, looks, cues, a head that nods and leans, and keys for what is exchanged. */
    static Character rig(Character maren) {
        Character c = dress(maren);
        List<Edit> edits = new ArrayList<>();
        edits.add(new MakeMouths("", null, null, true, List.of(Viseme.values())));
        edits.add(new SetMood("", "Happy", 0.7, 0.1));
        edits.add(new SetMood("", "Sad", -0.6, 0.15));
        edits.add(new MakeBrows());
        edits.add(new MakeLooks());
        edits.add(new MakeCues());
        edits.add(MakeTurn.of(Optional.empty()));
        edits.add(new SplitNose());
        edits.add(new MakeHeadDial(HeadDial.NOD));
        edits.add(new MakeHeadDial(HeadDial.TILT));
        edits.add(new SuggestLinks(SignalSource.FACE));
        for (Edit e : edits) {
            c = Characters.applied(c, e);
        }
        return reviewed(keyed(c));
    }

    /** What the checks find and is meant so: drawings that are kept for later. */
    private static Character reviewed(Character rigged) {
        Character c = rigged;
        for (Finding f : Checks.of(rigged, "unused").orElseThrow()) {
            boolean mouth = rigged.voice()
                    .mouths()
                    .part()
                    .equals(Optional.of(f.subject().part()));
            c = Characters.applied(
                    c,
                    new AcceptFinding(new AcceptedFinding(
                            f.check(),
                            f.code(),
                            f.subject().part(),
                            f.subject().drawing(),
                            f.subject().dial(),
                            f.measure().value(),
                            mouth
                                    ? "The mouths she came with; the set was made from one of them."
                                    : "For when she waves the boat in.")));
        }
        return c;
    }

    /** A digit for every kit, a letter for every drawing of the left hand, and one for her gesture. */
    private static Character keyed(Character rigged) {
        Character c = rigged;
        int digit = 1;
        for (Kit kit : rigged.library().kits()) {
            c = Characters.applied(c, new KeyKit(kit.id(), String.valueOf(digit++)));
        }
        Part hand = c.part(PartRole.HAND, Side.LEFT).orElseThrow();
        for (int i = 0; i < hand.drawings().size() && i < HAND_KEYS.length(); i++) {
            c = Characters.applied(
                    c, new SetKey(hand.id(), hand.drawings().get(i).id(), HAND_KEYS.substring(i, i + 1)));
        }
        return Characters.applied(c, new KeyRun(c.rig().runs().get(0).id(), "t"));
    }

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
