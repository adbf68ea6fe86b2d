package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.TimedPhone;
import java.util.List;
import java.util.Optional;

/** A mouth that speaks and is not seen: its view has given way to another, or something was hidden with it. */
final class SpokenGauge implements Gauge {
    private final Playhead playhead;
    private final Character character;
    private final Optional<String> mouth;
    /** Mouths of other views that have drawings of their own for what is spoken. */
    private final List<String> others;

    private final boolean[] spoken;

    SpokenGauge(Playhead playhead) {
        this.playhead = playhead;
        character = playhead.evaluator().character();
        mouth = playhead.mouths().flatMap(m -> character.voice().mouths().part());
        others = character.controls().views().stream()
                .flatMap(v -> v.views().stream())
                .map(HeadView::mouths)
                .filter(m -> m.drawn().values().stream().distinct().count() > 1)
                .flatMap(m -> m.part().stream())
                .toList();
        Shot shot = playhead.shot();
        spoken = new boolean[shot.frames()];
        double rate = shot.rules().frameRate();
        for (TimedPhone p : shot.phones()) {
            int from = (int) Math.floor(p.start() * rate);
            int to = (int) Math.ceil(p.end() * rate);
            for (int f = Math.max(0, from); f < Math.min(spoken.length, to); f++) {
                spoken[f] = true;
            }
        }
    }

    @Override
    public List<Reading> read(List<Exposure> s, int i) {
        Exposure e = s.get(i);
        if (mouth.isEmpty()
                || !spoken[e.frame()]
                || seen(e, mouth.get())
                || others.stream().anyMatch(m -> seen(e, m))) {
            return List.of();
        }
        String name = character.part(mouth.get()).map(Part::name).orElse("The mouth");
        String view = character
                .controls()
                .views()
                .map(v -> v.at(playhead.evaluator().setting(v.dial(), e.pose())).view())
                .flatMap(character::part)
                .map(p -> "; the view " + p.name() + " has no mouths for sounds")
                .orElse("");
        return List.of(new Reading(
                "mouth-hidden",
                Subject.part(mouth.get()),
                new Measure(1, Unit.COUNT),
                "Words are spoken here, and no mouth that speaks is seen: " + name + " is hidden" + view + "."));
    }

    private static boolean seen(Exposure e, String part) {
        return e.of(part).filter(p -> p.opacity() > 0).isPresent();
    }
}
