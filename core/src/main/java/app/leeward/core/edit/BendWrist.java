package app.leeward.core.edit;

import app.leeward.core.hand.Hands;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.WristBend;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Lets a hand's wrist bend: what is near it stays with the forearm. The wrists of all its drawings are kept where they are found.
 *
 * @param reach how far past the wrist's line, in widths of the wrist; 0 for a hand that turns as one piece
 */
public record BendWrist(String part, double reach) implements HandEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.BEND.of(part), Facet.WRIST.of(part));
    }

    @Override
    public String describe(Character before) {
        return reach == 0
                ? Edits.nameOf(before, part) + " turns as one piece"
                : String.format(
                        Locale.ROOT,
                        "The wrist of %s bends over %.0f %% of its width",
                        Edits.nameOf(before, part),
                        100 * reach);
    }

    @Override
    public Outcome on(Character before) {
        if (before.part(part).isEmpty()) {
            return Edits.noPart(part);
        }
        if (!(reach >= 0 && reach <= WristBend.FURTHEST)) {
            return new Outcome.Refused(
                    RefusalCode.REACH,
                    String.format(
                            Locale.ROOT,
                            "A wrist bends over 0 to %.0f %% of its width, not %.0f %%.",
                            100 * WristBend.FURTHEST,
                            100 * reach));
        }
        Optional<WristBend> there = before.wristBend(part);
        if (reach == 0) {
            return Edits.onPart(before, part, p -> p.withWristBend(Optional.empty()));
        }
        Character found = Hands.withWristsFound(before, part);
        if (found.part(part).orElseThrow().drawings().stream()
                .allMatch(d -> d.wrist().isEmpty())) {
            return new Outcome.Refused(
                    RefusalCode.NO_WRIST, "None of its drawings has a wrist; put the two points of one first.");
        }
        WristBend bend = new WristBend(reach, there.map(WristBend::weights).orElse(List.of()));
        return Edits.onPart(found, part, p -> p.withWristBend(Optional.of(bend)));
    }
}
