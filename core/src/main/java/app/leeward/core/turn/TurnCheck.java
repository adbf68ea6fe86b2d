package app.leeward.core.turn;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.TurnPlan;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.solid.View;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/**
 * What a head turn hides and uncovers: pieces of the head that can no longer be seen, and skull that comes round the side with
 * no hair on it.
 */
public final class TurnCheck {
    /** Less of what was to be seen than this share counts as hidden. */
    private static final double GONE = 0.03;
    /** Less of the head than this share is no bald patch. */
    private static final double BALD = 0.004;
    /** Detail that does not matter for what can be seen, as a share of the head. */
    private static final double COARSE = 0.004;
    /** From which height on, as a share of its height from the top, a head needs no hair at its sides. */
    private static final double HAIRLINE = 0.6;

    private static final Set<PartRole> HAIR =
            Set.of(PartRole.BACK_HAIR, PartRole.FRINGE, PartRole.SIDE_HAIR, PartRole.EXTRA_HAIR);

    private static final Set<PartRole> COVERS_TOO = Set.of(PartRole.CAP, PartRole.EAR, PartRole.OTHER);

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private final Character character;
    private final Evaluator evaluator;
    private final Dial dial;
    private final HeadSolids head;
    private final TurnAngle angle;
    private final Map<String, Geometry> fills = new HashMap<>();

    private TurnCheck(Character c, Dial dial, HeadSolids head, HeadShape shape) {
        character = c;
        evaluator = new Evaluator(c);
        this.dial = dial;
        this.head = head;
        angle = TurnAngle.of(dial, shape);
    }

    /**
     * A head at one place of the dial.
     *
     * @param hidden ids of pieces that were to be seen at rest and are not here
     * @param bald square units of skull that came round the side and has no hair on it
     * @param share the same as a share of the head
     * @param message a sentence about it; empty when nothing is bald
     */
    public record Position(double at, List<String> hidden, double bald, double share, String message) {}

    /** The head at these places; empty for a character without a turn. */
    public static List<Position> of(Character c, List<Double> at) {
        Optional<Dial> dial = c.dial(TurnMaker.DIAL);
        Optional<HeadShape> shape = c.controls().turn().map(TurnPlan::shape).or(() -> TurnMaker.fitted(c));
        Optional<HeadSolids> head = shape.flatMap(s -> HeadSolids.of(c, s));
        if (dial.isEmpty() || head.isEmpty()) {
            return List.of();
        }
        TurnCheck check = new TurnCheck(c, dial.get(), head.get(), shape.get());
        Map<String, Double> rest = check.seen(check.frame(dial.get().rest()));
        return at.stream().map(v -> check.position(v, rest)).toList();
    }

    private Frame frame(double at) {
        return evaluator.frame(Pose.of(Map.of(dial.id(), at)));
    }

    private Position position(double at, Map<String, Double> rest) {
        Frame frame = frame(at);
        Map<String, Double> seen = seen(frame);
        List<String> hidden = rest.entrySet().stream()
                .filter(e -> e.getValue() > 1e-3 && seen.getOrDefault(e.getKey(), 0.0) < GONE * e.getValue())
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
        double bald = bald(frame, at).getArea();
        double share = bald / head.area();
        return new Position(at, hidden, bald, share, share > BALD ? message(at, bald) : "");
    }

    private String message(double at, double bald) {
        boolean screenRight = at < dial.rest();
        String side = screenRight ? "right" : "left";
        boolean piece = character.rig().parts().stream().anyMatch(p -> p.role() == PartRole.EXTRA_HAIR);
        return String.format(
                Locale.ROOT,
                "At %.0f%s about %.0f square units of skull at the screen's %s have no hair on them. %s",
                at,
                dial.unit(),
                bald,
                side,
                piece
                        ? "Let the extra hair come out earlier, or pull it over them at this stop."
                        : "Draw an extra piece of hair for that side, or pull the back hair out at this stop.");
    }

    /** How much of each piece of the head is to be seen, square units: cut by its windows, less all that lies in front. */
    private Map<String, Double> seen(Frame frame) {
        Map<String, Double> seen = new HashMap<>();
        Geometry front = FACTORY.createPolygon();
        List<Frame.Placed> placed = frame.placed();
        for (int i = placed.size() - 1; i >= 0; i--) {
            Frame.Placed p = placed.get(i);
            if (!ofHead(p.part()) || p.opacity() < 0.5) {
                continue;
            }
            Geometry fill = cut(frame, p);
            seen.put(p.part(), Regions.without(fill, front).getArea());
            front = Regions.either(front, fill);
        }
        return seen;
    }

    private boolean ofHead(String part) {
        return character
                .part(PartRole.HEAD)
                .filter(h -> !h.id().equals(part) && character.rig().follows(part, h.id()))
                .isPresent();
    }

    private Geometry cut(Frame frame, Frame.Placed p) {
        Geometry fill = fill(p);
        for (String w : p.windows()) {
            Optional<Frame.Placed> by = frame.of(w);
            if (by.isPresent()) {
                fill = Regions.both(fill, fill(by.get()));
            }
        }
        for (String outer : p.outside()) {
            Optional<Frame.Placed> by = frame.of(outer);
            if (by.isPresent()) {
                fill = Regions.without(fill, fill(by.get()));
            }
        }
        return fill;
    }

    private Geometry fill(Frame.Placed p) {
        Geometry own = p.outlines().isEmpty()
                ? fills.computeIfAbsent(p.part() + "/" + p.drawing(), k -> coarse(p))
                : coarse(p);
        AffineTransformation m = new AffineTransformation(
                p.matrix().a(),
                p.matrix().c(),
                p.matrix().e(),
                p.matrix().b(),
                p.matrix().d(),
                p.matrix().f());
        return m.transform(own);
    }

    private Geometry coarse(Frame.Placed p) {
        Drawing drawing = character
                .part(p.part())
                .flatMap((Part q) -> q.drawing(p.drawing()))
                .orElseThrow();
        List<Shape> filled = p.shown(drawing.art()).shapes().stream()
                .filter(s -> !(s.fill() instanceof Paint.None))
                .toList();
        Geometry area = Regions.ofFills(filled);
        return area.isEmpty() ? area : DouglasPeuckerSimplifier.simplify(area, COARSE * head.halfWidth());
    }

    /** Skull that was out of sight from the front, now is not, and shows no hair. */
    private Geometry bald(Frame frame, double at) {
        Geometry area = head.cameRound(View.yaw(angle.at(at)), HAIRLINE);
        // a head without any hair, such as a gull's, is not bald on one side
        boolean hairless = character.rig().parts().stream().noneMatch(p -> HAIR.contains(p.role()));
        // what is out of sight from where a turned head was drawn nobody can tell
        if (area.isEmpty() || hairless || angle.drawn() != 0) {
            return FACTORY.createPolygon();
        }
        List<Geometry> hair = new ArrayList<>();
        for (Frame.Placed p : frame.placed()) {
            boolean covers = character
                    .part(p.part())
                    .map(Part::role)
                    .filter(r -> HAIR.contains(r) || COVERS_TOO.contains(r))
                    .isPresent();
            if (covers && ofHead(p.part())) {
                hair.add(cut(frame, p));
            }
        }
        return hair.isEmpty() ? area : Regions.without(area, Regions.all(hair));
    }
}
