package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.lips.MouthFinding;
import app.leeward.core.lips.MouthMender;
import app.leeward.core.lips.MouthSet;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.Optional;
import java.util.Set;

/** Puts one mouth back on model in one respect. */
public record MendMouth(String drawing, MouthFinding.Kind finding) implements MouthEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.MOUTHS.all());
    }

    @Override
    public String describe(Character before) {
        String name = MouthSet.part(before)
                .flatMap(p -> p.drawing(drawing))
                .map(Drawing::name)
                .orElse(drawing);
        return switch (finding) {
            case TEETH_MOVED, TEETH_SIZE -> "Put the upper teeth of " + name + " back";
            case LOWER_TEETH_OFF -> "Put the lower teeth of " + name + " with the jaw";
            case WINDOW_OFF -> "Snapped the window of " + name + " to its outline";
            case LINE_WEIGHT -> "Gave " + name + " the line of the starting mouth";
            case COLOUR -> "Gave " + name + " the colours of the starting mouth";
            case POINTS -> "Matched the points of " + name;
            case OUTLINE_LENGTH -> "Mended the outline of " + name;
        };
    }

    @Override
    public Outcome on(Character before) {
        Part mouth = MouthSet.part(before).orElse(null);
        Optional<Drawing> start = MouthSet.start(before);
        Optional<Drawing> broken = Optional.ofNullable(mouth).flatMap(p -> p.drawing(drawing));
        if (start.isEmpty() || broken.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "The mouth has no drawing '" + drawing + "' any more.");
        }
        return MakeMouths.make(() -> {
            Artwork mended =
                    MouthMender.mended(broken.get().art(), start.get().art().inShapes(), finding);
            return before.withPart(
                    mouth.id(),
                    p -> p.withDrawings(
                            p.drawings().stream()
                                    .map(d -> d.id().equals(drawing) ? d.withArt(mended) : d)
                                    .toList(),
                            p.shown()));
        });
    }
}
