package app.leeward.core.check;

import app.leeward.core.edit.RegisterHand;
import app.leeward.core.hand.Hands;
import app.leeward.core.hand.Hands.AtWrist;
import app.leeward.core.hand.Hands.Hand;
import app.leeward.core.rig.Character;
import java.util.stream.Stream;

/** Hands: every drawing meets the arm where the others do, as wide, turned alike, and nothing opens. */
final class HandsCheck implements Check {
    @Override
    public String id() {
        return "hands";
    }

    @Override
    public Harm harm(String code) {
        return code.equals("no-wrist") ? Harm.UNTIDY : Harm.MOVES;
    }

    @Override
    public Stream<Fault> find(Character c) {
        return Hands.of(c).stream().flatMap(h -> h.drawings().stream()
                .filter(d -> !d.message().isEmpty())
                .map(d -> fault(h, d)));
    }

    private static Fault fault(Hand hand, AtWrist d) {
        Subject subject = Subject.drawing(hand.part(), d.drawing());
        String message = Check.sentence(d.message());
        if (d.wrist().isEmpty()) {
            return new Fault("no-wrist", subject, new Measure(1, Unit.COUNT), message);
        }
        // how far the ends of its wrist lie from where they belong
        double width = hand.wrist().map(w -> w.width()).orElse(0.0);
        double ends =
                d.off() + width * (Math.abs(d.ratio() - 1) / 2 + Math.abs(Math.sin(Math.toRadians(d.turned()))) / 2);
        return ends > d.gap().width()
                ? new Fault("off-the-wrist", subject, new Measure(ends, Unit.UNITS), message)
                        .trying("Put it on the wrist", new RegisterHand(hand.part(), d.drawing(), false))
                : new Fault("opens", subject, new Measure(d.gap().width(), Unit.UNITS), message);
    }
}
