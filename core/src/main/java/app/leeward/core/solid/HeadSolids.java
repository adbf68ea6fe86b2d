package app.leeward.core.solid;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/**
 * A head as solids: for each of its pieces what it is in the round, and where it lies from each view. Pieces that keep their
 * drawing get a placement, the others a place for every point. Depths are those of {@link HeadShape}; the shape of the motion was
 * fitted to three-quarter views drawn by hand.
 */
public final class HeadSolids {
    /** The widest and the narrowest a piece that keeps its drawing becomes, and how much of its slant it takes. By eye. */
    private static final double EYE_WIDEST = 1.03;

    private static final double EYE_SLANT = 0.5;
    private static final double DECAL_WIDEST = 1.08;
    private static final double DECAL_SLANT = 0.8;
    private static final double NARROWEST = 0.3;

    /** Narrower than this nobody draws a feature that is to be seen. */
    private static final double SLIVER = 0.6;
    /** A short step, in half widths, and the least slope that tells a way. */
    private static final double STEP = 1e-3;

    private static final double FLAT_SLOPE = 0.05;
    /** How far the place a point is led through may lie from where it would be from the front, in half widths. */
    private static final double ASTRAY = 0.2;
    /** How far apart the ends of an outline lie that is not closed, in half widths. */
    private static final double GAP = 0.02;

    /** So many points of a piece say well enough how it is placed. */
    private static final int ENOUGH = 300;

    /** The head as it was drawn. */
    private final HeadArt art;
    /** The same from the front, which its solids are made from. */
    private final HeadArt front;
    /** From where it was drawn. */
    private final View drawn;

    private final HeadShape shape;
    private final Solids solids;
    private final Map<String, Sampled> samples = new HashMap<>();

    /** @param follows for each point at rest where it goes */
    record Sampled(List<Point> rest, List<Motion.Follow> follows) {}

    private HeadSolids(HeadArt art, HeadShape shape) {
        this.shape = shape;
        this.art = shape.drawn() == 0 ? art : Unturned.asOne(art);
        front = Unturned.of(this.art, shape);
        drawn = View.yaw(shape.drawn());
        solids = new Solids(front, shape);
    }

    /** How the drawn points of a piece go with the head: each from the place its solid brings to where it was drawn. */
    private Motion motion(String piece, Path outline) {
        if (drawn.yaw() == 0) {
            return solids.motion(piece, outline);
        }
        HeadPiece seen = front.pieces().get(piece);
        Motion motion = solids.motion(piece, outline.map(seen::front));
        double step = STEP * front.half();
        double most = ASTRAY * front.half();
        // the far side of what stands out was hidden where it was drawn: no place leads there, so it goes by where it
        // would be
        SolidKind kind = front.kinds().get(piece);
        int rounds = kind == SolidKind.MASS || kind == SolidKind.MOUTH ? 0 : 4;
        return rest -> {
            double guess = seen.front(rest).x();
            double x = guess;
            // Newton's method with a slope taken over a short step
            for (int i = 0; i < rounds; i++) {
                double at = motion.of(new Point(x, rest.y())).at(drawn).x();
                double beside =
                        motion.of(new Point(x + step, rest.y())).at(drawn).x();
                double slope = (beside - at) / step;
                if (slope < FLAT_SLOPE) {
                    break;
                }
                x = Math.max(guess - most, Math.min(guess + most, x + (rest.x() - at) / slope));
            }
            Motion.Follow follow = motion.of(new Point(x, rest.y()));
            // what is left of it: where a solid cannot bring a point at all it keeps its distance
            Point off = rest.minus(follow.at(drawn));
            return view -> follow.at(view).plus(off);
        };
    }

    /** Empty when there is no head with something to turn. */
    public static Optional<HeadSolids> of(Character c, HeadShape shape) {
        return HeadArt.of(c).map(art -> new HeadSolids(art, shape));
    }

    /** A head in the shape it most likely has, turned as far as it was drawn; empty when there is none. */
    public static Optional<HeadSolids> guessed(Character c) {
        return HeadArt.of(c).map(art -> new HeadSolids(art, shape(art)));
    }

    /** The shape a head most likely has, and how far it is turned as drawn; empty when there is none. */
    public static Optional<HeadShape> guessedShape(Character c) {
        return HeadArt.of(c).map(HeadSolids::shape);
    }

    private static HeadShape shape(HeadArt art) {
        double box = art.skin().getArea() / art.skin().getEnvelope().getArea();
        boolean muzzle = art.pieces().values().stream().anyMatch(p -> p.part().role() == PartRole.MUZZLE);
        boolean beaked = art.pieces().values().stream().anyMatch(p -> p.part().beaked());
        HeadShape shape = box > Skull.BOXED
                ? HeadShape.BOX
                : beaked || Skull.isRound(art.skin()) ? HeadShape.ROUND : muzzle ? HeadShape.ANIMAL : HeadShape.HUMAN;
        return DrawnAngle.of(art, shape).map(shape::withDrawn).orElse(shape);
    }

    /** The shape it was made by. */
    public HeadShape shape() {
        return shape;
    }

    /**
     * Degrees a head most likely is turned as it was drawn, told by how far its eyes stand beside the middle of their row: they lie
     * nearest to the viewer from the front, so X = d·sin θ there; empty for one without two eyes or drawn from the front.
     */
    public static Optional<Double> drawnAngle(Character c, HeadShape shape) {
        return HeadArt.of(c).flatMap(art -> DrawnAngle.of(art, shape));
    }

    /** Ids of all that follows the head, in stacking order. */
    public Set<String> pieces() {
        return art.pieces().keySet().stream().collect(Collectors.toCollection(java.util.LinkedHashSet::new));
    }

    /** What a piece is taken for. */
    public SolidKind kind(String piece) {
        return art.kinds().get(piece);
    }

    /**
     * A piece as it is in the round.
     *
     * @param kind what it is taken for
     * @param guessed what it would be taken for if nobody had said anything
     * @param forward how much further towards the viewer it was set, in half widths of the head
     * @param alongWith id of the piece it goes along with; null for one that goes by itself
     * @param points whether it goes point by point, so that others can be welded along its outlines
     * @param rest from its drawings' coordinates to the canvas, at rest
     * @param root where a plate grows out of the head, canvas coordinates at rest
     * @param welded points of it that lie along what it is welded to, canvas coordinates at rest
     */
    public record SolidPiece(
            String part,
            SolidKind kind,
            SolidKind guessed,
            double forward,
            String alongWith,
            boolean points,
            Matrix rest,
            Optional<Point> root,
            List<Point> welded) {}

    /** All pieces that show something or move others, from the back. */
    public List<SolidPiece> entries() {
        return art.pieces().values().stream()
                .filter(p -> !p.part().drawings().isEmpty()
                        || art.carriedBy(p.part().id()).isPresent())
                .map(p -> {
                    String id = p.part().id();
                    return new SolidPiece(
                            id,
                            art.kinds().get(id),
                            art.guesses().get(id),
                            p.forward(),
                            art.carriedBy(id).filter(by -> !by.equals(id)).orElse(null),
                            goesByPoints(id),
                            rest(id),
                            Optional.of(id)
                                    .filter(q -> plate(q) && keepsDrawing(q))
                                    .map(solids.plates()::root)
                                    .map(at -> solids.plates().placed(id, drawn).apply(at)),
                            goesByPoints(id) ? solids.welded(id) : List.of());
                })
                .toList();
    }

    /**
     * The head seen from its side, facing left: points down its front, then up its back. 0 lies before the ears, -1 as far in
     * front as half the head is wide; y from 0 at the top to 1 at the chin.
     */
    public List<Point> sideView() {
        return solids.stacks().sideView();
    }

    /** Half the head's width, of which all depths are shares; canvas units. */
    public double halfWidth() {
        return front.half();
    }

    /** x of the upright axis the head turns about, canvas units. */
    public double axis() {
        return front.axis();
    }

    /** The piece whose outline the head has. */
    public String skin() {
        return art.skinPiece();
    }

    /** The shape with the outline of the head: its colour and line are those of the face. */
    public Shape face() {
        return art.pieces().get(art.skinPiece()).largest().orElseThrow();
    }

    /** Whether all that the piece can show lies within the head's outline at rest, its lines included. */
    public boolean liesOnSkin(String piece) {
        HeadPiece p = art.pieces().get(piece);
        return p.part().drawing(p.part().shown()).isPresent() && p.liesWithin(art.skin());
    }

    /** Whether a piece is worn with a hat: it hangs on one that goes round the head, or lies on one. */
    public boolean onHat(String piece) {
        return solids.onHat(art.pieces().get(piece));
    }

    /** Whether the head is a box. */
    public boolean box() {
        return solids.box();
    }

    /** The side of a box, unfolded beside the face; canvas coordinates at rest. */
    public Path unfolded(boolean screenRight) {
        return solids.stacks().unfolded(screenRight);
    }

    /** The outline of the head as it was drawn, ready to be asked for from any view. */
    public TurnedPath silhouette() {
        return outline(art.skinPiece(), art.pieces().get(art.skinPiece()).silhouette());
    }

    /** Whether the outline of the head is not closed by what is drawn: a gap of more than a hundredth of its width. */
    public boolean openOutline() {
        HeadPiece skin = art.pieces().get(art.skinPiece());
        Path outline = skin.silhouette();
        boolean closed = outline.closes();
        List<Point> points = outline.points();
        return !closed && !points.isEmpty() && points.get(0).distance(points.get(points.size() - 1)) > GAP * art.half();
    }

    /** Whether a piece lies so far from the head that it is not taken for one of its pieces. */
    public boolean farAway(String piece) {
        return art.guesses().get(piece) == SolidKind.FLAT
                && !art.pieces().get(piece).area().isEmpty();
    }

    /** Whether a piece is made of pixels, whose outline cannot be reshaped. */
    public boolean pixels(String piece) {
        return art.pieces().get(piece).pixels();
    }

    /** Whether a piece has so many points that it goes as one. */
    public boolean crowded(String piece) {
        return art.pieces().get(piece).crowded();
    }

    /** How far the point that lies furthest off does, of a piece that is placed as one, from where its solid has it; canvas units. */
    public double misses(String piece, View view) {
        Matrix placed = placed(piece, view);
        Sampled s = sampled(piece);
        double worst = 0;
        for (int i = 0; i < s.rest().size(); i++) {
            worst = Math.max(
                    worst,
                    placed.apply(s.rest().get(i)).distance(s.follows().get(i).at(view)));
        }
        return worst;
    }

    /** How wide a piece that is placed as one would be by its solid, as a share of its width at rest. */
    public double narrowed(String piece, View view) {
        return Affine.of(sampled(piece), view, 0, Double.MAX_VALUE, 1).a();
    }

    /** The middle of what a piece and all that goes along with it show, canvas coordinates at rest; empty where that is nothing. */
    public Optional<Point> middle(String piece) {
        List<Point> all = sampled(piece).rest();
        return all.isEmpty()
                ? Optional.empty()
                : Optional.of(new Point(
                        all.stream().mapToDouble(Point::x).average().orElseThrow(),
                        all.stream().mapToDouble(Point::y).average().orElseThrow()));
    }

    /** Square units the head's outline takes in. */
    public double area() {
        return art.skin().getArea();
    }

    /**
     * What of the skull's own surface came round the near side, out of sight from the front.
     *
     * @param down how far down it is asked for, as a share of the head's height
     */
    public Geometry cameRound(View view, double down) {
        return solids.cameRound(view, down);
    }

    /**
     * What turning and nodding at once does besides what each does alone. The head nods about its own ears and is then turned, so
     * what the nod brought forward or back goes along with the turn: x changes by -(y - y₀)·sin φ·sin θ, a shear about the height
     * it nods at.
     */
    public Matrix both(View view) {
        double shear = (Math.sin(Math.toRadians(drawn.yaw())) - Math.sin(Math.toRadians(view.yaw()))) * view.sinPitch();
        return new Matrix(1, 0, shear, 1, -shear * solids.nodsAt(), 0);
    }

    /** From a piece's coordinates to the canvas, at rest. */
    public Matrix rest(String piece) {
        return art.pieces().get(piece).rest();
    }

    /** Whether the piece goes along with another one that keeps its drawing. */
    public boolean goesAlong(String piece) {
        return art.carriedBy(piece).filter(by -> !by.equals(piece)).isPresent();
    }

    /** Whether the piece is placed as one and keeps its drawing, as what moves with it does. */
    public boolean keepsDrawing(String piece) {
        return art.carriedBy(piece).equals(Optional.of(piece))
                || art.pieces().get(piece).keepsOutlines();
    }

    private boolean plate(String piece) {
        SolidKind kind = art.kinds().get(piece);
        return kind == SolidKind.PLATE || kind == SolidKind.EAR;
    }

    /** Where a plate grows out of the head, canvas coordinates from the front. */
    public Point root(String plate) {
        return solids.plates().root(plate);
    }

    /** Whether a plate stands on top of the head rather than at its side. */
    public boolean upright(String plate) {
        return solids.plates().upright(plate);
    }

    /** Ids of the pieces that go along with one as one and show something, from the back. */
    public List<String> carried(String piece) {
        return art.carried(piece).stream()
                .map(HeadPiece::part)
                .filter(p -> !p.drawings().isEmpty())
                .map(Part::id)
                .toList();
    }

    /** Whether it goes with the head point by point. */
    public boolean goesByPoints(String piece) {
        return !goesAlong(piece)
                && !keepsDrawing(piece)
                && art.kinds().get(piece) != SolidKind.FLAT
                && !art.pieces().get(piece).part().drawings().isEmpty();
    }

    /** Where a piece that keeps its drawing is placed, from where it is at rest; canvas coordinates. */
    public Matrix placed(String piece, View view) {
        HeadPiece p = art.pieces().get(piece);
        if (plate(piece)) {
            Matrix turned = solids.plates().placed(piece, view);
            return drawn.yaw() == 0
                    ? turned
                    : turned.times(solids.plates().placed(piece, drawn).inverse());
        }
        boolean eye = p.part().role() == PartRole.EYE;
        double drawnWide = drawnWide(piece);
        return Affine.of(
                sampled(piece),
                view,
                NARROWEST / drawnWide,
                (eye ? EYE_WIDEST : DECAL_WIDEST) / drawnWide,
                eye ? EYE_SLANT : p.keepsOutlines() ? 1 : DECAL_SLANT);
    }

    /** How wide a piece was drawn, as a share of its width from the front; what was drawn as a sliver is taken for a little wider. */
    private double drawnWide(String piece) {
        return drawn.yaw() == 0 ? 1 : Math.max(SLIVER, Math.min(1, 1 / narrowed(piece, View.yaw(0))));
    }

    /** Where the piece is placed on the whole, for drawings that come later; its points may go further. */
    public Matrix onTheWhole(String piece, View view) {
        return Affine.of(sampled(piece), view, NARROWEST, DECAL_WIDEST, 1);
    }

    /** How the piece is shifted by its middle, for one that is exchanged for drawings made for the turned head. */
    public Matrix shifted(String piece, View view) {
        Coordinate middle = art.pieces().get(piece).area().getEnvelopeInternal().centre();
        if (middle == null) {
            return Matrix.IDENTITY;
        }
        // a nose drawn to one side of the axis is no less in the middle of the face
        boolean onAxis = drawn.yaw() == 0 && Math.abs(middle.x - art.axis()) < Solids.ON_AXIS * art.half();
        Point rest = new Point(onAxis ? art.axis() : middle.x, middle.y);
        Point now = motion(piece, Path.of()).of(rest).at(view);
        return Matrix.translate(now.x() - rest.x(), now.y() - rest.y());
    }

    /** An outline of the piece, canvas coordinates at rest, ready to be asked for from any view. */
    public TurnedPath outline(String piece, Path rest) {
        return new TurnedPath(rest, motion(piece, rest), solids.fine());
    }

    /** Points of a piece, followed: what it is placed by. */
    private Sampled sampled(String piece) {
        return samples.computeIfAbsent(piece, k -> {
            List<HeadPiece> carried = art.carried(piece);
            List<HeadPiece> whites = carried.stream()
                    .filter(p -> p.part().role() == PartRole.WHITE)
                    .toList();
            List<HeadPiece> of = !whites.isEmpty()
                    ? whites
                    : carried.isEmpty() ? List.of(art.pieces().get(piece)) : carried;
            List<Point> all = of.stream().flatMap(p -> p.outlines().stream()).toList();
            int every = 1 + all.size() / ENOUGH;
            Motion motion = motion(piece, Path.of());
            List<Point> rest = new ArrayList<>();
            List<Motion.Follow> follows = new ArrayList<>();
            for (int i = 0; i < all.size(); i += every) {
                rest.add(all.get(i));
                follows.add(motion.of(all.get(i)));
            }
            return new Sampled(rest, follows);
        });
    }
}
