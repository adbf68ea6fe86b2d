package app.leeward.core.shot;

import app.leeward.core.edit.Facet;
import app.leeward.core.edit.Touch;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.TakeWarp;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What a shot is made of: how long it is, and the lines that are said in it. */
public sealed interface LayoutEdit extends ShotEdit {
    /** @throws Refusal when no line begins there */
    static PlacedLine require(Shot shot, int at) {
        return shot.lines().stream()
                .filter(p -> p.at() == at)
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        RefusalCode.GONE, "No line begins at frame " + (at + 1) + " of this shot any more."));
    }

    /** Makes the shot longer or shorter. What is acted behind its end is kept, and shows again when it is longer. */
    record SetLength(int frames) implements LayoutEdit {
        @Override
        public Shot apply(Shot shot) {
            int spoken = shot.lines().stream()
                    .mapToInt(p -> (int) Math.ceil(
                            p.silent(shot.rules().frameRate()) * shot.rules().frameRate()))
                    .max()
                    .orElse(0);
            if (frames < spoken) {
                throw new Refusal(
                        RefusalCode.BEYOND_SHOT,
                        "With " + frames + " frames the shot would end before its last line does, which takes " + spoken
                                + ". Move or lift the line first.");
            }
            return shot.withFrames(frames);
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.LENGTH.all());
        }

        @Override
        public String describe() {
            return "Made the shot " + frames + " frames long";
        }
    }

    /**
     * Plays the shot at another frame rate.
     *
     * @param keepFrames whether what is acted stays on its frames, and so goes faster or slower; else it keeps its time. Sound keeps its
     *     time in either case, and mouths their lead and hold in frames
     */
    record SetFrameRate(int frameRate, boolean keepFrames) implements LayoutEdit {
        @Override
        public Shot apply(Shot shot) {
            TrackRules was = shot.rules();
            if (frameRate == was.frameRate()) {
                throw new Refusal(
                        RefusalCode.NO_CHANGE, "The shot plays at " + frameRate + " frames a second already.");
            }
            TrackRules rules = new TrackRules(frameRate, was.exposure(), was.lead(), was.minimumHold());
            double times = keepFrames ? 1 : (double) frameRate / was.frameRate();
            List<PlacedLine> lines = shot.lines().stream()
                    .map(p -> new PlacedLine((int) Math.round(p.at() * times), p.line()))
                    .toList();
            int spoken = lines.stream().mapToInt(p -> p.end(frameRate)).max().orElse(1);
            int frames = Math.max(spoken, (int) Math.ceil(shot.frames() * times - 1e-9));
            Tracks tracks = keepFrames ? shot.tracks() : Cutting.atRate(shot.tracks(), times);
            return new Shot(shot.name(), rules, frames, lines, shot.mood(), tracks, shot.accepted());
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Touch.EVERYTHING);
        }

        @Override
        public String describe() {
            return "Plays at " + frameRate + " frames a second, "
                    + (keepFrames ? "what is acted on its frames" : "what is acted at its time");
        }
    }

    /** Places one more line; the shot grows where it is too short for it. */
    record PlaceLine(int at, DialogueLine line) implements LayoutEdit {
        @Override
        public Shot apply(Shot shot) {
            return placed(shot, shot.lines(), new PlacedLine(at, line));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.LINE.of(String.valueOf(at)), Facet.LENGTH.all());
        }

        @Override
        public String describe() {
            return "Placed '" + line.text() + "' at frame " + (at + 1);
        }
    }

    /** Lets a line begin at another frame. What is acted stays where it is. */
    record MoveLine(int at, int to) implements LayoutEdit {
        @Override
        public Shot apply(Shot shot) {
            PlacedLine moved = require(shot, at);
            List<PlacedLine> others = new ArrayList<>(shot.lines());
            others.remove(moved);
            return placed(shot, others, new PlacedLine(to, moved.line()));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.LINE.of(String.valueOf(at)), Facet.LINE.of(String.valueOf(to)), Facet.LENGTH.all());
        }

        @Override
        public String describe() {
            return "Moved the line from frame " + (at + 1) + " to frame " + (to + 1);
        }
    }

    /** Takes a line out of the shot. */
    record LiftLine(int at) implements LayoutEdit {
        @Override
        public Shot apply(Shot shot) {
            List<PlacedLine> others = new ArrayList<>(shot.lines());
            others.remove(require(shot, at));
            return shot.withLines(others);
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.LINE.of(String.valueOf(at)));
        }

        @Override
        public String describe() {
            return "Took the line at frame " + (at + 1) + " out";
        }
    }

    /**
     * Puts another take of a line in its place. What is acted while it is said goes with its words; what is acted behind it, and
     * the end of the shot, go with its end when it is the last line.
     */
    record Retake(int at, DialogueLine line) implements LayoutEdit {
        @Override
        public Shot apply(Shot shot) {
            int rate = shot.rules().frameRate();
            PlacedLine before = require(shot, at);
            PlacedLine after = new PlacedLine(at, line);
            boolean last = shot.lines().stream().noneMatch(p -> p.at() > at);
            int shift = after.end(rate) - before.end(rate);
            TakeWarp warp = TakeWarp.between(before.line(), line);
            Tracks tracks = Cutting.retimed(shot.tracks(), frame -> {
                if (frame < at) {
                    return frame;
                }
                if (frame >= before.end(rate)) {
                    return last ? frame + shift : Math.max(frame, after.end(rate));
                }
                int moved = at + (int) Math.round(rate * warp.at((double) (frame - at) / rate));
                return Math.min(moved, after.end(rate));
            });
            List<PlacedLine> lines =
                    shot.lines().stream().map(p -> p.at() == at ? after : p).toList();
            int frames = last ? Math.max(after.end(rate), shot.frames() + shift) : shot.frames();
            return new Shot(shot.name(), shot.rules(), frames, lines, shot.mood(), tracks, shot.accepted());
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Touch.EVERYTHING);
        }

        @Override
        public String describe() {
            return "Put another take of '" + line.text() + "' in";
        }
    }

    private static Shot placed(Shot shot, List<PlacedLine> others, PlacedLine line) {
        List<PlacedLine> lines = new ArrayList<>(others);
        lines.add(line);
        int frames = Math.max(shot.frames(), line.end(shot.rules().frameRate()));
        return new Shot(shot.name(), shot.rules(), frames, lines, shot.mood(), shot.tracks(), shot.accepted());
    }
}
