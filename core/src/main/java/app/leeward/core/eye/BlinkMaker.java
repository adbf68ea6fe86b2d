package app.leeward.core.eye;

import app.leeward.core.art.Regions;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DialSides;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.locationtech.jts.geom.Geometry;

/**
 * Makes the blink dial, 0 open to 1 closed. Lids travel until they cover the white, and a line round the eye follows their edges; eyes whose
 * lids are sets of drawings step through them, and so do eyes with drawings of themselves shutting. Where no lid covers the white, its
 * contours come together ({@link EyeOpening}); a dot is squashed. What an eye had to do without is noted.
 */
public final class BlinkMaker {
    public static final String DIAL = "blink";
    /** How flat an eye without lids becomes. */
    private static final double SQUASHED = 0.06;

    /** Where lids meet, as shares of the white's height: the first at which both are large enough. */
    private static final double[] MEETINGS = {LidCover.MEETING, 0.66, 0.78, 0.6, 0.84, 0.54, 0.9, 0.48};
    /** Values of the dial at which a line that follows lids is told where to be. */
    private static final double[] STEPS = {0.25, 0.5, 0.75, 1};

    /** The most of the white that may be let go of instead of covered. */
    private static final double UNCOVERED = 0.2;
    /** From where on it is. */
    private static final double LAST = 0.75;

    private final SortedMap<Double, Stop> stops = new TreeMap<>();
    private final List<Bands> bands = new ArrayList<>();
    private final List<Note> notes = new ArrayList<>();
    private Character character;

    private BlinkMaker(Character c) {
        this.character = c;
    }

    private void change(double at, UnaryOperator<Stop> change) {
        stops.put(at, change.apply(stops.getOrDefault(at, new Stop(at, Map.of()))));
    }

    private void closed(String part, Offset offset) {
        change(1, s -> s.with(part, offset));
    }

    /** The character with a blink dial; unchanged when it has no eye. */
    public static Character addTo(Character before) {
        if (EyePieces.of(before).isEmpty()) {
            return before;
        }
        BlinkMaker maker = new BlinkMaker(before);
        EyePieces.of(maker.character).forEach(maker::close);
        maker.change(1, s -> s);
        Dial dial = new Dial(DIAL, "Blink", Purpose.BLINK, 0, 1, 0, "", List.copyOf(maker.stops.values()), maker.bands);
        Character c = ShutLine.without(maker.character, maker.bands);
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        boolean apart = dials.stream().filter(d -> d.purpose() == Purpose.BLINK).count() > 1;
        int at = 0;
        while (at < dials.size() && dials.get(at).purpose() != Purpose.BLINK) {
            at++;
        }
        dials.removeIf(d -> d.purpose() == Purpose.BLINK);
        dials.add(at, dial);
        List<Note> notes = new ArrayList<>(c.origin().notes());
        // what an earlier blink had to do without may be there now
        notes.removeIf(n -> n.code().startsWith("blink-"));
        notes.addAll(maker.notes);
        Character blinking = c.withDials(dials, c.controls().pads()).withOrigin(origin -> origin.withNotes(notes));
        if (apart && DialSides.canSplit(blinking, dial)) {
            blinking = DialSides.split(blinking, DIAL);
        }
        // lids that also move by themselves go as far as the blink takes them
        for (ReadyMade lids : List.of(ReadyMade.UPPER_LIDS, ReadyMade.LOWER_LIDS)) {
            if (blinking.dial(lids.id()).isPresent()) {
                blinking = lids.addTo(blinking).orElse(blinking);
            }
        }
        return blinking;
    }

    /** Whether nothing of an eye could shut it, so that a blink would squash it flat. */
    static boolean squashes(Character c, EyePieces eye) {
        BlinkMaker maker = new BlinkMaker(c);
        maker.close(eye);
        return maker.notes.stream().anyMatch(n -> n.code().equals("blink-squashed"));
    }

    private void close(EyePieces eye) {
        if (eye.blink().isPresent()) {
            over(eye, eye.blink().get());
            return;
        }
        Optional<Part> white =
                eye.piece(PartRole.WHITE).filter(p -> !p.drawings().isEmpty());
        Optional<Part> upper =
                eye.piece(PartRole.UPPER_LID).filter(p -> !p.drawings().isEmpty());
        Optional<Part> lower =
                eye.piece(PartRole.LOWER_LID).filter(p -> !p.drawings().isEmpty());
        if (upper.isPresent() && upper.get().drawings().size() > 1) {
            step(upper.get());
            lower.filter(l -> l.drawings().size() > 1).ifPresent(this::step);
            return;
        }
        boolean shut = white.isPresent() && upper.isPresent() && travel(eye, white.get(), upper.get(), lower);
        shut |= !shut && white.isPresent() && together(eye, white.get());
        shut |= !shut && white.isPresent() && upper.isPresent() && grow(eye, white.get(), upper.get(), lower);
        if (!shut) {
            closed(eye.eye().id(), Offset.placed(0, 0, 0, 1, SQUASHED, 0, 1));
            notes.add(new Note(
                    "blink-squashed",
                    eye.eye().name(),
                    "There is no white whose contours could come together: the blink squashes the whole eye flat."));
        }
    }

    /** In the eye's coordinates, where the piece rests. */
    private static Geometry standing(Part part) {
        return Regions.transformed(LidCover.fill(part), part.restMatrix());
    }

    private boolean travel(EyePieces eye, Part white, Part upper, Optional<Part> lower) {
        Geometry fill = standing(white);
        Geometry upperFill = standing(upper);
        for (double meeting : lower.isPresent() ? MEETINGS : new double[0]) {
            Geometry lowerFill = standing(lower.get());
            Optional<Double> up = LidCover.travel(LidCover.beyond(fill, meeting), lowerFill, -1);
            if (up.isPresent()) {
                Geometry left = Regions.without(fill, LidCover.moved(lowerFill, -up.get()));
                Optional<Double> down = LidCover.travel(left, upperFill, 1);
                if (down.isPresent()) {
                    closed(upper.id(), Offset.shift(0, down.get()));
                    closed(lower.get().id(), Offset.shift(0, -up.get()));
                    follow(eye, white, upper, down.get(), lowerFill, up.get());
                    return true;
                }
            }
        }
        Optional<Double> down =
                lower.isPresent() && eye.shutsItself() ? Optional.empty() : LidCover.travel(fill, upperFill, 1);
        down.ifPresent(d -> {
            closed(upper.id(), Offset.shift(0, d));
            follow(eye, white, upper, d, fill.getFactory().createPolygon(), 0);
            notes.add(new Note(
                    "blink-upper-only",
                    eye.eye().name(),
                    lower.isEmpty()
                            ? "No lower lid: the blink uses the upper lid alone."
                            : "The lower lid is too small to meet the upper one: the blink uses the upper lid alone."));
        });
        return down.isPresent();
    }

    /** A line round the eye that lies over the lids would stay open like goggles: it goes along with their edges. */
    private void follow(EyePieces eye, Part white, Part upper, double down, Geometry lower, double up) {
        EyeOpening opening = EyeOpening.of(white);
        List<String> order = character.rig().order();
        for (Part line : eye.pieces()) {
            boolean about =
                    (line.role() == PartRole.EYE_OUTLINE || line.role() == PartRole.LASHES) && !ShutLine.made(line);
            if (about && !opening.isEmpty() && order.indexOf(line.id()) > order.indexOf(upper.id())) {
                for (double t : STEPS) {
                    reshape(line, opening, EyeOpening.under(standing(upper), t * down, lower, t * up), t);
                }
            }
        }
    }

    private void reshape(Part part, EyeOpening opening, EyeOpening.Moment moment, double at) {
        opening.moved(part, moment).forEach(deltas -> change(at, s -> s.with(part.id(), deltas)));
    }

    /**
     * Lids that are pictures and too small to travel: the upper one is drawn out to where they meet, the lower one goes up as far as it
     * covers most; of what neither covers the last is let go of, so that the face shows there.
     */
    private boolean grow(EyePieces eye, Part white, Part upper, Optional<Part> lower) {
        Geometry fill = standing(white);
        Geometry upperFill = standing(upper);
        for (double meeting : MEETINGS) {
            Geometry above = Regions.without(fill, LidCover.beyond(fill, meeting));
            Optional<Double> times = LidCover.growth(above, upperFill);
            if (times.isPresent()) {
                Geometry left = Regions.without(fill, LidCover.grown(upperFill, times.get()));
                double up = lower.map(l -> LidCover.best(left, standing(l))).orElse(0.0);
                Geometry open = lower.map(l -> Regions.without(left, LidCover.moved(standing(l), -up)))
                        .orElse(left);
                if (open.getArea() < UNCOVERED * fill.getArea()) {
                    double far = upperFill.getEnvelopeInternal().getMinY();
                    along(eye, white, upper, p -> EyeMoves.grown(p.restMatrix().apply(p.pivot()), far, 1, times.get()));
                    lower.ifPresent(l -> along(eye, white, l, p -> Offset.shift(0, -up)));
                    eye.pieces().stream()
                            .filter(p -> p.equals(white) || EyePieces.looks(p))
                            .forEach(this::letGo);
                    return true;
                }
            }
        }
        return false;
    }

    /** Moves a lid, and what shows of it beyond the white. */
    private void along(EyePieces eye, Part white, Part lid, Function<Part, Offset> offset) {
        for (Part p : eye.pieces()) {
            boolean fold = EyePieces.fold(p, white)
                    && p.drawings().stream().anyMatch(d -> lid.drawings().stream()
                            .anyMatch(l -> l.art().equals(d.art())));
            if (p.equals(lid) || fold) {
                closed(p.id(), offset.apply(p));
            }
        }
    }

    private void letGo(Part p) {
        change(LAST, s -> s.with(p.id(), Offset.NONE));
        closed(p.id(), Offset.placed(0, 0, 0, 1, 1, 0, 0));
    }

    /** Both contours of the eye come together, and what is drawn about them with them. */
    private boolean together(EyePieces eye, Part white) {
        EyeOpening opening = EyeOpening.of(white);
        if (opening.isEmpty() || !eye.shutsItself()) {
            return false;
        }
        boolean line = false;
        for (Part p : eye.about(character, white)) {
            reshape(p, opening, EyeOpening.shut(LidCover.MEETING), 1);
            line |= ShutLine.drawnBy(p, white);
        }
        if (!line) {
            ShutLine made = ShutLine.of(character, eye, opening);
            character = made.character();
            bands.add(made.bands());
        }
        return true;
    }

    /** Drawings that come over the open eye one after the other, from nearly open to shut; the last is there at the end. */
    private void over(EyePieces eye, Part blink) {
        int n = blink.drawings().size();
        List<Band> steps = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double to = i + 1 == n ? 1 : (i + 2.0) / (n + 1);
            steps.add(new Band((i + 1.0) / (n + 1), to, blink.drawings().get(i).id()));
        }
        bands.add(new Bands(blink.id(), steps));
        boolean lined = blink.drawings().get(n - 1).art().shapes().stream()
                .anyMatch(s -> s.stroke().visible());
        // a shut eye with a line of its own is not to look out of the ring of the open one
        for (Part ring : lined ? eye.pieces() : List.<Part>of()) {
            if (ring.role() == PartRole.EYE_OUTLINE && !ring.drawings().isEmpty()) {
                Band last = steps.get(n - 1);
                bands.add(new Bands(ring.id(), List.of(new Band(last.from(), last.to(), Part.NOTHING))));
            }
        }
    }

    /** Drawn lids, in the order they were drawn from open to closed, over equal bands. */
    private void step(Part lid) {
        int n = lid.drawings().size();
        List<Band> steps = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            steps.add(new Band(
                    (double) i / n, (double) (i + 1) / n, lid.drawings().get(i).id()));
        }
        bands.add(new Bands(lid.id(), steps));
    }
}
