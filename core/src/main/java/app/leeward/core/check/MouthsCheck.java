package app.leeward.core.check;

import app.leeward.core.edit.MendMouth;
import app.leeward.core.lips.MouthFinding;
import app.leeward.core.lips.MouthSet;
import app.leeward.core.lips.OnModel;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.stream.Stream;

/** Mouths: teeth, lips, lines, colours and windows of every mouth as the starting mouth has them. */
final class MouthsCheck implements Check {
    @Override
    public String id() {
        return "mouths";
    }

    @Override
    public Harm harm(String code) {
        return Harm.MOVES;
    }

    @Override
    public Stream<Fault> find(Character c) {
        String part = MouthSet.part(c).map(Part::id).orElse("");
        return OnModel.of(c).stream().map(f -> fault(part, f));
    }

    private static Fault fault(String part, MouthFinding f) {
        // what cannot be measured is there or is not
        double by = f.by() == 0 ? 1 : Math.abs(f.by());
        Fault plain = new Fault(
                Check.code(f.kind()),
                Subject.drawing(part, f.drawing()),
                new Measure(by, f.by() == 0 ? Unit.COUNT : unit(f.kind())),
                f.message());
        return f.mendable() ? plain.trying(label(f.kind()), new MendMouth(f.drawing(), f.kind())) : plain;
    }

    private static Unit unit(MouthFinding.Kind kind) {
        return switch (kind) {
            case TEETH_MOVED, LOWER_TEETH_OFF, WINDOW_OFF -> Unit.UNITS;
            case TEETH_SIZE, OUTLINE_LENGTH, LINE_WEIGHT -> Unit.SHARE;
            case COLOUR, POINTS -> Unit.COUNT;
        };
    }

    private static String label(MouthFinding.Kind kind) {
        return switch (kind) {
            case TEETH_MOVED, TEETH_SIZE -> "Put the teeth back";
            case LOWER_TEETH_OFF -> "Put the lower teeth back";
            case WINDOW_OFF -> "Snap the window";
            case LINE_WEIGHT -> "Take the line's weight";
            case COLOUR -> "Put the colours back";
            case POINTS -> "Match the points";
            case OUTLINE_LENGTH -> "Shape the lips";
        };
    }
}
