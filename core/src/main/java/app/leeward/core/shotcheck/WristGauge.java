package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.hand.ActedWrists;
import app.leeward.core.hand.Hands;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Locale;

/** A wrist that opens while its hand is turned. */
final class WristGauge implements Gauge {
    private final Character character;
    private final ActedWrists wrists;

    WristGauge(Character character, List<Hands.Hand> measured) {
        this.character = character;
        wrists = new ActedWrists(character, measured);
    }

    @Override
    public List<Reading> read(List<Exposure> s, int i) {
        return wrists.open(s.get(i).picture()).stream()
                .map(o -> new Reading(
                        "wrist-open",
                        Subject.drawing(o.hand(), o.drawing()),
                        new Measure(o.width(), Unit.UNITS),
                        String.format(
                                Locale.ROOT,
                                "The wrist of %s opens by %.1f; more than %.1f shows.",
                                character.part(o.hand()).orElseThrow().name(),
                                o.width(),
                                o.most())))
                .toList();
    }
}
