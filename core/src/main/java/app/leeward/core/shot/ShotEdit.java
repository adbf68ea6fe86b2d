package app.leeward.core.shot;

import app.leeward.core.cue.Blink;
import app.leeward.core.cue.BlinkPlan;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.edit.Facet;
import app.leeward.core.edit.Touch;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.speech.DialogueLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Every way a shot can change. */
public sealed interface ShotEdit
        permits ActingEdit,
                DeliveryEdit,
                LayoutEdit,
                ReviewEdit,
                SoundEdit,
                ShotEdit.Record,
                ShotEdit.RenameShot,
                ShotEdit.Realign,
                ShotEdit.Expose,
                ShotEdit.Feel,
                ShotEdit.PinMouth,
                ShotEdit.ReleaseMouth,
                ShotEdit.ComeOver,
                ShotEdit.LayBlinks,
                ShotEdit.SetBlink,
                ShotEdit.DropBlink,
                ShotEdit.DropIn,
                ShotEdit.TakeOut,
                ShotEdit.SetGesture,
                ShotEdit.DropGesture {
    /**
     * The shot after the edit.
     *
     * @throws Refusal when it cannot be made
     */
    Shot apply(Shot shot);

    /** What it does, in a rigger's words. */
    String describe();

    /** What it changes, so that edits made at the same time to different things can both be kept. */
    Set<Touch> touches();

    /** Begins a shot with a line found in a recording. */
    record Record(Shot shot) implements ShotEdit {
        @Override
        public Shot apply(Shot before) {
            return shot;
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Touch.EVERYTHING);
        }

        @Override
        public String describe() {
            return "Put the mouths to '" + shot.name() + "'";
        }
    }

    record RenameShot(String name) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withName(name.strip());
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.NAME.all());
        }

        @Override
        public String describe() {
            return "Renamed the line to " + name.strip();
        }
    }

    /**
     * Words or pronunciations were corrected and the recording was read again; pins stay.
     *
     * @param at the frame the line begins at
     */
    record Realign(int at, DialogueLine line) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            LayoutEdit.require(shot, at);
            return shot.withLines(shot.lines().stream()
                    .map(p -> p.at() == at ? new PlacedLine(at, line) : p)
                    .toList());
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.LINE.all());
        }

        @Override
        public String describe() {
            return "Listened again for '" + line.text() + "'";
        }
    }

    record Expose(int exposure, int lead, int minimumHold) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withRules(new TrackRules(shot.rules().frameRate(), exposure, lead, minimumHold));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.RULES.all());
        }

        @Override
        public String describe() {
            return (exposure == 1 ? "On ones" : exposure == 2 ? "On twos" : "On " + exposure + "s")
                    + ", mouths lead by " + lead + ", held at least " + minimumHold;
        }
    }

    /** Says the line with another row of mouths. */
    record Feel(String mood) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withMood(mood);
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.MOOD.all());
        }

        @Override
        public String describe() {
            return mood.isEmpty() ? "Said with the neutral mouths" : "Said in the mood '" + mood + "'";
        }
    }

    /** Shows one mouth from frame {@code from} to frame {@code to}, both in, whatever the sound asks for. */
    record PinMouth(int from, int to, String drawing) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            int last = shot.frames() - 1;
            if (from < 0 || to < from || to > last) {
                throw new Refusal(
                        RefusalCode.BEYOND_SHOT,
                        "Frames " + from + " to " + to + " do not lie within 0 to " + last + ".");
            }
            Map<Integer, String> pins = new TreeMap<>(shot.tracks().pins());
            for (int f = from; f <= to; f++) {
                pins.put(f, drawing);
            }
            return shot.withTracks(shot.tracks().withPins(pins));
        }

        @Override
        public Set<Touch> touches() {
            return frames(from, to);
        }

        @Override
        public String describe() {
            return "Pinned mouth '" + drawing + "' on frames " + from + " to " + to;
        }
    }

    /**
     * Lets a pinned mouth come over from the one that is shown before it, where both have the same points.
     *
     * @param frame the first frame it is pinned to
     * @param in frames; 0 to exchange them
     */
    record ComeOver(int frame, int in) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            if (!shot.tracks().pins().containsKey(frame)) {
                throw new Refusal(RefusalCode.NOT_HELD, "No mouth is pinned to frame " + frame + ".");
            }
            Map<Integer, Integer> over = new TreeMap<>(shot.tracks().pinsOver());
            over.put(frame, in);
            return shot.withTracks(shot.tracks().withPinsOver(over));
        }

        @Override
        public Set<Touch> touches() {
            return frames(frame, frame);
        }

        @Override
        public String describe() {
            return in == 0
                    ? "Exchanged the mouth at frame " + frame + " at once"
                    : "Let the mouth at frame " + frame + " come over in " + in + (in == 1 ? " frame" : " frames");
        }
    }

    /** Lets the sound decide again from frame {@code from} to frame {@code to}, both in. */
    record ReleaseMouth(int from, int to) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            Map<Integer, String> pins = new TreeMap<>(shot.tracks().pins());
            pins.keySet().removeIf(f -> f >= from && f <= to);
            return shot.withTracks(shot.tracks().withPins(pins));
        }

        @Override
        public Set<Touch> touches() {
            return frames(from, to);
        }

        @Override
        public String describe() {
            return "Released the mouth on frames " + from + " to " + to;
        }
    }

    /**
     * Lays blinks over the whole shot in place of those that were there.
     *
     * @param perMinute how many a minute
     * @param seed the same seed lays the same blinks
     * @param shifts frames that draw blinks to themselves, see {@link GazeShifts}; kept with the edit, since the character's
     *     cues may change later
     */
    record LayBlinks(double perMinute, long seed, List<Integer> shifts) implements ShotEdit {
        public LayBlinks {
            // whoever asks for blinks need not know where the gaze shifts
            shifts = shifts == null ? List.of() : List.copyOf(shifts);
        }

        /** The same blinks, near the shifts of a shot over its character. */
        public LayBlinks near(Shot shot, Character character) {
            return new LayBlinks(perMinute, seed, GazeShifts.of(shot, character));
        }

        @Override
        public Shot apply(Shot shot) {
            return shot.withTracks(shot.tracks()
                    .withBlinks(BlinkPlan.photographed(
                            BlinkPlan.lay(shot.frames(), shot.rules().frameRate(), perMinute, shifts, seed),
                            shot.rules().exposure(),
                            shot.frames())));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.BLINKS.all());
        }

        @Override
        public String describe() {
            return "Laid " + (perMinute == Math.rint(perMinute) ? "" + (long) perMinute : "" + perMinute)
                    + " blinks a minute";
        }
    }

    /** Puts one blink in place of the one that begins at a frame, or adds it when none begins there. */
    record SetBlink(int was, Blink blink) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            if (!blink.within(shot.frames())) {
                throw new Refusal(
                        RefusalCode.BEYOND_SHOT,
                        "A blink from frame " + blink.frame() + " to " + blink.end()
                                + " is not over within the shot, whose last frame is " + (shot.frames() - 1) + ".");
            }
            List<Blink> blinks = new ArrayList<>(shot.tracks().blinks());
            blinks.removeIf(b -> b.frame() == was);
            // whoever sets it makes it their own
            blinks.add(new Blink(blink.frame(), blink.down(), blink.hold(), blink.up()));
            return shot.withTracks(shot.tracks().withBlinks(blinks));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.BLINKS.all());
        }

        @Override
        public String describe() {
            return "Set a blink from frame " + blink.frame() + " to " + blink.end();
        }
    }

    record DropBlink(int frame) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            List<Blink> blinks = new ArrayList<>(shot.tracks().blinks());
            if (!blinks.removeIf(b -> b.frame() == frame)) {
                throw new Refusal(RefusalCode.GONE, "No blink begins at frame " + frame + " any more.");
            }
            return shot.withTracks(shot.tracks().withBlinks(blinks));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.BLINKS.all());
        }

        @Override
        public String describe() {
            return "Took away the blink at frame " + frame;
        }
    }

    /** Drops a cue of the character into the shot. */
    record DropIn(int frame, String cue) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            if (frame < 0 || frame >= shot.frames()) {
                throw new Refusal(
                        RefusalCode.BEYOND_SHOT,
                        "Frame " + frame + " does not lie within 0 to " + (shot.frames() - 1) + ".");
            }
            List<CuePlacement> cues = new ArrayList<>(shot.tracks().cues());
            cues.removeIf(d -> d.frame() == frame && d.cue().equals(cue));
            cues.add(new CuePlacement(frame, cue));
            return shot.withTracks(shot.tracks().withCues(cues));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.CUE_PLACEMENT.of(String.valueOf(frame)));
        }

        @Override
        public String describe() {
            return "Dropped the cue '" + cue + "' in at frame " + frame;
        }
    }

    record TakeOut(int frame, String cue) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            List<CuePlacement> cues = new ArrayList<>(shot.tracks().cues());
            if (!cues.removeIf(d -> d.frame() == frame && d.cue().equals(cue))) {
                throw new Refusal(RefusalCode.GONE, "No such cue begins at frame " + frame + " any more.");
            }
            return shot.withTracks(shot.tracks().withCues(cues));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.CUE_PLACEMENT.of(String.valueOf(frame)));
        }

        @Override
        public String describe() {
            return "Took the cue '" + cue + "' out at frame " + frame;
        }
    }

    /**
     * Lets a run of drawings play along the shot, in place of the same run that begins at another frame.
     *
     * @param was where it begins now; anything else adds it
     */
    record SetGesture(int was, Gesture gesture) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            if (gesture.to() > shot.frames()) {
                throw new Refusal(
                        RefusalCode.BEYOND_SHOT,
                        "A run from frame " + gesture.from() + " to " + gesture.to()
                                + " does not lie within the shot, which has " + shot.frames() + " frames.");
            }
            List<Gesture> gestures = new ArrayList<>(shot.tracks().gestures());
            gestures.removeIf(g -> g.run().equals(gesture.run()) && (g.from() == was || g.from() == gesture.from()));
            gestures.add(gesture);
            return shot.withTracks(shot.tracks().withGestures(gestures));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.RUN.of(gesture.run()));
        }

        @Override
        public String describe() {
            return "The run '" + gesture.run() + "' plays from frame " + gesture.from() + " to " + gesture.to();
        }
    }

    record DropGesture(int from, String run) implements ShotEdit {
        @Override
        public Shot apply(Shot shot) {
            List<Gesture> gestures = new ArrayList<>(shot.tracks().gestures());
            if (!gestures.removeIf(g -> g.from() == from && g.run().equals(run))) {
                throw new Refusal(RefusalCode.GONE, "No such run begins at frame " + from + " any more.");
            }
            return shot.withTracks(shot.tracks().withGestures(gestures));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.RUN.of(run));
        }

        @Override
        public String describe() {
            return "Took the run '" + run + "' out at frame " + from;
        }
    }

    private static Set<Touch> frames(int from, int to) {
        return IntStream.rangeClosed(from, Math.min(to, from + 100_000))
                .mapToObj(f -> Facet.PIN.of(String.valueOf(f)))
                .collect(Collectors.toSet());
    }
}
