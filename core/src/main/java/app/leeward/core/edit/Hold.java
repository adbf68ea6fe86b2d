package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Attachment;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Puts a thing into a hand: it follows the hand, hangs with its pivot from the grip of the drawing the hand shows, and lies right
 * over it. Where the hand's drawing has no grip, it is not seen.
 *
 * @param hand empty to let go: the thing follows what the hand follows, and stays where it is drawn
 */
public record Hold(String part, Optional<String> hand) implements PartEdit {
    public Hold {
        hand = hand == null ? Optional.empty() : hand;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.PLACE.of(part), Facet.PARENT.of(part), Facet.ORDER.all(), Facet.HELD.all());
    }

    @Override
    public String describe(Character before) {
        return hand.map(h -> Edits.nameOf(before, h) + " holds " + Edits.nameOf(before, part))
                .orElse("Let go of " + Edits.nameOf(before, part));
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> thing = before.part(part);
        if (thing.isEmpty()) {
            return Edits.noPart(part);
        }
        if (hand.isEmpty()) {
            Optional<String> up = thing.get().parent().flatMap(before::part).flatMap(Part::parent);
            return thing.get().inGrip()
                    ? Edits.onPart(before, part, p -> p.withParent(up).withAttachment(Attachment.PARENT))
                    : new Outcome.Refused(RefusalCode.NOT_HELD, Edits.nameOf(before, part) + " is not in a hand.");
        }
        Optional<Part> holds = before.part(hand.get());
        if (holds.isEmpty()) {
            return Edits.noPart(hand.get());
        }
        if (holds.get().role() != PartRole.HAND) {
            return new Outcome.Refused(RefusalCode.NO_HAND, holds.get().name() + " is no hand; only hands have grips.");
        }
        if (before.rig().follows(hand.get(), part)) {
            return new Outcome.Refused(
                    RefusalCode.CIRCLE,
                    holds.get().name() + " follows " + thing.get().name() + ", so it cannot hold it.");
        }
        List<String> order = new ArrayList<>(before.rig().order());
        order.remove(part);
        order.add(order.indexOf(hand.get()) + 1, part);
        Placement rest = thing.get().rest();
        return new Outcome.Done(before.withPart(part, p -> p.withParent(hand)
                        .withAttachment(Attachment.GRIP)
                        .withRest(new Placement(
                                0, 0, rest.rotation(), rest.scaleX(), rest.scaleY(), rest.skewX(), rest.opacity())))
                .withRig(rig -> rig.withOrder(order)));
    }
}
