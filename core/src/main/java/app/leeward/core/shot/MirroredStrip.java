package app.leeward.core.shot;

import app.leeward.core.art.Drawing;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DialSides;
import app.leeward.core.rig.Mirror;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A strip acted to the other side: what looked left looks right, and each hand does what the other one did. */
public final class MirroredStrip {
    private MirroredStrip() {}

    public static Strip of(Character c, Strip strip) {
        Tracks tracks = strip.tracks();
        Tracks mirrored = tracks.withDials(Map.of()).withDrawings(Map.of());
        for (Map.Entry<String, List<DialKey>> e : tracks.dials().entrySet()) {
            Optional<Dial> dial = c.dial(e.getKey());
            mirrored = mirrored.withKeys(
                    dial(c, e.getKey()),
                    e.getValue().stream().map(k -> mirrored(c, dial, k)).toList());
        }
        for (Map.Entry<String, List<HeldDrawing>> e : tracks.drawings().entrySet()) {
            mirrored = mirrored.withDrawings(
                    part(c, e.getKey()),
                    e.getValue().stream()
                            .map(h -> new HeldDrawing(h.from(), h.to(), drawing(c, e.getKey(), h.drawing()), h.in()))
                            .toList());
        }
        return new Strip(
                strip.frames(), strip.of().stream().map(t -> track(c, t)).toList(), mirrored);
    }

    private static Track track(Character c, Track track) {
        return switch (track.sort()) {
            case DIAL -> Track.dial(dial(c, track.of()));
            case DRAWINGS -> Track.drawings(part(c, track.of()));
            default -> track;
        };
    }

    private static String dial(Character c, String dial) {
        return DialSides.otherHalf(c, dial).orElse(dial);
    }

    /** A dial that goes from side to side goes as far to the other one; where its range ends earlier there it holds. */
    private static double value(Character c, Optional<Dial> dial, double value) {
        return across(c, dial) ? dial.get().hold(2 * dial.get().rest() - value) : value;
    }

    private static boolean across(Character c, Optional<Dial> dial) {
        return dial.filter(d -> d.purpose() == Purpose.TURN
                        || d.purpose() == Purpose.GAZE_ACROSS
                        || c.controls().pads().stream().anyMatch(p -> p.across().equals(d.id())))
                .isPresent();
    }

    private static DialKey mirrored(Character c, Optional<Dial> dial, DialKey k) {
        double value = value(c, dial, k.value());
        double way = across(c, dial) ? -1 : 1;
        return new DialKey(k.frame(), value, k.way(), way * k.bow() + 0.0, Optional.empty());
    }

    private static String part(Character c, String part) {
        return c.part(part).flatMap(p -> Mirror.twinOf(c, p)).map(Part::id).orElse(part);
    }

    /** The drawing of the other part that is called as this one is, with its sides exchanged where it names one. */
    private static String drawing(Character c, String part, String drawing) {
        Optional<Part> from = c.part(part);
        Optional<Part> to = from.flatMap(p -> Mirror.twinOf(c, p));
        if (to.isEmpty()) {
            return drawing;
        }
        String name = from.get().drawing(drawing).map(Drawing::name).orElse(drawing);
        List<Drawing> all = to.get().drawings();
        return all.stream()
                .filter(d -> d.name().equals(Mirror.otherSide(name)))
                .findFirst()
                .or(() -> all.stream().filter(d -> d.name().equals(name)).findFirst())
                .or(() -> all.stream().filter(d -> d.id().equals(drawing)).findFirst())
                .map(Drawing::id)
                .orElse(drawing);
    }
}
