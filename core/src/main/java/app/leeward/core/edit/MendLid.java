package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.eye.BlinkMaker;
import app.leeward.core.eye.LidMender;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Enlarges a lid until it covers its white with some to spare, and lets the blink use its new way. */
public record MendLid(String part) implements EyeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Enlarged " + Edits.nameOf(before, part) + " to cover the white";
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> lid = before.part(part);
        if (lid.isEmpty()) {
            return Edits.noPart(part);
        }
        Optional<Artwork> art = LidMender.mended(before, part);
        if (art.isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_LID,
                    lid.get().name() + " is no lid with a fill over a white, so there is nothing to enlarge.");
        }
        List<Drawing> drawings = lid.get().drawings().stream()
                .map(d ->
                        d.id().equals(lid.get().shown()) || lid.get().drawings().size() == 1 ? d.withArt(art.get()) : d)
                .toList();
        Character mended = before.withPart(part, p -> p.withDrawings(drawings, p.shown()));
        return new Outcome.Done(BlinkMaker.addTo(mended));
    }
}
