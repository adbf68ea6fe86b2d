package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Keeps drawings of a part that play one after the other; a run of that name of that part is replaced and keeps its key.
 *
 * @param drawings in the order they are shown in; one may come several times
 * @param frames how long each stays, as many as there are drawings
 */
public record KeepRun(String part, String name, List<String> drawings, List<Integer> frames, DrawnRun.Way way)
        implements LibraryEdit {
    public KeepRun {
        drawings = List.copyOf(drawings);
        frames = List.copyOf(frames);
        Objects.requireNonNull(way, "way");
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.RUN.all());
    }

    @Override
    public String describe(Character before) {
        return "Kept the run " + name.strip() + " of " + Edits.nameOf(before, part);
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> of = before.part(part);
        if (of.isEmpty()) {
            return Edits.noPart(part);
        }
        Optional<Outcome> bad = Edits.badName(name).or(() -> unsound(of.get()));
        if (bad.isPresent()) {
            return bad.get();
        }
        List<DrawnRun.RunStep> steps = new ArrayList<>();
        for (int i = 0; i < drawings.size(); i++) {
            steps.add(new DrawnRun.RunStep(drawings.get(i), frames.get(i)));
        }
        List<DrawnRun> runs = new ArrayList<>(of.get().runs());
        boolean there = false;
        for (int i = 0; i < runs.size(); i++) {
            if (runs.get(i).name().equalsIgnoreCase(name.strip())) {
                runs.set(i, runs.get(i).withSteps(steps, way));
                there = true;
            }
        }
        if (!there) {
            Set<String> taken = before.rig().runs().stream().map(DrawnRun::id).collect(Collectors.toSet());
            runs.add(new DrawnRun(Ids.unused(name.strip(), taken), name.strip(), steps, way, ""));
        }
        return Edits.onPart(before, part, p -> p.withRuns(runs));
    }

    private Optional<Outcome> unsound(Part of) {
        if (drawings.isEmpty() || drawings.size() != frames.size()) {
            return Optional.of(new Outcome.Refused(
                    RefusalCode.RUN_EMPTY, "A run needs drawings, and how long each of them stays."));
        }
        for (int i = 0; i < drawings.size(); i++) {
            if (!of.offers(drawings.get(i))) {
                return Optional.of(new Outcome.Refused(
                        RefusalCode.NO_DRAWING, of.name() + " has no drawing '" + drawings.get(i) + "' any more."));
            }
            if (frames.get(i) < 1) {
                return Optional.of(new Outcome.Refused(
                        RefusalCode.RUN_FRAMES,
                        "Drawing " + (i + 1) + " of the run stays for " + frames.get(i)
                                + " frames; it needs one at least."));
            }
        }
        return frames.stream().mapToLong(Integer::longValue).sum() > DrawnRun.LONGEST
                ? Optional.of(new Outcome.Refused(
                        RefusalCode.RUN_LONG,
                        "A run lasts " + DrawnRun.LONGEST + " frames at most; make some of its drawings shorter."))
                : Optional.empty();
    }
}
