package app.leeward.core.edit;

import app.leeward.core.eye.EyeBuilder;
import app.leeward.core.intake.Offer;
import app.leeward.core.intake.Reading;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Set;

/** Makes every eye whole: whites from outlines, lids from whites, a missing eye from the other; then masks and dials. */
public record BuildEyes() implements EyeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        int made = EyeBuilder.build(before).made().size();
        return "Made the eyes whole with " + made + (made == 1 ? " piece" : " pieces");
    }

    @Override
    public Outcome on(Character before) {
        EyeBuilder.Built built = EyeBuilder.build(before);
        if (built.made().isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.EYES_WHOLE,
                    "There is nothing to make: every eye has a white and shuts, or there is no outline or white to make"
                            + " them from.");
        }
        List<Offer> offers = built.made().stream()
                .map(id -> built.character().part(id).orElseThrow())
                .filter(p -> !p.drawings().isEmpty())
                .map(p -> new Offer(p.id(), p.role(), p.side()))
                .toList();
        return new Outcome.Done(Reading.as(built.character(), offers));
    }
}
