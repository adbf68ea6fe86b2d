package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Track;
import app.leeward.core.shot.Tracks;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;

/** What stands on the tracks and belongs to something the character no longer has: it is kept, and nobody sees it. */
final class GoneReview implements Review {
    private static final String CODE = "belongs-to-nothing";
    private final Shot shot;
    private final Character character;

    GoneReview(Playhead playhead) {
        shot = playhead.shot();
        character = playhead.evaluator().character();
    }

    @Override
    public List<ShotFinding> of(ShownDrawings shown) {
        Tracks t = shot.tracks();
        List<ShotFinding> out = new ArrayList<>();
        t.dials().forEach((dial, keys) -> {
            if (character.dial(dial).isEmpty()) {
                add(
                        out,
                        Subject.dial(dial),
                        keys.get(0).frame(),
                        keys.get(keys.size() - 1).frame() + 1,
                        keys.size(),
                        n -> (n == 1 ? "1 key moves" : n + " keys move") + " the dial “" + dial + "”");
            }
        });
        t.drawings().forEach((part, cards) -> {
            boolean there = character.part(part).isPresent();
            cards.stream()
                    .filter(c -> !c.drawing().equals(Part.NOTHING))
                    .filter(c -> !there
                            || character
                                    .part(part)
                                    .flatMap((Part p) -> p.drawing(c.drawing()))
                                    .isEmpty())
                    .forEach(c -> add(
                            out,
                            Subject.drawing(part, c.drawing()),
                            c.from(),
                            c.to(),
                            1,
                            n -> "A card shows the drawing “" + c.drawing() + "” of “" + part + "”"));
        });
        t.looks().stream()
                .filter(l -> character.library().looks().stream().noneMatch(x -> x.id().equals(l.look())))
                .forEach(l -> add(
                        out, Subject.dial(l.look()), l.from(), l.to(), 1, n -> "The look “" + l.look() + "” is laid"));
        t.kits().stream()
                .filter(k -> character.library().kits().stream().noneMatch(x -> x.id().equals(k.kit())))
                .forEach(k ->
                        add(out, Subject.dial(k.kit()), k.from(), k.to(), 1, n -> "The kit “" + k.kit() + "” is worn"));
        t.cues().stream()
                .filter(c -> character.cue(c.cue()).isEmpty())
                .forEach(c -> add(
                        out,
                        Subject.dial(c.cue()),
                        c.frame(),
                        c.frame() + 1,
                        1,
                        n -> "The cue “" + c.cue() + "” is dropped in"));
        t.gestures().stream()
                .filter(g -> character.rig().playedBy(g.run()).isEmpty())
                .forEach(g ->
                        add(out, Subject.dial(g.run()), g.from(), g.to(), 1, n -> "The run “" + g.run() + "” plays"));
        return out;
    }

    private void add(List<ShotFinding> out, Subject subject, int from, int to, int count, IntFunction<String> what) {
        out.add(new ShotFinding(
                CODE,
                subject,
                new Measure(count, Unit.COUNT),
                from,
                to,
                Math.min(from, shot.frames() - 1),
                what.apply(count) + ", which the character no longer has."));
    }

    @Override
    public List<Remedy> remedies(ShotFinding f) {
        if (!f.code().equals(CODE)) {
            return List.of();
        }
        String id = f.subject().dial();
        Tracks t = shot.tracks();
        List<ShotEdit> out = new ArrayList<>();
        if (t.dials().containsKey(id)) {
            out.add(new ActingEdit.ClearFrames(List.of(Track.dial(id)), f.from(), f.to()));
        } else if (!f.subject().part().isEmpty()) {
            out.add(new ActingEdit.ClearFrames(
                    List.of(Track.drawings(f.subject().part())), f.from(), f.to()));
        } else if (t.looks().stream().anyMatch(l -> l.look().equals(id) && l.from() == f.from())) {
            out.add(new ActingEdit.LiftLook(f.from(), id));
        } else if (t.kits().stream().anyMatch(k -> k.kit().equals(id) && k.from() == f.from())) {
            out.add(new ActingEdit.LiftKit(f.from(), id));
        } else if (t.cues().stream().anyMatch(c -> c.cue().equals(id) && c.frame() == f.from())) {
            out.add(new ShotEdit.TakeOut(f.from(), id));
        } else {
            out.add(new ShotEdit.DropGesture(f.from(), id));
        }
        return out.stream().map(e -> Remedy.of("Take it out", e)).toList();
    }
}
