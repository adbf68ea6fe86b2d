package app.leeward.core.turn;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Fingerprints;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.TurnPlan;
import app.leeward.core.rig.TurnPlan.BallSetting;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Makes the head turn of a front view in one step. Every part that follows the head is placed by the {@link Ball}; what
 * follows those moves along. The ball turns by less than the dial says, because flat drawings cannot bear a true turn:
 * the dial's end is where the far eye has narrowed as far as the rigger wants it, {@link #FAR_EYE} by common practice (no
 * source). Made again, it keeps what was shaped by hand.
 */
public final class TurnMaker {
    public static final String DIAL = "turn";
    /** Degrees at either end of the dial. */
    public static final double FULL = 60;
    /** How narrow the far eye is at full turn; common practice, no source. */
    static final double FAR_EYE = 0.78;
    /** How far a nose stands proud and an ear does; by eye, no source. */
    private static final double NOSE_LIFT = 0.3;

    private static final double EAR_LIFT = 0;
    /** From which share of the way on the nose shows its profile and the extra hair comes out. */
    private static final double EXCHANGE = 0.3;
    /** The narrowest a part may become before it reads as a line. */
    private static final double NARROWEST = 0.3;

    private final Character character;
    private final Part head;
    private final BallSetting setting;
    private final Ball ball;
    private final double yawAtFull;
    private final double full;
    /** Measuring large art once for every stop takes longer than all the rest. */
    private final Map<String, Optional<Point>> centres = new HashMap<>();

    private TurnMaker(Character character, Part head, BallSetting setting) {
        this.character = character;
        this.head = head;
        this.setting = setting;
        this.ball = Ball.of(setting);
        this.yawAtFull = yawAtFull(character, setting);
        full = character
                .dial(DIAL)
                .map(d -> Math.min(d.to() - d.rest(), d.rest() - d.from()))
                .filter(reach -> reach > 0)
                .orElse(FULL);
    }

    /** The ball that fills the face; empty when there is no head with a face on it. */
    public static Optional<BallSetting> fitted(Character c) {
        return c.part(PartRole.HEAD)
                .flatMap(head -> c.part(PartRole.FACE)
                        .flatMap(Part::bounds)
                        .or(head::bounds)
                        .filter(face -> face.width() > 0 && face.height() > 0))
                .map(Ball::fitted)
                .map(b -> new BallSetting(b.centre(), b.rx(), b.ry(), 1, NOSE_LIFT, EAR_LIFT, FAR_EYE));
    }

    /** The character with a turn dial, made by the ball it was made by before; unchanged when it has no head with a face on it. */
    public static Character addTo(Character c) {
        if (c.controls().views().isPresent()) {
            // its views turn it
            return c;
        }
        Optional<BallSetting> ball = c.controls().turn().map(TurnPlan::ball).or(() -> fitted(c));
        return ball.map(b -> make(c, b)).orElse(c);
    }

    /** The same by another ball. What was shaped by hand since the last time is kept. */
    public static Character make(Character c, BallSetting ball) {
        return made(c, ball).character;
    }

    /** How many poses, outlines and sets of bands would be kept as they were shaped by hand. */
    public static int keptByHand(Character c, BallSetting ball) {
        return made(c, ball).kept;
    }

    record Made(Character character, int kept) {}

    private static Made made(Character c, BallSetting ball) {
        Optional<Part> head = c.part(PartRole.HEAD);
        if (head.isEmpty()) {
            return new Made(c, 0);
        }
        Character ready = NoseProfile.bothWays(c);
        Dial fresh = new TurnMaker(ready, head.get(), ball).dial();
        Optional<Dial> there = ready.dial(DIAL);
        Optional<TurnPlan> plan = ready.controls().turn();
        // one made before plans were kept was never shaped by hand: there was no way to
        ManualEditMerge hands = new ManualEditMerge(
                plan.map(TurnPlan::made).or(() -> there.map(Fingerprints::of)).orElse(Map.of()));
        Dial dial = there.map(now -> hands.over(now, fresh)).orElse(fresh);
        List<Dial> dials = new ArrayList<>(ready.controls().dials());
        int place = there.map(dials::indexOf).orElse(0);
        if (there.isPresent()) {
            dials.set(place, dial);
        } else {
            dials.add(0, dial);
        }
        TurnPlan made = new TurnPlan(ball, Fingerprints.of(fresh), false);
        Character turned = ready.withDials(dials, ready.controls().pads())
                .withControls(controls -> controls.withTurn(Optional.of(made)));
        boolean nods = plan.filter(TurnPlan::nods).isPresent()
                && turned.dial(NodMaker.DIAL).isPresent();
        Made nodded = nods ? NodMaker.made(turned, plan.get().made()) : new Made(turned, 0);
        return new Made(nodded.character, hands.kept() + nodded.kept);
    }

    /** Degrees the ball turns at the dial's end: as many as narrow the far eye as far as it was asked to. */
    public static double yawAtFull(Character c, BallSetting setting) {
        Optional<Point> eye =
                c.part(PartRole.EYE, Side.LEFT).or(() -> c.part(PartRole.EYE)).flatMap(p -> HeadParts.centreOf(c, p));
        return eye.flatMap(at -> Ball.of(setting).yawNarrowing(at, setting.farEye()))
                .orElse(22.0);
    }

    private Dial dial() {
        List<Stop> stops = new ArrayList<>();
        for (double share : new double[] {-1, -0.5, 0.5, 1}) {
            stops.add(stop(share * full));
        }
        return new Dial(DIAL, "Turn", Purpose.TURN, -full, full, 0, "°", stops, bands());
    }

    private Optional<Point> centreOf(Part part) {
        return centres.computeIfAbsent(part.id(), id -> HeadParts.centreOf(character, part));
    }

    private Stop stop(double at) {
        Map<String, Offset> offsets = new HashMap<>();
        Map<String, List<PointDeltas>> reshapes = new HashMap<>();
        for (Part part : character.rig().childrenOf(head.id())) {
            centreOf(part).ifPresent(c -> offsets.put(part.id(), offset(part, c, at)));
            if (part.role() == PartRole.FACE) {
                reshapes.put(part.id(), FaceTurn.reshapes(part, ball, at / full));
            }
        }
        return new Stop(at, offsets, Ease.LINEAR, reshapes);
    }

    private Offset offset(Part part, Point centre, double at) {
        double share = at / full;
        double yaw = yawAtFull * share;
        double away = Math.abs(share);
        return switch (part.role()) {
            // the head's own mass: stays, but gives a little
            case FACE ->
                HeadParts.about(
                        part, centre, new Point(centre.x() + 0.02 * ball.rx() * share, centre.y()), 1 - 0.02 * away);
            case BACK_HAIR ->
                HeadParts.about(
                        part, centre, new Point(centre.x() - 0.10 * ball.rx() * share, centre.y()), 1 - 0.01 * away);
            case CAP -> HeadParts.about(part, centre, new Point(centre.x() + 0.06 * ball.rx() * share, centre.y()), 1);
            case FRINGE -> fringe(part, centre, share, away);
            case SIDE_HAIR, EXTRA_HAIR, EAR -> atSide(part, centre, yaw, share);
            case NOSE, MOUTH ->
                onBall(part, centre, yaw, share, part.role() == PartRole.NOSE ? setting.noseLift() : 0.06);
            default -> onBall(part, centre, yaw, share, 0);
        };
    }

    /** The fringe hangs before the brow: it goes a good half of the way and leans with the turn. */
    private Offset fringe(Part part, Point centre, double share, double away) {
        Offset o = HeadParts.about(
                part, centre, new Point(centre.x() + 0.13 * ball.rx() * share, centre.y()), 1 - 0.05 * away);
        return Offset.placed(o.x(), o.y(), 0, o.scaleX(), 1, -2.5 * share, 1);
    }

    /**
     * What sits at the side of the head: the near one comes in over the cheek; the far one stays at the edge, where the
     * face hides it, and thins out towards it.
     */
    private Offset atSide(Part part, Point centre, double yaw, double share) {
        boolean far = (centre.x() - ball.centre().x()) * share > 0;
        if (far) {
            double narrow = 1 - 0.55 * Math.abs(share);
            return Offset.placed(-0.03 * ball.rx() * share, 0, 0, narrow, 1, 0, 1);
        }
        double proud = 0.62 * (1 + (part.role() == PartRole.EAR ? setting.earLift() : 0));
        double shift = ball.rx() * Math.sin(Math.toRadians(Math.abs(yaw))) * proud * Math.signum(share);
        return HeadParts.about(part, centre, new Point(centre.x() + shift, centre.y()), 1 + 0.06 * Math.abs(share));
    }

    private Offset onBall(Part part, Point centre, double yaw, double share, double lift) {
        Ball.Turned turned = ball.turn(centre, yaw, lift, false);
        boolean far = (centre.x() - ball.centre().x()) * share > 0.05 * ball.rx();
        // the far side of a round face drops a little
        double drop = far ? 0.018 * ball.ry() * Math.abs(share) : 0;
        double narrow = Math.max(NARROWEST, Math.min(1.05, turned.narrowing()));
        return HeadParts.about(
                part, centre, new Point(turned.at().x(), turned.at().y() + drop), narrow);
    }

    private List<Bands> bands() {
        List<Bands> all = new ArrayList<>();
        for (Part part : character.rig().childrenOf(head.id())) {
            if (part.role() == PartRole.NOSE) {
                profileBands(part).ifPresent(all::add);
                for (Part piece : character.rig().childrenOf(part.id())) {
                    NoseProfile.alwaysOn(piece, -full, 0, full).ifPresent(all::add);
                }
            } else if (part.role() == PartRole.EXTRA_HAIR && !part.drawings().isEmpty()) {
                all.add(extraHairBand(part));
            }
        }
        return all;
    }

    private Optional<Bands> profileBands(Part nose) {
        Optional<Drawing> right = NoseProfile.towards(nose, true);
        Optional<Drawing> left = NoseProfile.towards(nose, false);
        if (right.isEmpty() || left.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Bands(
                nose.id(),
                List.of(
                        new Band(-full, -EXCHANGE * full, left.get().id()),
                        new Band(EXCHANGE * full, full, right.get().id()))));
    }

    /** Extra hair covers the near side of the skull, so it shows when the face turns away from its side of the screen. */
    private Bands extraHairBand(Part part) {
        String drawing = part.drawings().get(0).id();
        boolean screenRight = centreOf(part).map(p -> p.x() > ball.centre().x()).orElse(false);
        Band band = screenRight ? new Band(-full, -EXCHANGE * full, drawing) : new Band(EXCHANGE * full, full, drawing);
        return new Bands(part.id(), List.of(band));
    }
}
