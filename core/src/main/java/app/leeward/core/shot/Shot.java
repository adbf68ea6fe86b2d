package app.leeward.core.shot;

import app.leeward.core.cue.Blink;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthSolver;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.speech.DialogueLine;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A stretch of frames in which a character says a line.
 *
 * @param rules frame rate, ones or twos, lead and minimum hold
 * @param pins frame to the mouth drawing pinned there by hand
 * @param blinks in rising order, none overlapping
 * @param cues dropped into the shot, in rising order
 * @param gestures runs of drawings that play along it, in rising order
 * @param mood id of the row of mouths it is said with; empty, or one that is not there any more, for the neutral row
 */
public record Shot(
        String name,
        DialogueLine line,
        TrackRules rules,
        Map<Integer, String> pins,
        List<Blink> blinks,
        List<CuePlacement> cues,
        String mood,
        List<Gesture> gestures) {
    public Shot {
        mood = mood == null ? "" : mood;
        gestures = gestures == null
                ? List.of()
                : gestures.stream()
                        .sorted(Comparator.comparingInt(Gesture::from).thenComparing(Gesture::run))
                        .toList();
        // stored before there were any
        blinks = blinks == null ? List.of() : sorted(blinks);
        cues = cues == null
                ? List.of()
                : cues.stream()
                        .sorted(Comparator.comparingInt(CuePlacement::frame).thenComparing(CuePlacement::cue))
                        .toList();
        if (name.isBlank()) {
            throw new Refusal(RefusalCode.NO_NAME, "A line needs a name.");
        }
        pins = java.util.Collections.unmodifiableMap(new TreeMap<>(pins));
    }

    /** A shot in which nothing but the mouth moves. */
    public Shot(String name, DialogueLine line, TrackRules rules, Map<Integer, String> pins) {
        this(name, line, rules, pins, List.of(), List.of(), "", List.of());
    }

    private static List<Blink> sorted(List<Blink> blinks) {
        List<Blink> rising =
                blinks.stream().sorted(Comparator.comparingInt(Blink::frame)).toList();
        for (int i = 1; i < rising.size(); i++) {
            if (rising.get(i).frame() < rising.get(i - 1).end()) {
                throw new Refusal(
                        RefusalCode.BLINKS_OVERLAP,
                        "The blink from frame "
                                + rising.get(i).frame() + " would begin before the one from frame "
                                + rising.get(i - 1).frame() + " has ended.");
            }
        }
        return rising;
    }

    /** How many frames it lasts: enough for the whole recording, at least one. */
    public int frames() {
        return Math.max(1, (int) Math.ceil(line.seconds() * rules.frameRate() - 1e-9));
    }

    /** The mouths of this shot for a character with this chart. */
    public MouthTrack mouths(MouthChart chart) {
        return MouthSolver.solve(chart.in(mood), line.phones(), line.seconds(), rules, pins);
    }

    public Shot withName(String newName) {
        return new Shot(newName, line, rules, pins, blinks, cues, mood, gestures);
    }

    public Shot withRules(TrackRules newRules) {
        return new Shot(name, line, newRules, pins, blinks, cues, mood, gestures);
    }

    public Shot withLine(DialogueLine newLine) {
        return new Shot(name, newLine, rules, pins, blinks, cues, mood, gestures);
    }

    public Shot withPins(Map<Integer, String> newPins) {
        return new Shot(name, line, rules, newPins, blinks, cues, mood, gestures);
    }

    /** @throws Refusal when two of them overlap */
    public Shot withBlinks(List<Blink> newBlinks) {
        return new Shot(name, line, rules, pins, newBlinks, cues, mood, gestures);
    }

    public Shot withCues(List<CuePlacement> newCues) {
        return new Shot(name, line, rules, pins, blinks, newCues, mood, gestures);
    }

    public Shot withMood(String newMood) {
        return new Shot(name, line, rules, pins, blinks, cues, newMood, gestures);
    }

    public Shot withGestures(List<Gesture> newGestures) {
        return new Shot(name, line, rules, pins, blinks, cues, mood, newGestures);
    }
}
