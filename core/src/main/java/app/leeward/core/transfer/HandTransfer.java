package app.leeward.core.transfer;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.hand.Hands;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The drawings of a hand, brought onto the wrist there is. */
final class HandTransfer {
    private final Character from;
    private final Character to;
    private final Counterparts counterparts;

    HandTransfer(Character from, Character to, Counterparts counterparts) {
        this.from = from;
        this.to = to;
        this.counterparts = counterparts;
    }

    Taken taken(Part hand) {
        Optional<Part> own = counterparts.part(hand.id()).flatMap(to::part);
        Optional<Drawing> start = shown(hand);
        Optional<Drawing> there = own.flatMap(HandTransfer::shown);
        if (own.isEmpty() || there.isEmpty() || start.isEmpty()) {
            return Taken.nothing(to, "There is no such hand to bring them onto.");
        }
        List<Drawing> more = hand.drawings().stream()
                .filter(d ->
                        own.get().drawings().stream().noneMatch(o -> o.name().equalsIgnoreCase(d.name())))
                .toList();
        if (more.isEmpty()) {
            return Taken.nothing(to, "Every drawing of it is there by name.");
        }
        Optional<Matrix> known =
                start.get().wrist().flatMap(w -> there.get().wrist().map(o -> w.onto(o, false)));
        Matrix place = known.orElseGet(() -> byBox(start.get(), there.get(), hand, own.get()));
        Map<String, String> colours =
                Colouring.between(start.get().art(), there.get().art());
        Map<String, String> ids = new HashMap<>();
        Part with = DrawingTransfer.beside(own.get(), more, place, colours, ids);
        Character after = to.withPart(own.get().id(), p -> with);
        int brought = 0;
        for (String id : ids.values()) {
            Optional<Character> one = Hands.registered(after, own.get().id(), id, true);
            brought += one.isPresent() ? 1 : 0;
            after = one.orElse(after);
        }
        ids.forEach((was, now) -> counterparts.putDrawing(hand.id(), was, now));
        List<String> facts = new ArrayList<>();
        facts.add(more.size() + (more.size() == 1 ? " drawing" : " drawings") + ", at "
                + Decimals.plain(100 * Math.sqrt(Math.abs(place.a() * place.d() - place.b() * place.c())), 0)
                + " % of their size.");
        int namesakes = hand.drawings().size() - more.size();
        if (namesakes > 0) {
            facts.add(namesakes + " of that name " + (namesakes == 1 ? "is" : "are") + " there already.");
        }
        facts.add(
                brought == more.size()
                        ? "All brought onto the wrist."
                        : (more.size() - brought)
                                + " without a wrist that could be found: put its two points there by hand.");
        return new Taken(
                after, brought == more.size() ? TransferItem.Fitting.WHOLE : TransferItem.Fitting.PARTLY, facts);
    }

    private static Optional<Drawing> shown(Part hand) {
        return hand.drawing(hand.shown()).or(() -> hand.drawings().stream().findFirst());
    }

    /** As large as the hand there is, its pivot on the pivot. */
    private static Matrix byBox(Drawing a, Drawing b, Part from, Part to) {
        Optional<Box> one = a.art().bounds();
        Optional<Box> two = b.art().bounds();
        double s = one.isEmpty() || two.isEmpty()
                ? 1
                : Math.sqrt(two.get().width()
                        * two.get().height()
                        / Math.max(1e-6, one.get().width() * one.get().height()));
        return new Matrix(
                s,
                0,
                0,
                s,
                to.pivot().x() - s * from.pivot().x(),
                to.pivot().y() - s * from.pivot().y());
    }
}
