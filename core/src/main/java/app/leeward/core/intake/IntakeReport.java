package app.leeward.core.intake;

import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Optional;

/** Everything the Intake bench shows about a character, measured from its art as it is. */
public record IntakeReport(
        List<SlotBoard.Group> slots,
        List<Recognition> guesses,
        SideCheck sides,
        Optional<Axis> axis,
        Optional<CanvasFit> standing,
        List<NearColours> nearColours,
        List<Stray> strays) {
    public static IntakeReport of(Character c) {
        Optional<Axis> axis = AxisFinder.find(c);
        return new IntakeReport(
                SlotBoard.of(c),
                Recognitions.in(c),
                SideCheck.of(c),
                axis,
                CanvasFit.of(c, axis),
                NearColours.in(c.sheet().palette()),
                Strays.in(c));
    }
}
