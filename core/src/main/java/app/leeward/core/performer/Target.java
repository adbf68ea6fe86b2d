package app.leeward.core.performer;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.rig.Character;
import app.leeward.core.signal.Driven;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Something of a rig that can be driven.
 *
 * @param degrees whether it is told in degrees
 * @param shuts whether it is a blink, which a lid does or does not
 */
public record Target(double from, double to, double rest, boolean degrees, boolean shuts) {
    private static final Target LOOK = new Target(-1, 1, 0, false, false);

    public static Target of(Dial dial) {
        return new Target(
                dial.from(), dial.to(), dial.rest(), dial.unit().equals("°"), dial.purpose() == Purpose.BLINK);
    }

    /** All a character has. */
    public static Map<Driven, Target> of(Character character) {
        Map<Driven, Target> all = new LinkedHashMap<>();
        character.controls().dials().forEach(d -> all.put(new Driven.OfDial(d.id()), of(d)));
        character.library().looks().forEach(l -> all.put(new Driven.OfLook(l.id()), LOOK));
        return all;
    }
}
