package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Makes the head turn of a front view in one step. Every part that follows the head is placed by the {@link Ball}; what
 * follows those moves along. The ball turns by less than the dial says, because flat drawings cannot bear a true turn:
 * the dial's end is where the far eye has narrowed to {@link #FAR_EYE}, as is common practice (no source).
 */
public final class TurnMaker {
    public static final String DIAL = "turn";
    /** Degrees at either end of the dial. */
    public static final double FULL = 60;
    /** How narrow the far eye is at full turn; common practice, no source. */
    static final double FAR_EYE = 0.78;

    private static final double[] STOPS = {-FULL, -30, 0, 30, FULL};
    /** From where on the nose shows its profile and the extra hair comes out, degrees. */
    private static final double EXCHANGE = 18;
    /** The narrowest a part may become before it reads as a line. */
    private static final double NARROWEST = 0.3;

    private final Character character;
    private final Part head;
    private final Ball ball;
    private final double yawAtFull;

    private TurnMaker(Character character, Part head, Box face) {
        this.character = character;
        this.head = head;
        this.ball = Ball.fitted(face);
        this.yawAtFull = yawAtFull();
    }

    /** The character with a turn dial (its own replaced); unchanged when it has no head with a face on it. */
    public static Character addTo(Character c) {
        Optional<Part> head = c.part(PartRole.HEAD);
        Optional<Box> face = c.part(PartRole.FACE).or(() -> head).flatMap(Part::bounds);
        if (head.isEmpty()
                || face.isEmpty()
                || !(face.get().width() > 0)
                || !(face.get().height() > 0)) {
            return c;
        }
        Character ready = mirrorProfile(c);
        Dial dial = new TurnMaker(ready, head.get(), face.get()).dial();
        List<Dial> dials = new ArrayList<>(ready.dials());
        dials.removeIf(d -> d.id().equals(DIAL));
        dials.add(0, dial);
        return ready.withDials(dials, ready.pads());
    }

    private double yawAtFull() {
        Optional<Point> eye = character
                .part(PartRole.EYE, Side.LEFT)
                .or(() -> character.part(PartRole.EYE))
                .flatMap(this::centreOf);
        return eye.flatMap(at -> ball.yawNarrowing(at, FAR_EYE)).orElse(22.0);
    }

    private Dial dial() {
        List<Stop> stops = new ArrayList<>();
        for (double at : STOPS) {
            if (at != 0) {
                stops.add(stop(at));
            }
        }
        return new Dial(DIAL, "Turn", Purpose.TURN, -FULL, FULL, 0, "°", stops, bands());
    }

    private Stop stop(double at) {
        Map<String, Offset> offsets = new HashMap<>();
        for (Part part : character.childrenOf(head.id())) {
            centreOf(part).ifPresent(c -> offsets.put(part.id(), offset(part, c, at)));
        }
        return new Stop(at, offsets);
    }

    private Offset offset(Part part, Point centre, double at) {
        double share = at / FULL;
        double yaw = yawAtFull * share;
        double away = Math.abs(share);
        return switch (part.role()) {
            // the head's own mass: stays, but gives a little
            case FACE ->
                about(part, centre, new Point(centre.x() + 0.02 * ball.rx() * share, centre.y()), 1 - 0.02 * away);
            case BACK_HAIR ->
                about(part, centre, new Point(centre.x() - 0.10 * ball.rx() * share, centre.y()), 1 - 0.01 * away);
            case CAP -> about(part, centre, new Point(centre.x() + 0.06 * ball.rx() * share, centre.y()), 1);
            case FRINGE -> fringe(part, centre, share, away);
            case SIDE_HAIR, EXTRA_HAIR, EAR -> atSide(part, centre, yaw, share);
            case NOSE, MOUTH -> onBall(part, centre, yaw, share, part.role() == PartRole.NOSE ? 0.3 : 0.06);
            default -> onBall(part, centre, yaw, share, 0);
        };
    }

    /** The fringe hangs before the brow: it goes a good half of the way and leans with the turn. */
    private Offset fringe(Part part, Point centre, double share, double away) {
        Offset o = about(part, centre, new Point(centre.x() + 0.13 * ball.rx() * share, centre.y()), 1 - 0.05 * away);
        return new Offset(o.x(), o.y(), 0, o.scaleX(), 1, -2.5 * share, 1);
    }

    /**
     * What sits at the side of the head: the near one comes in over the cheek; the far one stays at the edge, where the
     * face hides it, and thins out towards it.
     */
    private Offset atSide(Part part, Point centre, double yaw, double share) {
        boolean far = (centre.x() - ball.centre().x()) * share > 0;
        if (far) {
            double narrow = 1 - 0.55 * Math.abs(share);
            return new Offset(-0.03 * ball.rx() * share, 0, 0, narrow, 1, 0, 1);
        }
        double shift = ball.rx() * Math.sin(Math.toRadians(Math.abs(yaw))) * 0.62 * Math.signum(share);
        return about(part, centre, new Point(centre.x() + shift, centre.y()), 1 + 0.06 * Math.abs(share));
    }

    private Offset onBall(Part part, Point centre, double yaw, double share, double lift) {
        Ball.Turned turned = ball.turn(centre, yaw, lift, false);
        boolean far = (centre.x() - ball.centre().x()) * share > 0.05 * ball.rx();
        // the far side of a round face drops a little
        double drop = far ? 0.018 * ball.ry() * Math.abs(share) : 0;
        double narrow = Math.max(NARROWEST, Math.min(1.05, turned.narrowing()));
        return about(part, centre, new Point(turned.at().x(), turned.at().y() + drop), narrow);
    }

    /** The offset that takes a part's centre to {@code to} and narrows it, whatever its pivot. */
    private static Offset about(Part part, Point centre, Point to, double narrow) {
        double x =
                to.x() - part.pivot().x() - narrow * (centre.x() - part.pivot().x());
        return new Offset(x, to.y() - centre.y(), 0, narrow, 1, 0, 1);
    }

    /** Middle of what the part, or what follows it, shows at rest. */
    private Optional<Point> centreOf(Part part) {
        return boundsOf(part).map(Box::centre);
    }

    private Optional<Box> boundsOf(Part part) {
        if (part.role() == PartRole.EYE) {
            Optional<Box> white = character.childrenOf(part.id()).stream()
                    .filter(p -> p.role() == PartRole.WHITE)
                    .flatMap(p -> p.bounds().stream())
                    .findFirst();
            if (white.isPresent()) {
                return white;
            }
        }
        List<Box> boxes = new ArrayList<>();
        part.bounds().ifPresent(boxes::add);
        character.childrenOf(part.id()).forEach(p -> boundsOf(p).ifPresent(boxes::add));
        return boxes.stream().reduce(Box::union);
    }

    private List<Bands> bands() {
        List<Bands> all = new ArrayList<>();
        for (Part part : character.childrenOf(head.id())) {
            if (part.role() == PartRole.NOSE) {
                profileBands(part).ifPresent(all::add);
            } else if (part.role() == PartRole.EXTRA_HAIR && !part.drawings().isEmpty()) {
                all.add(extraHairBand(part));
            }
        }
        return all;
    }

    private static Optional<Bands> profileBands(Part nose) {
        Optional<Drawing> right = profile(nose, true);
        Optional<Drawing> left = profile(nose, false);
        if (right.isEmpty() || left.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Bands(
                nose.id(),
                List.of(
                        new Band(-FULL, -EXCHANGE, left.get().id()),
                        new Band(EXCHANGE, FULL, right.get().id()))));
    }

    /** Extra hair covers the near side of the skull, so it shows when the face turns away from its side of the screen. */
    private Bands extraHairBand(Part part) {
        String drawing = part.drawings().get(0).id();
        boolean screenRight = centreOf(part).map(p -> p.x() > ball.centre().x()).orElse(false);
        Band band = screenRight ? new Band(-FULL, -EXCHANGE, drawing) : new Band(EXCHANGE, FULL, drawing);
        return new Bands(part.id(), List.of(band));
    }

    /** The nose's profile towards one side of the screen: named so, or the only one there is. */
    private static Optional<Drawing> profile(Part nose, boolean screenRight) {
        String wanted = screenRight ? MIRRORED_RIGHT : MIRRORED_LEFT;
        return nose.drawings().stream()
                .filter(d -> isProfile(d) && (d.id().endsWith(wanted)))
                .findFirst();
    }

    private static final String MIRRORED_RIGHT = "-to-right";
    private static final String MIRRORED_LEFT = "-to-left";

    private static boolean isProfile(Drawing d) {
        String name = d.name().toLowerCase(Locale.ROOT);
        return name.contains("profile") || name.contains("side");
    }

    /** Gives a nose with one profile drawing its two directions: as drawn, and its exact mirror image. */
    private static Character mirrorProfile(Character c) {
        Optional<Part> nose = c.part(PartRole.NOSE);
        Optional<Drawing> profile = nose.flatMap(
                n -> n.drawings().stream().filter(TurnMaker::isProfile).findFirst());
        if (profile.isEmpty() || profile(nose.get(), true).isPresent()) {
            return c;
        }
        Drawing drawn = profile.get();
        Optional<Box> front = nose.get().bounds();
        Optional<Box> side = drawn.art().bounds();
        if (front.isEmpty() || side.isEmpty()) {
            return c;
        }
        double axis = front.get().centre().x();
        boolean pointsRight = side.get().centre().x() >= axis;
        Drawing asDrawn = new Drawing(
                drawn.id() + (pointsRight ? MIRRORED_RIGHT : MIRRORED_LEFT),
                drawn.name() + (pointsRight ? " to screen right" : " to screen left"),
                drawn.art());
        Drawing mirrored = new Drawing(
                drawn.id() + (pointsRight ? MIRRORED_LEFT : MIRRORED_RIGHT),
                drawn.name() + (pointsRight ? " to screen left" : " to screen right"),
                drawn.art().transform(Matrix.mirror(axis)));
        List<Drawing> drawings = new ArrayList<>();
        for (Drawing d : nose.get().drawings()) {
            drawings.add(d.equals(drawn) ? asDrawn : d);
        }
        drawings.add(mirrored);
        String shown = nose.get().shown().equals(drawn.id())
                ? asDrawn.id()
                : nose.get().shown();
        return c.withPart(nose.get().id(), p -> p.withDrawings(drawings, shown));
    }
}
