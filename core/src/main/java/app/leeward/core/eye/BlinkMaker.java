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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * Makes the blink dial, 0 open to 1 closed. Lids travel until they cover the white; eyes whose lids are sets of drawings
 * step through them, and so do eyes with drawings of themselves shutting; eyes without lids are squashed shut. What an eye had to do without is noted.
 */
public final class BlinkMaker {
    public static final String DIAL = "blink";
    /** How flat an eye without lids becomes. */
    private static final double SQUASHED = 0.06;

    private final Map<String, Offset> closed = new HashMap<>();
    private final List<Bands> bands = new ArrayList<>();
    private final List<Note> notes = new ArrayList<>();

    private BlinkMaker() {}

    /** The character with a blink dial; unchanged when it has no eye. */
    public static Character addTo(Character c) {
        List<EyePieces> eyes = EyePieces.of(c);
        if (eyes.isEmpty()) {
            return c;
        }
        BlinkMaker maker = new BlinkMaker();
        eyes.forEach(maker::close);
        Dial dial =
                new Dial(DIAL, "Blink", Purpose.BLINK, 0, 1, 0, "", List.of(new Stop(1, maker.closed)), maker.bands);
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

    private void close(EyePieces eye) {
        if (eye.blink().isPresent()) {
            over(eye.blink().get());
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
        if (!shut) {
            closed.put(eye.eye().id(), Offset.placed(0, 0, 0, 1, SQUASHED, 0, 1));
            notes.add(new Note(
                    "blink-squashed",
                    eye.eye().name(),
                    upper.isEmpty()
                            ? "No upper lid: the blink squashes the whole eye flat."
                            : "The lids are too small to cover the white: the blink squashes the whole eye flat."));
        }
    }

    /** In the eye's coordinates, where the piece rests. */
    private static Geometry standing(Part part) {
        return Overlap.placed(LidCover.fill(part), part.restMatrix());
    }

    private boolean travel(EyePieces eye, Part white, Part upper, Optional<Part> lower) {
        Geometry fill = standing(white);
        Geometry upperFill = standing(upper);
        if (lower.isPresent()) {
            Geometry lowerFill = standing(lower.get());
            Optional<Double> up = LidCover.travel(LidCover.beyondMeeting(fill, false), lowerFill, -1);
            if (up.isPresent()) {
                Geometry left = Regions.without(fill, LidCover.moved(lowerFill, -up.get()));
                Optional<Double> down = LidCover.travel(left, upperFill, 1);
                if (down.isPresent()) {
                    closed.put(upper.id(), Offset.shift(0, down.get()));
                    closed.put(lower.get().id(), Offset.shift(0, -up.get()));
                    return true;
                }
            }
        }
        Optional<Double> down = LidCover.travel(fill, upperFill, 1);
        down.ifPresent(d -> closed.put(upper.id(), Offset.shift(0, d)));
        if (down.isPresent()) {
            notes.add(new Note(
                    "blink-upper-only",
                    eye.eye().name(),
                    lower.isEmpty()
                            ? "No lower lid: the blink uses the upper lid alone."
                            : "The lower lid is too small to meet the upper one: the blink uses the upper lid alone."));
        }
        return down.isPresent();
    }

    /** Drawings that come over the open eye one after the other, from nearly open to shut; the last is there at the end. */
    private void over(Part blink) {
        int n = blink.drawings().size();
        List<Band> steps = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double to = i + 1 == n ? 1 : (i + 2.0) / (n + 1);
            steps.add(new Band((i + 1.0) / (n + 1), to, blink.drawings().get(i).id()));
        }
        bands.add(new Bands(blink.id(), steps));
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
