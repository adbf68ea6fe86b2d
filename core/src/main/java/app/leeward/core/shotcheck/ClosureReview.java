package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.mouth.MustShow;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.speech.TimedWord;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Lips that do not meet where p, b or m is heard, teeth that do not reach the lip for f and v. */
final class ClosureReview implements Review {
    private static final String OPEN = "closure-open";
    private static final String LIP = "no-teeth-on-lip";

    private final Shot shot;
    private final Character character;
    private final boolean talks;

    ClosureReview(Playhead playhead) {
        shot = playhead.shot();
        character = playhead.evaluator().character();
        talks = playhead.mouths().isPresent();
    }

    private List<MustShow> demands() {
        return talks ? MustShow.of(shot.asks(character.voice().mouths())) : List.of();
    }

    @Override
    public List<ShotFinding> of(ShownDrawings shown) {
        List<ShotFinding> out = new ArrayList<>();
        String part = character.voice().mouths().part().orElse("");
        for (MustShow d : demands()) {
            boolean hidden = true;
            boolean met = false;
            for (int e = d.from(); e <= Math.min(d.to(), shown.exposures() - 1); e++) {
                Optional<String> drawing = shown.at(part, e);
                hidden &= drawing.isEmpty();
                met |= drawing.filter(d.drawings()::contains).isPresent();
            }
            // a mouth that is not seen is another finding
            if (!met && !hidden) {
                out.add(told(d, shown, part));
            }
        }
        return out;
    }

    private ShotFinding told(MustShow d, ShownDrawings shown, String part) {
        int exposure = shot.rules().exposure();
        String shows = shown.at(part, d.from())
                .flatMap(id -> character.part(part).flatMap((Part p) -> p.drawing(id)))
                .map(x -> "“" + x.name() + "”")
                .orElse("nothing");
        String word = word(d.at()).map(w -> " of “" + w + "”").orElse("");
        String sound = d.phone().name();
        return new ShotFinding(
                d.phone().closure() ? OPEN : LIP,
                Subject.part(part),
                new Measure(d.to() - d.from() + 1.0, Unit.COUNT),
                d.from() * exposure,
                Math.min(shot.frames(), (d.to() + 1) * exposure),
                d.from() * exposure,
                d.phone().closure()
                        ? "The lips do not meet on the " + sound + word + "; the mouth shows " + shows + "."
                        : "The teeth do not reach the lip on the " + sound + word + "; the mouth shows " + shows + ".");
    }

    private Optional<String> word(double seconds) {
        for (PlacedLine line : shot.lines()) {
            double in = seconds - shot.starts(line);
            for (TimedWord w : line.line().words()) {
                if (in >= w.start() - 1e-6 && in < w.end()) {
                    return Optional.of(w.text());
                }
            }
        }
        return Optional.empty();
    }

    /** What somebody pinned there is lifted, or a mouth that shows it is pinned in the middle of it. */
    @Override
    public List<Remedy> remedies(ShotFinding f) {
        if (!f.code().equals(OPEN) && !f.code().equals(LIP)) {
            return List.of();
        }
        List<Remedy> out = new ArrayList<>();
        boolean pinned = shot.tracks().pins().keySet().stream().anyMatch(p -> p >= f.from() && p < f.to());
        if (pinned) {
            out.add(Remedy.of("Lift the pin", new ShotEdit.ReleaseMouth(f.from(), f.to() - 1)));
        }
        int exposure = shot.rules().exposure();
        int middle = (f.from() + f.to() - 1) / 2 / exposure * exposure;
        demands().stream()
                .filter(d -> d.from() * exposure == f.from() && !d.drawings().isEmpty())
                .findFirst()
                .ifPresent(d -> out.add(Remedy.of(
                        "Pin “" + name(d.drawings().get(0)) + "”",
                        new ShotEdit.PinMouth(
                                middle,
                                Math.min(shot.frames(), middle + exposure) - 1,
                                d.drawings().get(0)))));
        return out;
    }

    private String name(String drawing) {
        return character
                .voice()
                .mouths()
                .part()
                .flatMap(character::part)
                .flatMap((Part p) -> p.drawing(drawing))
                .map(d -> d.name())
                .orElse(drawing);
    }
}
