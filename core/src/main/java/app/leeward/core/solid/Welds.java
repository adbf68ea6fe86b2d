package app.leeward.core.solid;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Weld;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/** Which piece of a head goes along the outline of which other: found along the face's outline, or said by hand. */
final class Welds {
    /** So many places along each step of an outline say where it lies. */
    static final int SAMPLES = 6;

    private final HeadArt art;
    private final OutlineWeld face;
    private final double fine;
    /** How an outline of a piece goes with the head, without and with its welds. */
    private final BiFunction<HeadPiece, Path, Motion> own;

    private final BiFunction<HeadPiece, Path, Motion> welded;
    private final Map<String, OutlineWeld> asked = new HashMap<>();

    /**
     * @param face along the outline of the face
     * @param fine how far apart points of a curve may lie that are followed, canvas units
     */
    Welds(
            HeadArt art,
            OutlineWeld face,
            double fine,
            BiFunction<HeadPiece, Path, Motion> own,
            BiFunction<HeadPiece, Path, Motion> welded) {
        this.art = art;
        this.face = face;
        this.fine = fine;
        this.own = own;
        this.welded = welded;
    }

    /** A motion of a piece that goes along what the piece is welded to. */
    Motion over(HeadPiece piece, Motion motion) {
        return to(piece).map(w -> w.over(motion)).orElse(motion);
    }

    /** Whether a path is the outline of the face, drawn a second time. */
    boolean drawsFace(Path path) {
        return face.same(path);
    }

    /** How much of a path lies along the outline of the face, 0 to 1. */
    double share(Path path) {
        List<Point> along = path.sampled(SAMPLES);
        return along.isEmpty() ? 0 : along.stream().filter(face::holds).count() / (double) along.size();
    }

    /**
     * Points of what a piece shows that lie along what it is welded to, canvas coordinates at rest.
     *
     * @param welded which of its paths are welded at all
     */
    List<Point> points(HeadPiece piece, Predicate<Path> welded) {
        return to(piece)
                .map(w -> piece.outlines(welded).stream().filter(w::holds).toList())
                .orElse(List.of());
    }

    private Optional<OutlineWeld> to(HeadPiece piece) {
        if (piece.weld().isPresent()) {
            return piece.weld().get().to().map(art.pieces()::get).map(this::along);
        }
        boolean edge =
                piece.part().role() == PartRole.FACE_LINE || piece.part().id().equals(art.skinPiece());
        if (piece.patches() && edge) {
            // a line of pixels is broad, and the soft edge of a skin would be drawn out: both lie along the edge as
            // they were drawn
            return Optional.of(along(art.pieces().get(art.skinPiece())));
        }
        return Optional.of(face).filter(w -> byItself(piece));
    }

    /** Whether it goes with the outline of the face where it lies along it, unless something else was said. */
    private boolean byItself(HeadPiece p) {
        return switch (art.kinds().get(p.part().id())) {
            case SKULL -> p.forward() == 0;
            case MASS -> p.part().role() != PartRole.NOSE;
            case COVER -> true;
            default -> false;
        };
    }

    private OutlineWeld along(HeadPiece piece) {
        String id = piece.part().id();
        OutlineWeld there = asked.get(id);
        if (there == null) {
            BiFunction<HeadPiece, Path, Motion> motion = inCircle(piece) ? own : welded;
            there = new OutlineWeld(
                    piece.paths().stream()
                            .map(path -> new TurnedPath(path, motion.apply(piece, path), fine))
                            .toList(),
                    OutlineWeld.ASKED * 2 * art.half());
            asked.put(id, there);
        }
        return there;
    }

    /** Whether its welds lead back to it: then, where another follows it, it goes by itself. */
    private boolean inCircle(HeadPiece piece) {
        Set<String> seen = new HashSet<>();
        Optional<String> at = Optional.of(piece.part().id());
        while (at.isPresent() && seen.add(at.get())) {
            at = Optional.ofNullable(art.pieces().get(at.get()))
                    .flatMap(HeadPiece::weld)
                    .flatMap(Weld::to);
        }
        return at.isPresent();
    }
}
