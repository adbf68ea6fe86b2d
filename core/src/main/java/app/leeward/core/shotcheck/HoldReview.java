package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.HeldDrawing;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shotcheck.ShownDrawings.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A drawing that is shown for fewer frames than a drawing is held: it flickers. Of the mouth's, those that were pinned one by one, and
 * those the sound asks for all together, since they were weighed against each other when the mouths were put to it.
 */
final class HoldReview implements Review {
    private static final String SHORT = "shorter-than-hold";
    private static final String MOUTHS = "mouths-flicker";

    private final Shot shot;
    private final Character character;
    private final String mouth;

    HoldReview(Playhead playhead) {
        shot = playhead.shot();
        character = playhead.evaluator().character();
        mouth = playhead.mouths()
                .flatMap(m -> character.voice().mouths().part())
                .orElse("");
    }

    @Override
    public List<ShotFinding> of(ShownDrawings shown) {
        List<ShotFinding> out = new ArrayList<>();
        int exposure = shot.rules().exposure();
        List<Run> flickers = new ArrayList<>();
        for (String part : shown.parts()) {
            List<Run> runs = shown.runs(part);
            // what begins or ends with the shot is cut by it
            for (int k = 1; k + 1 < runs.size(); k++) {
                Run r = runs.get(k);
                int frames = (r.to() - r.from()) * exposure;
                if (frames >= least(part, r.from() * exposure) || r.drawing().isEmpty()) {
                    continue;
                }
                if (part.equals(mouth) && !pinned(r.from() * exposure, r.to() * exposure)) {
                    flickers.add(r);
                } else {
                    out.add(told(part, r, frames));
                }
            }
        }
        if (!flickers.isEmpty()) {
            int first = flickers.get(0).from() * exposure;
            int n = flickers.size();
            out.add(new ShotFinding(
                    MOUTHS,
                    Subject.part(mouth),
                    new Measure(n, Unit.COUNT),
                    first,
                    flickers.get(0).to() * exposure,
                    first,
                    (n == 1 ? "1 mouth is" : n + " mouths are") + " held for fewer than "
                            + least(mouth, first)
                            + " frames, where the sound leaves no room; the first at frame " + (first + 1)
                            + heard(flickers.get(0)) + "."));
        }
        return out;
    }

    /** Frames a drawing is held at the least; only mouths are held otherwise along a shot. */
    private int least(String part, int frame) {
        return (part.equals(mouth) ? shot.rulesAt(frame) : shot.rules()).minimumHold();
    }

    /** The sounds that crowd a mouth: those heard from the frame before it to the one behind. */
    private String heard(Run r) {
        double lead = shot.rulesAt(r.from() * shot.rules().exposure()).lead();
        double rate = shot.rules().frameRate();
        double from = (r.from() * shot.rules().exposure() - 1 + lead) / rate;
        double to = (r.to() * shot.rules().exposure() + 1 + lead) / rate;
        String sounds = shot.phones().stream()
                .filter(p -> p.start() < to && p.end() > from)
                .map(p -> p.phone().name())
                .collect(Collectors.joining(" "));
        return sounds.isEmpty() ? "" : ", among " + sounds;
    }

    private boolean pinned(int from, int to) {
        return shot.tracks().pins().keySet().stream().anyMatch(p -> p >= from && p < to);
    }

    private ShotFinding told(String part, Run r, int frames) {
        int exposure = shot.rules().exposure();
        String drawing = r.drawing().orElseThrow();
        String name = character
                .part(part)
                .flatMap((Part p) -> p.drawing(drawing))
                .map(d -> d.name())
                .orElse(drawing);
        int least = least(part, r.from() * exposure);
        return new ShotFinding(
                SHORT,
                Subject.drawing(part, drawing),
                new Measure((double) least - frames, Unit.COUNT),
                r.from() * exposure,
                r.to() * exposure,
                r.from() * exposure,
                "“" + name + "” is shown for " + frames + (frames == 1 ? " frame" : " frames")
                        + "; a drawing is held for " + least + ".");
    }

    /** A card or a pin is held longer: into what is behind it, or else from before. */
    @Override
    public List<Remedy> remedies(ShotFinding f) {
        if (!f.code().equals(SHORT)) {
            return List.of();
        }
        String part = f.subject().part();
        String drawing = f.subject().drawing();
        int least = least(part, f.from());
        int exposure = shot.rules().exposure();
        int length = (least + exposure - 1) / exposure * exposure;
        List<Remedy> out = new ArrayList<>();
        if (part.equals(mouth) && shot.tracks().pins().containsKey(f.from())) {
            int to = Math.min(shot.frames(), f.from() + length) - 1;
            int from = Math.max(0, f.to() - length);
            out.add(Remedy.of("Hold it longer", new ShotEdit.PinMouth(f.from(), to, drawing)));
            out.add(Remedy.of("Bring it earlier", new ShotEdit.PinMouth(from, f.to() - 1, drawing)));
        }
        Optional<HeldDrawing> card = shot.tracks().drawings().getOrDefault(part, List.of()).stream()
                .filter(h -> h.drawing().equals(drawing) && h.from() < f.to() && h.to() > f.from())
                .findFirst();
        card.ifPresent(h -> {
            out.add(Remedy.of(
                    "Hold it longer",
                    new ActingEdit.HoldDrawing(
                            part,
                            new HeldDrawing(f.from(), Math.min(shot.frames(), f.from() + length), drawing, h.in()))));
            out.add(Remedy.of(
                    "Bring it earlier",
                    new ActingEdit.HoldDrawing(
                            part, new HeldDrawing(Math.max(0, f.to() - length), f.to(), drawing, h.in()))));
        });
        return out;
    }
}
