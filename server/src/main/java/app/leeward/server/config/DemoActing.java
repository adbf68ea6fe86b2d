package app.leeward.server.config;

import app.leeward.core.cue.Blink;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.HeldDrawing;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.ShotNote;
import app.leeward.core.shot.Way;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * How Maren acts her first line in the demo, by hand: her eyes go to the boat before her head does, it settles a little short, she comes
 * back with a smile for Sorrel and points where the pier is. Frames are the line's own.
 */
final class DemoActing {
    private DemoActing() {}

    static List<ShotEdit> of(Character maren) {
        List<ShotEdit> edits = new ArrayList<>();
        edits.add(keys(
                "brow-raise",
                key(6, 0, Way.SMOOTH),
                key(10, 0.55, Way.HOLD),
                key(14, 0.55, Way.SMOOTH),
                key(21, 0, Way.HOLD)));
        edits.add(keys(
                "gaze-across",
                key(16, 0, Way.EVEN),
                key(18, -0.72, Way.HOLD),
                key(44, -0.72, Way.EVEN),
                key(46, -0.1, Way.HOLD),
                key(52, -0.1, Way.EVEN),
                key(54, 0.1, Way.HOLD),
                key(74, 0.1, Way.EVEN),
                key(76, 0.55, Way.HOLD),
                key(92, 0.55, Way.EVEN),
                key(94, 0, Way.HOLD)));
        edits.add(keys(
                "turn",
                key(18, 0, new Way.Curve(0.3, 0, 0.15, 1)),
                key(29, -27, Way.SMOOTH),
                key(35, -23, Way.HOLD),
                key(52, -23, new Way.Curve(0.4, 0, 0.1, 1)),
                key(63, 8, Way.SMOOTH),
                key(69, 5, Way.HOLD),
                key(76, 5, Way.SMOOTH),
                key(84, 14, Way.SMOOTH),
                key(90, 12, Way.HOLD)));
        edits.add(keys(
                "nod",
                key(26, 0, Way.SMOOTH),
                key(31, 6, Way.SMOOTH),
                key(37, 0, Way.HOLD),
                key(64, 0, Way.SMOOTH),
                key(68, 7, Way.SMOOTH),
                key(76, -2, Way.SMOOTH),
                key(88, 0, Way.HOLD)));
        edits.add(new ShotEdit.SetBlink(-1, Blink.at(17)));
        edits.add(new ShotEdit.SetBlink(-1, Blink.at(52)));
        edits.add(new ShotEdit.SetBlink(-1, Blink.at(91)));
        maren.library().looks().stream()
                .filter(l -> l.name().equals("Happiness"))
                .findFirst()
                .ifPresent(l -> edits.add(new ActingEdit.SetLook(-1, new LookSpan(50, 100, l.id(), 6, 4, 0.55))));
        Part hand = maren.part(PartRole.HAND, Side.RIGHT).orElseThrow();
        hand.drawings().stream()
                .filter(d -> d.name().equals("point"))
                .findFirst()
                .ifPresent(d -> edits.add(new ActingEdit.HoldDrawing(hand.id(), new HeldDrawing(77, 97, d.id()))));
        edits.add(new ActingEdit.WriteNote(-1, new ShotNote(16, 28, "eyes lead, then the head: good", "Ilse")));
        return edits;
    }

    private static ShotEdit keys(String dial, DialKey... keys) {
        return new ActingEdit.SetKeys(Map.of(dial, List.of(keys)));
    }

    private static DialKey key(int frame, double value, Way way) {
        return new DialKey(frame, value, way);
    }
}
