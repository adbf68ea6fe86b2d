package app.leeward.core.check;

import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.MendLid;
import app.leeward.core.edit.MirrorSide;
import app.leeward.core.eye.EyeCheck;
import app.leeward.core.eye.EyeFinding;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.Optional;
import java.util.stream.Stream;

/** Eyes: shut is shut at every look and turn, no pupil is lost, the two are alike. */
final class EyesCheck implements Check {
    @Override
    public String id() {
        return "eyes";
    }

    @Override
    public Harm harm(String code) {
        return code.equals("not-mirrored") ? Harm.UNTIDY : code.equals("lid-short") ? Harm.MOVES : Harm.BREAKS;
    }

    @Override
    public Stream<Fault> find(Character c) {
        return EyeCheck.of(c).stream().map(f -> fault(c, f));
    }

    private static Fault fault(Character c, EyeFinding f) {
        Fault plain = new Fault(
                        code(f.kind()),
                        Subject.part(f.part()),
                        new Measure(f.measure(), unit(f.kind())),
                        Check.sentence(f.message()))
                .seenAt(f.at())
                .outlined(f.where());
        return switch (f.kind()) {
            case UNCOVERED, HAIRLINE -> plain.trying("Enlarge the lid", new MendLid(f.part()));
            case LID_SHORT ->
                plain.trying("Enlarge the lid", new MendLid(f.part())).trying("Make the lids", new BuildEyes());
            // of two unlike eyes only the rigger knows the good one
            case NOT_MIRRORED -> {
                Optional<String> right = c.part(PartRole.EYE, Side.RIGHT).map(Part::id);
                Fault one = plain.trying("Right from left", new MirrorSide(f.part()));
                yield right.map(r -> one.trying("Left from right", new MirrorSide(r)))
                        .orElse(one);
            }
            case PUPIL_LOST, NO_FILL, BAD_OUTLINE, NO_PUPIL -> plain;
        };
    }

    /** A hairline is the last of the white that shows. */
    private static String code(EyeFinding.Kind kind) {
        return kind == EyeFinding.Kind.UNCOVERED || kind == EyeFinding.Kind.HAIRLINE ? "white-shows" : Check.code(kind);
    }

    private static Unit unit(EyeFinding.Kind kind) {
        return switch (kind) {
            case UNCOVERED, HAIRLINE -> Unit.SQUARE_UNITS;
            case PUPIL_LOST -> Unit.SHARE;
            case NOT_MIRRORED -> Unit.UNITS;
            case LID_SHORT, NO_FILL, BAD_OUTLINE, NO_PUPIL -> Unit.COUNT;
        };
    }
}
