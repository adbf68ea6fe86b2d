package app.leeward.core.shot;

import app.leeward.core.mouth.MoodSpan;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.MouthRequest;
import app.leeward.core.mouth.MouthSolver;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.mouth.TimingSpan;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.TimedPhone;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * A stretch of frames in which a character acts, and says what lines are placed in it.
 *
 * @param rules frame rate, ones or twos, lead and minimum hold
 * @param frames how many there are
 * @param lines in the order they begin in, none overlapping; none for a shot without words
 * @param mood id of the row of mouths it is said with where its tracks do not say another; empty, or one that is not there any
 *     more, for the neutral row
 * @param tracks what is acted along it
 * @param accepted what checks of shots find and is meant so, wherever in the shot it shows
 */
public record Shot(
        String name,
        TrackRules rules,
        int frames,
        List<PlacedLine> lines,
        String mood,
        Tracks tracks,
        List<AcceptedFinding> accepted) {
    /** Longest shot, frames: a quarter of an hour. What is longer is several shots. */
    public static final int LONGEST = 20_000;

    public Shot {
        mood = mood == null ? "" : mood;
        // stored before there was such a thing
        accepted = accepted == null ? List.of() : List.copyOf(accepted);
        if (name.isBlank()) {
            throw new Refusal(RefusalCode.NO_NAME, "A shot needs a name.");
        }
        if (frames < 1 || frames > LONGEST) {
            throw new Refusal(RefusalCode.BEYOND_SHOT, "A shot has 1 to " + LONGEST + " frames, not " + frames + ".");
        }
        lines = lines.stream().sorted(Comparator.comparingInt(PlacedLine::at)).toList();
        requireOneVoice(lines, rules.frameRate());
    }

    /** Recordings may run into each other where one of them is silent; what is spoken may not. */
    private static void requireOneVoice(List<PlacedLine> lines, int frameRate) {
        for (PlacedLine a : lines) {
            for (PlacedLine b : lines) {
                if (a != b
                        && a.speaks(frameRate) <= b.speaks(frameRate)
                        && a.silent(frameRate) > b.speaks(frameRate) + 1e-9) {
                    throw new Refusal(
                            RefusalCode.FRAME_TAKEN,
                            "The line from frame " + b.at() + " would begin to speak before the one from frame "
                                    + a.at() + " has ended.");
                }
            }
        }
    }

    /** A shot just as long as one line, in which nothing but the mouth moves. */
    public Shot(String name, DialogueLine line, TrackRules rules, Map<Integer, String> pins) {
        this(
                name,
                rules,
                new PlacedLine(0, line).end(rules.frameRate()),
                List.of(new PlacedLine(0, line)),
                "",
                Tracks.EMPTY.withPins(pins),
                List.of());
    }

    /** A shot without words. */
    public static Shot silent(String name, TrackRules rules, int frames) {
        return new Shot(name, rules, frames, List.of(), "", Tracks.EMPTY, List.of());
    }

    /** Seconds into it at which a line begins. */
    public double starts(PlacedLine line) {
        return (double) line.at() / rules.frameRate();
    }

    /** Every sound spoken in it, timed from its beginning. */
    public List<TimedPhone> phones() {
        List<TimedPhone> all = new ArrayList<>();
        for (PlacedLine placed : lines) {
            double by = starts(placed);
            for (TimedPhone p : placed.line().phones()) {
                // the numbers of a line at the beginning stay just what they are
                all.add(by == 0 ? p : new TimedPhone(p.phone(), p.start() + by, p.end() + by));
            }
        }
        all.sort(Comparator.comparingDouble(TimedPhone::start));
        return all;
    }

    /** Id of the row of mouths that a frame is said with; empty for the neutral row. */
    public String moodAt(int frame) {
        return MoodSpan.at(tracks.moods(), frame, mood);
    }

    /** How mouths are put on a frame. */
    public TrackRules rulesAt(int frame) {
        return TimingSpan.at(tracks.timings(), frame, rules);
    }

    /** What its mouths are asked for, for a character with this chart. */
    public MouthRequest asks(MouthChart chart) {
        double seconds = (double) frames / rules.frameRate();
        return new MouthRequest(chart, phones(), seconds, rules, tracks.pins(), mood, tracks.moods(), tracks.timings());
    }

    /** The mouths of this shot for a character with this chart. */
    public MouthTrack mouths(MouthChart chart) {
        return MouthSolver.solve(asks(chart));
    }

    /** Whether its mouths are the same as those of another shot, whatever else is acted in it. */
    public boolean speaksLike(Shot other) {
        return frames == other.frames
                && rules.equals(other.rules)
                && mood.equals(other.mood)
                && lines.equals(other.lines)
                && tracks.pins().equals(other.tracks.pins())
                && tracks.moods().equals(other.tracks.moods())
                && tracks.timings().equals(other.tracks.timings());
    }

    public Shot withName(String newName) {
        return new Shot(newName, rules, frames, lines, mood, tracks, accepted);
    }

    public Shot withRules(TrackRules newRules) {
        return new Shot(name, newRules, frames, lines, mood, tracks, accepted);
    }

    public Shot withFrames(int newFrames) {
        return new Shot(name, rules, newFrames, lines, mood, tracks, accepted);
    }

    /** @throws Refusal when two of them overlap */
    public Shot withLines(List<PlacedLine> newLines) {
        return new Shot(name, rules, frames, newLines, mood, tracks, accepted);
    }

    public Shot withMood(String newMood) {
        return new Shot(name, rules, frames, lines, newMood, tracks, accepted);
    }

    public Shot withAccepted(List<AcceptedFinding> newAccepted) {
        return new Shot(name, rules, frames, lines, mood, tracks, newAccepted);
    }

    public Shot withTracks(Tracks newTracks) {
        return new Shot(name, rules, frames, lines, mood, newTracks, accepted);
    }

    /** What is said alone, without the dials, drawings, kits and looks acted along it; this very shot when there is nothing of that. */
    public Shot withoutActing() {
        Tracks rest = tracks.withDials(Map.of())
                .withDrawings(Map.of())
                .withLooks(List.of())
                .withKits(List.of())
                .withNotes(List.of());
        return rest.equals(tracks) ? this : withTracks(rest);
    }
}
