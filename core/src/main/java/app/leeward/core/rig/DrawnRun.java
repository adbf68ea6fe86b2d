package app.leeward.core.rig;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Drawings of one part that play one after the other: a wave, a snap of the fingers.
 *
 * @param id unique among the runs of all parts
 * @param steps in the order they are shown in; at least one
 * @param key as in {@link DrawingKey}; empty for none
 */
public record DrawnRun(String id, String name, List<RunStep> steps, Way way, String key) {
    /** The longest a run lasts one way, frames: ten seconds at 24 a second. */
    public static final int LONGEST = 240;

    /** @param frames how long it stays, 1 and more */
    public record RunStep(String drawing, int frames) {
        public RunStep {
            if (frames < 1) {
                throw new IllegalArgumentException("a drawing of a run stays for a frame at least, not " + frames);
            }
        }
    }

    /** What comes after its last drawing. */
    public enum Way {
        /** The last drawing stays. */
        ONCE,
        /** It begins anew. */
        LOOP,
        /** It goes back to its first drawing and begins anew; neither end is shown twice in a row. */
        THERE_AND_BACK
    }

    public DrawnRun {
        steps = List.copyOf(steps);
        key = key == null ? "" : key;
        if (name.isBlank()) {
            throw new IllegalArgumentException("a run needs a name");
        }
        if (steps.isEmpty() || steps.stream().mapToInt(RunStep::frames).sum() > LONGEST) {
            throw new IllegalArgumentException("the run '" + name + "' lasts from 1 to " + LONGEST + " frames");
        }
    }

    /** The drawing of every frame of one round: one way, or there and back. Of a run that plays once the last stays. */
    public List<String> round() {
        List<RunStep> all = new ArrayList<>(steps);
        for (int i = steps.size() - 2; way == Way.THERE_AND_BACK && i > 0; i--) {
            all.add(steps.get(i));
        }
        return frames(all);
    }

    /** The drawing of every frame from one that is shown backwards to the first, that one left out. */
    public List<String> back(String from) {
        int at = 0;
        for (int i = 0; i < steps.size(); i++) {
            at = steps.get(i).drawing().equals(from) ? i : at;
        }
        List<RunStep> before = new ArrayList<>(steps.subList(0, at));
        Collections.reverse(before);
        return frames(before);
    }

    /**
     * The drawing it shows some frames after it began, as long as nobody lets go of it.
     *
     * @param frame 0 and more
     */
    public String at(int frame) {
        List<String> round = round();
        return round.get(way == Way.ONCE ? Math.min(frame, round.size() - 1) : frame % round.size());
    }

    /**
     * The drawing of a frame on its way out.
     *
     * @param last which frame of it was shown last, counted from its beginning
     * @param frame since it was let go of, 0 and more
     * @return empty when it is out
     */
    public Optional<String> out(int last, int frame) {
        List<String> back = back(at(last));
        return frame < back.size() ? Optional.of(back.get(frame)) : Optional.empty();
    }

    private static List<String> frames(List<RunStep> of) {
        return of.stream()
                .flatMap(s -> Collections.nCopies(s.frames(), s.drawing()).stream())
                .toList();
    }

    /** Without the steps whose drawing is gone; empty when nothing is left. */
    Optional<DrawnRun> of(Predicate<String> offered) {
        List<RunStep> left =
                steps.stream().filter(s -> offered.test(s.drawing())).toList();
        return left.isEmpty()
                ? Optional.empty()
                : Optional.of(left.size() == steps.size() ? this : withSteps(left, way));
    }

    public DrawnRun withSteps(List<RunStep> newSteps, Way newWay) {
        return new DrawnRun(id, name, newSteps, newWay, key);
    }

    public DrawnRun withKey(String newKey) {
        return new DrawnRun(id, name, steps, way, newKey);
    }
}
