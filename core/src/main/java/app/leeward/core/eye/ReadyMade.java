package app.leeward.core.eye;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Dials for eyes and brows that are made on request, from the pieces as they stand. How far they go is common practice, no source. */
public enum ReadyMade {
    /** −1 wide to 1 narrow: white, window and outline together about the eye's centre, lids with them. */
    SQUINT("squint", "Squint", -1, 1, 0) {
        @Override
        void pose(EyePieces eye, Map<String, Offset> least, Map<String, Offset> most) {
            Optional<Box> white = bounds(eye, PartRole.WHITE);
            if (white.isEmpty()) {
                return;
            }
            double middle = white.get().centre().y();
            for (Part p : eye.pieces()) {
                switch (p.role()) {
                    case WHITE, EYE_OUTLINE, LASHES -> most.put(p.id(), grown(p.pivot(), middle, 1, NARROW));
                    case UPPER_LID ->
                        most.put(
                                p.id(),
                                Offset.shift(0, (1 - NARROW) / 2 * white.get().height()));
                    case LOWER_LID ->
                        most.put(
                                p.id(),
                                Offset.shift(0, -(1 - NARROW) / 2 * white.get().height()));
                    // a wide eye grows whole, lids too, so that it still shuts; what looks out of it does not grow
                    case IRIS, PUPIL, HIGHLIGHT -> least.put(p.id(), new Offset(0, 0, 0, 1, 1 / WIDE, 0, 1));
                    default -> {}
                }
            }
            least.put(eye.eye().id(), grown(eye.eye().pivot(), middle, 1, WIDE));
        }
    },
    /** How large the pupils are, in shares of their drawn size. */
    PUPIL_SIZE("pupil-size", "Pupil size", 0.5, 1.6, 1) {
        @Override
        void pose(EyePieces eye, Map<String, Offset> least, Map<String, Offset> most) {
            eye.piece(PartRole.PUPIL).ifPresent(p -> {
                least.put(p.id(), new Offset(0, 0, 0, 0.5, 0.5, 0, 1));
                most.put(p.id(), new Offset(0, 0, 0, 1.6, 1.6, 0, 1));
            });
        }
    },
    /** 0 to 1: both eyes look at the tip of the nose. */
    CONVERGENCE("convergence", "Convergence", 0, 1, 0) {
        @Override
        void pose(EyePieces eye, Map<String, Offset> least, Map<String, Offset> most) {
            Optional<Box> white = bounds(eye, PartRole.WHITE);
            int inwards =
                    switch (eye.eye().side()) {
                        case LEFT -> -1;
                        case RIGHT -> 1;
                        case NONE -> 0;
                    };
            if (white.isPresent() && inwards != 0) {
                for (Part p : eye.pieces()) {
                    if (p.role() == PartRole.IRIS || p.role() == PartRole.PUPIL || p.role() == PartRole.HIGHLIGHT) {
                        most.put(
                                p.id(),
                                Offset.shift(inwards * INWARDS * white.get().width(), 0));
                    }
                }
            }
        }
    },
    /** −1 lowered to 1 raised. */
    BROW_RAISE("brow-raise", "Brows raise", -1, 1, 0) {
        @Override
        void brow(Part brow, Box at, Map<String, Offset> least, Map<String, Offset> most) {
            most.put(brow.id(), Offset.shift(0, -RAISED * at.width()));
            least.put(brow.id(), Offset.shift(0, LOWERED * at.width()));
        }
    },
    /** −1 inner ends down, as in anger, to 1 inner ends up, as in worry; about the outer corner. */
    BROW_TILT("brow-tilt", "Brows tilt", -1, 1, 0) {
        @Override
        void brow(Part brow, Box at, Map<String, Offset> least, Map<String, Offset> most) {
            // an inner end left of its pivot goes up when it is turned clockwise
            int up = at.centre().x() < brow.pivot().x() ? 1 : -1;
            most.put(brow.id(), new Offset(0, 0, up * TILTED, 1, 1, 0, 1));
            least.put(brow.id(), new Offset(0, 0, -up * TILTED, 1, 1, 0, 1));
        }
    };

    private static final double NARROW = 0.5;
    private static final double WIDE = 1.14;
    /** Shares of the white's width, and of the brow's. */
    private static final double INWARDS = 0.16;

    private static final double RAISED = 0.3;
    private static final double LOWERED = 0.16;
    private static final double TILTED = 15;

    private final String id;
    private final String words;
    private final double from;
    private final double to;
    private final double rest;

    ReadyMade(String id, String words, double from, double to, double rest) {
        this.id = id;
        this.words = words;
        this.from = from;
        this.to = to;
        this.rest = rest;
    }

    /** The dial's id. */
    public String id() {
        return id;
    }

    /** The dial's name. */
    public String words() {
        return words;
    }

    void pose(EyePieces eye, Map<String, Offset> least, Map<String, Offset> most) {}

    void brow(Part brow, Box at, Map<String, Offset> least, Map<String, Offset> most) {}

    private static Optional<Box> bounds(EyePieces eye, PartRole role) {
        return eye.piece(role).flatMap(Part::bounds);
    }

    /** Grown about the pivot and moved so that the middle stays where it was. */
    private static Offset grown(Point pivot, double middle, double scaleX, double scaleY) {
        return new Offset(0, (middle - pivot.y()) * (1 - scaleY), 0, scaleX, scaleY, 0, 1);
    }

    /** The character with this dial, made anew when it had one; empty when it has no piece for it to pose. */
    public Optional<Character> addTo(Character c) {
        Map<String, Offset> least = new HashMap<>();
        Map<String, Offset> most = new HashMap<>();
        EyePieces.of(c).forEach(eye -> pose(eye, least, most));
        for (Part p : c.parts()) {
            if (p.role() == PartRole.BROW) {
                p.bounds().ifPresent(at -> brow(p, at, least, most));
            }
        }
        if (most.isEmpty()) {
            return Optional.empty();
        }
        List<Stop> stops = new ArrayList<>();
        if (from < rest) {
            stops.add(new Stop(from, least));
        }
        stops.add(new Stop(to, most));
        List<Dial> dials = new ArrayList<>(c.dials());
        dials.removeIf(d -> d.id().equals(id));
        dials.add(new Dial(id, words, Purpose.OWN, from, to, rest, "", stops, List.of()));
        return Optional.of(c.withDials(dials, c.pads()));
    }
}
