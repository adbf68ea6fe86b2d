package app.leeward.core.eye;

import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiConsumer;

/** Dials for the features of a face that are made on request, from the pieces as they stand. */
public enum ReadyMade {
    /** −1 wide to 1 narrow: white, window and outline together about the eye's centre, lids with them. */
    SQUINT("squint", "Squint", "eye", -1, 1, 0, EyeMoves::squint),
    /** How large the pupils are, in shares of their drawn size. */
    PUPIL_SIZE("pupil-size", "Pupil size", "pupil", 0.5, 1.6, 1, EyeMoves::pupilSize),
    /** 0 to 1: both eyes look at the tip of the nose. */
    CONVERGENCE("convergence", "Convergence", "pair of eyes", 0, 1, 0, EyeMoves::convergence),
    /** 0 open to 1 shut: the upper lids alone. */
    UPPER_LIDS(
            "lids-upper",
            "Upper lids",
            "upper lid that travels",
            0,
            1,
            0,
            (c, m) -> EyeMoves.lids(c, PartRole.UPPER_LID, m)),
    /** 0 open to 1 where they meet the upper ones: the lower lids alone. */
    LOWER_LIDS(
            "lids-lower",
            "Lower lids",
            "lower lid that travels",
            0,
            1,
            0,
            (c, m) -> EyeMoves.lids(c, PartRole.LOWER_LID, m)),
    /** −1 lowered to 1 raised. */
    BROW_RAISE("brow-raise", "Brows raise", "brow", -1, 1, 0, FaceMoves::raise),
    /** −1 inner ends down, as in anger, to 1 inner ends up, as in worry; about the outer corner. */
    BROW_TILT("brow-tilt", "Brows tilt", "brow", -1, 1, 0, FaceMoves::tilt),
    /** −1 bent down to 1 bent up at the inner end. */
    BROW_INNER("brow-inner", "Brows inner", "brow", -1, 1, 0, (c, m) -> FaceMoves.bend(c, 0, m)),
    /** −1 bent down to 1 bent up in the middle. */
    BROW_MIDDLE("brow-middle", "Brows mid", "brow", -1, 1, 0, (c, m) -> FaceMoves.bend(c, 1, m)),
    /** −1 bent down to 1 bent up at the outer end. */
    BROW_OUTER("brow-outer", "Brows outer", "brow", -1, 1, 0, (c, m) -> FaceMoves.bend(c, 2, m)),
    /** −1 apart to 1 drawn together. */
    BROW_TOGETHER("brow-together", "Brows close", "brow", -1, 1, 0, FaceMoves::together),
    /** 0 to 1 raised. */
    CHEEKS("cheeks", "Cheeks", "cheek that can rise", 0, 1, 0, FaceMoves::cheeks),
    /** 0 to 1 wrinkled up. */
    NOSE("nose", "Nose wrinkle", "nose", 0, 1, 0, FaceMoves::nose),
    /** −1 corners down to 1 corners up. */
    MOUTH_CORNERS("mouth-corners", "Mouth corners", "mouth", -1, 1, 0, FaceMoves::corners),
    /** −1 narrow to 1 stretched. */
    MOUTH_WIDTH("mouth-width", "Mouth width", "mouth", -1, 1, 0, FaceMoves::width),
    /** 0 to 1 pressed together. */
    LIPS_TIGHT("lips-tight", "Lips tight", "mouth", 0, 1, 0, FaceMoves::tight),
    /** 0 to 1 lowered. */
    LOWER_LIP("lower-lip", "Lower lip", "mouth", 0, 1, 0, FaceMoves::lowerLip),
    /** 0 shut to 1 wide open, by the mouths drawn for it; a line being spoken goes before it. */
    JAW("jaw", "Jaw drop", "mouth for “eh” and “ah”", 0, 1, 0, FaceMoves::jaw);

    private final String id;
    private final String words;
    private final String needs;
    private final double from;
    private final double to;
    private final double rest;
    private final BiConsumer<Character, Moves> pose;

    ReadyMade(
            String id,
            String words,
            String needs,
            double from,
            double to,
            double rest,
            BiConsumer<Character, Moves> pose) {
        this.id = id;
        this.words = words;
        this.needs = needs;
        this.from = from;
        this.to = to;
        this.rest = rest;
        this.pose = pose;
    }

    /** The dial's id. */
    public String id() {
        return id;
    }

    /** The dial's name. */
    public String words() {
        return words;
    }

    /** The piece it cannot do without, in a rigger's words. */
    public String needs() {
        return needs;
    }

    private Moves on(Character c) {
        Moves moves = new Moves();
        pose.accept(c, moves);
        return moves;
    }

    /** What it does to each part at a value; empty when the character has no piece for it to pose. */
    public Map<String, Offset> offsets(Character c, double value) {
        Moves moves = on(c);
        boolean up = value >= rest;
        double share = up ? (value - rest) / (to - rest) : (rest - value) / (rest - from);
        Map<String, Offset> at = new TreeMap<>();
        (up ? moves.most() : moves.least()).forEach((part, o) -> at.put(part, Offset.NONE.towards(o, share)));
        return at;
    }

    /** How it reshapes the outlines of each part at a value. */
    public Map<String, List<PointDeltas>> outlines(Character c, double value) {
        double share = Math.max(0, (value - rest) / (to - rest));
        Map<String, List<PointDeltas>> at = new TreeMap<>();
        on(c).mostOutlines()
                .forEach((part, all) ->
                        at.put(part, all.stream().map(d -> d.times(share)).toList()));
        return at;
    }

    /** The drawings it exchanges on its way. */
    public List<Bands> bands(Character c) {
        return on(c).bands();
    }

    /** The character with this dial, made anew when it had one; empty when it has no piece for it to pose. */
    public Optional<Character> addTo(Character c) {
        Moves moves = on(c);
        if (moves.isEmpty()) {
            return Optional.empty();
        }
        List<Stop> stops = new ArrayList<>();
        if (from < rest) {
            stops.add(new Stop(from, moves.least()));
        }
        stops.add(new Stop(to, moves.most()).withReshapes(moves.mostOutlines()));
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        dials.removeIf(d -> d.id().equals(id));
        dials.add(new Dial(id, words, Purpose.OWN, from, to, rest, "", stops, moves.bands()));
        return Optional.of(c.withDials(dials, c.controls().pads()));
    }
}
