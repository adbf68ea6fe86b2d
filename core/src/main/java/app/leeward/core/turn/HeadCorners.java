package app.leeward.core.turn;

import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Fingerprints;
import app.leeward.core.dial.Offset;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.solid.View;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * Turn and nod at once are not the sum of both: the four corners of the pad correct the head as a whole. What was corrected by hand
 * at a corner is kept, and what was taken away there stays away.
 */
final class HeadCorners {
    private final Character character;
    private final SolidStops stops;
    private final HeadShape shape;
    private final Map<String, Integer> then;

    /** @param then fingerprints of what was made before */
    HeadCorners(Character character, SolidStops stops, HeadShape shape, Map<String, Integer> then) {
        this.character = character;
        this.stops = stops;
        this.shape = shape;
        this.then = then;
    }

    /**
     * All corrections of the character, with those of the head.
     *
     * @param prints is added what was made
     */
    List<Corrective> made(Map<String, Integer> prints) {
        List<Corrective> all = new ArrayList<>(character.controls().correctives());
        Optional<Part> head = character.part(PartRole.HEAD);
        Optional<Dial> turn = character.dial(TurnMaker.DIAL);
        Optional<Dial> nod = character.dial(NodMaker.DIAL);
        if (head.isEmpty() || turn.isEmpty() || nod.isEmpty()) {
            return all;
        }
        TurnAngle angle = TurnAngle.of(turn.get(), shape);
        for (double across : new double[] {turn.get().from(), turn.get().to()}) {
            for (double down : new double[] {nod.get().from(), nod.get().to()}) {
                View view =
                        View.of(angle.at(across), Math.signum(down - nod.get().rest()) * NodMaker.FULL);
                corner(all, head.get(), across, down, stops.both(head.get(), view), prints);
            }
        }
        return all;
    }

    /**
     * Corrections without those of the head's turn and nod that are as they were made.
     *
     * @param made fingerprints of what was made; those of corrections are taken out
     */
    static List<Corrective> byHand(List<Corrective> all, Map<String, Integer> made) {
        List<Corrective> out = new ArrayList<>();
        for (Corrective k : all) {
            Map<String, Offset> left = new HashMap<>(k.offsets());
            k.offsets().forEach((part, offset) -> {
                String name = Fingerprints.corner(k, part);
                if (Objects.equals(made.remove(name), Fingerprints.of(offset))) {
                    left.remove(part);
                }
            });
            if (!left.isEmpty()) {
                out.add(new Corrective(k.a(), k.atA(), k.b(), k.atB(), left));
            }
        }
        return out;
    }

    private void corner(
            List<Corrective> all, Part head, double across, double down, Offset wanted, Map<String, Integer> prints) {
        Corrective fresh = new Corrective(TurnMaker.DIAL, across, NodMaker.DIAL, down, Map.of(head.id(), wanted));
        String name = Fingerprints.corner(fresh, head.id());
        prints.put(name, Fingerprints.of(wanted));
        int at = -1;
        for (int i = 0; i < all.size(); i++) {
            at = all.get(i).at(TurnMaker.DIAL, across, NodMaker.DIAL, down) ? i : at;
        }
        Offset now = at < 0 ? null : all.get(at).offsets().get(head.id());
        Integer print = now == null ? null : Fingerprints.of(now);
        if (!Objects.equals(then.get(name), print)) {
            return;
        }
        if (at < 0) {
            all.add(fresh);
        } else {
            all.set(at, all.get(at).with(head.id(), wanted));
        }
    }
}
