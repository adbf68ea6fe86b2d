package app.leeward.core.solid;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
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

    /** So many points of a piece say well enough how it is placed. */
    private static final int ENOUGH = 300;

    private final HeadArt art;
    private final Solids solids;
    private final Map<String, Sampled> samples = new HashMap<>();

    /** @param follows for each point at rest where it goes */
    record Sampled(List<Point> rest, List<Motion.Follow> follows) {}

    private HeadSolids(HeadArt art, Solids solids) {
        this.art = art;
        this.solids = solids;
    }

    /** Empty when there is no head with something to turn. */
    public static Optional<HeadSolids> of(Character c, HeadShape shape) {
        return HeadArt.of(c).map(art -> new HeadSolids(art, new Solids(art, shape)));
    }

    /** The shape a head is most likely to have; empty when there is none. */
    public static Optional<HeadShape> guessed(Character c) {
        return HeadArt.of(c).map(art -> {
            double box = art.skin().getArea() / art.skin().getEnvelope().getArea();
            boolean muzzle =
                    art.pieces().values().stream().anyMatch(p -> p.part().role() == PartRole.MUZZLE);
            return box > Skull.BOXED ? HeadShape.BOX : muzzle ? HeadShape.ANIMAL : HeadShape.HUMAN;
        });
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
     */
    public record SolidPiece(String part, SolidKind kind, SolidKind guessed, double forward, String alongWith) {}

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
                            art.carriedBy(id).filter(by -> !by.equals(id)).orElse(null));
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
        return art.half();
    }

    /** x of the upright axis the head turns about, canvas units. */
    public double axis() {
        return art.axis();
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

    /** Whether the head is a box. */
    public boolean box() {
        return solids.box();
    }

    /** The side of a box, unfolded beside the face; canvas coordinates at rest. */
    public Path unfolded(boolean screenRight) {
        return solids.stacks().unfolded(screenRight);
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
        double shear = -Math.sin(Math.toRadians(view.yaw())) * view.sinPitch();
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
                || art.pieces().get(piece).pixels();
    }

    /** Where a piece that keeps its drawing is placed, from where it is at rest; canvas coordinates. */
    public Matrix placed(String piece, View view) {
        HeadPiece p = art.pieces().get(piece);
        if (art.kinds().get(piece) == SolidKind.PLATE) {
            return solids.plate(piece, view);
        }
        boolean eye = p.part().role() == PartRole.EYE;
        return Affine.of(
                sampled(piece),
                view,
                NARROWEST,
                eye ? EYE_WIDEST : DECAL_WIDEST,
                eye ? EYE_SLANT : p.pixels() ? 1 : DECAL_SLANT);
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
        boolean onAxis = Math.abs(middle.x - art.axis()) < Solids.ON_AXIS * art.half();
        Point rest = new Point(onAxis ? art.axis() : middle.x, middle.y);
        Point now = solids.motion(piece).of(rest).at(view);
        return Matrix.translate(now.x() - rest.x(), now.y() - rest.y());
    }

    /** An outline of the piece, canvas coordinates at rest, ready to be asked for from any view. */
    public TurnedPath outline(String piece, Path rest) {
        return new TurnedPath(rest, solids.motion(piece, rest), solids.fine());
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
            Motion motion = solids.motion(piece);
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
