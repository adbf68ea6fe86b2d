package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.cue.Blink;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A blink whose shut frame falls between two exposures, so that no photographed frame shows the eye shut. */
final class BlinkReview implements Review {
    private static final String CODE = "blink-never-shuts";
    private final Shot shot;

    BlinkReview(Shot shot) {
        this.shot = shot;
    }

    @Override
    public List<ShotFinding> of(ShownDrawings shown) {
        List<ShotFinding> out = new ArrayList<>();
        for (Blink b : shot.tracks().blinks()) {
            double most = 0;
            int at = b.frame();
            for (int f = 0; f < b.frames(); f++) {
                int frame = b.frame() + f;
                if (frame % shot.rules().exposure() == 0 && frame < shot.frames() && b.shut(frame) > most) {
                    most = b.shut(frame);
                    at = frame;
                }
            }
            if (most < 1 && b.within(shot.frames())) {
                out.add(new ShotFinding(
                        CODE,
                        Subject.WHOLE,
                        new Measure(1 - most, Unit.SHARE),
                        b.frame(),
                        b.end(),
                        at,
                        String.format(
                                Locale.ROOT,
                                "The blink at frame %d is never photographed shut: %.0f %% at most, since its shut frame"
                                        + " falls between two exposures.",
                                b.frame() + 1,
                                100 * most)));
            }
        }
        return out;
    }

    @Override
    public List<Remedy> remedies(ShotFinding f) {
        Optional<Blink> blink = shot.tracks().blinks().stream()
                .filter(b -> f.code().equals(CODE) && b.frame() == f.from())
                .findFirst();
        return blink.stream()
                .map(b -> b.photographed(shot.rules().exposure()))
                .map(b -> Remedy.of(
                        "Begin it at frame " + (b.frame() + 1),
                        new ShotEdit.SetBlink(blink.get().frame(), b)))
                .toList();
    }
}
