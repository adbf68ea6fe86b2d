package app.leeward.core.hand;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Wrist;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * Wrists measured in pictures one after the other: how far each opens as its hand is turned just then. Holds what it has measured; not
 * for several threads.
 */
public final class ActedWrists {
    private final Character character;
    private final List<Held> hands = new ArrayList<>();

    /** @param measured its hands, as {@link Hands#of} gives them: that takes longer than all of this */
    public ActedWrists(Character character, List<Hands.Hand> measured) {
        this.character = character;
        for (Hands.Hand h : measured) {
            if (h.wrist().isPresent() && h.arm().isPresent() && h.place().isPresent()) {
                hands.add(new Held(h));
            }
        }
    }

    /**
     * A wrist that opens further than it may.
     *
     * @param width of the widest place nothing covers, units
     * @param most how wide it may be
     */
    public record Open(String hand, String drawing, double width, double most) {}

    public List<Open> open(Frame frame) {
        return hands.stream().flatMap(h -> h.open(frame).stream()).toList();
    }

    private Optional<Artwork> art(String part, String drawing) {
        return character.part(part).flatMap((Part p) -> p.drawing(drawing)).map(d -> d.art());
    }

    private final class Held {
        private final Hands.Hand hand;
        /** Where the hand's wrist is on the arm, in the arm's coordinates. */
        private final Wrist wrist;
        /** By what the arm draws. */
        private final Map<String, Joint> joints = new HashMap<>();

        private final Map<List<Object>, Double> opens = new HashMap<>();

        Held(Hands.Hand hand) {
            this.hand = hand;
            this.wrist = hand.wrist()
                    .orElseThrow()
                    .transform(hand.place().orElseThrow().inverse());
        }

        Optional<Open> open(Frame frame) {
            Optional<Frame.Placed> own = frame.of(hand.part()).filter(p -> p.opacity() > 0);
            Optional<Frame.Placed> arm = frame.of(hand.arm().orElseThrow()).filter(p -> p.opacity() > 0);
            if (own.isEmpty() || arm.isEmpty() || Math.abs(arm.get().matrix().determinant()) < 1e-9) {
                return Optional.empty();
            }
            Matrix onArm = arm.get().matrix().inverse().times(own.get().matrix());
            double width = opens.computeIfAbsent(
                    List.of(own.get().drawing(), arm.get().drawing(), rounded(onArm)),
                    k -> width(own.get(), arm.get(), onArm));
            double most = Hands.GAP * wrist.width();
            return width > most
                    ? Optional.of(new Open(hand.part(), own.get().drawing(), width, most))
                    : Optional.empty();
        }

        private double width(Frame.Placed own, Frame.Placed arm, Matrix onArm) {
            Optional<Artwork> drawn = art(own.part(), own.drawing());
            Optional<Artwork> sleeve = art(arm.part(), arm.drawing());
            if (drawn.isEmpty() || sleeve.isEmpty()) {
                return 0;
            }
            Joint joint = arm.outlines().isEmpty()
                    ? joints.computeIfAbsent(arm.drawing(), k -> Joint.of(wrist, Joint.fills(sleeve.get())))
                    : Joint.of(wrist, Joint.fills(arm.shown(sleeve.get())));
            Geometry open = joint.left(own.shown(drawn.get()).transform(onArm));
            return joint.widest(open, 0).width();
        }

        private List<Long> rounded(Matrix m) {
            List<Long> all = new ArrayList<>();
            for (double v : new double[] {m.a(), m.b(), m.c(), m.d()}) {
                all.add(Math.round(v * 1e4));
            }
            all.add(Math.round(m.e() * 1e2));
            all.add(Math.round(m.f() * 1e2));
            return all;
        }
    }
}
