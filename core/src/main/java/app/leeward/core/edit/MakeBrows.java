package app.leeward.core.edit;

import app.leeward.core.eye.ReadyMade;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Adds every ready-made dial for brows at once: raise, tilt, bend at three points, together. */
public record MakeBrows() implements EyeEdit {
    private static final List<ReadyMade> ALL = List.of(
            ReadyMade.BROW_RAISE,
            ReadyMade.BROW_TILT,
            ReadyMade.BROW_INNER,
            ReadyMade.BROW_MIDDLE,
            ReadyMade.BROW_OUTER,
            ReadyMade.BROW_TOGETHER);

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Made the dials of the brows";
    }

    @Override
    public Outcome on(Character before) {
        Character now = before;
        for (ReadyMade dial : ALL) {
            boolean there = before.dial(dial.id()).isPresent()
                    || before.dial(dial.id() + "-left").isPresent();
            Optional<Character> made = there ? Optional.of(now) : dial.addTo(now);
            if (made.isEmpty()) {
                return new Outcome.Refused(RefusalCode.NO_PIECES, "There is no brow to move.");
            }
            now = made.get();
        }
        return new Outcome.Done(now);
    }
}
