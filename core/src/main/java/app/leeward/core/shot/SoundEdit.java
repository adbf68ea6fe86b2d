package app.leeward.core.shot;

import app.leeward.core.edit.Facet;
import app.leeward.core.edit.Touch;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.LineCorrection;
import app.leeward.core.speech.Phone;
import app.leeward.core.text.Decimals;
import java.util.Set;

/** What a hand does to the sounds of a line. Times are seconds into the line's recording. */
public sealed interface SoundEdit extends ShotEdit {
    /** The frame the line begins at. */
    int at();

    DialogueLine corrected(DialogueLine line);

    @Override
    default Shot apply(Shot shot) {
        LayoutEdit.require(shot, at());
        return shot.withLines(shot.lines().stream()
                .map(p -> p.at() == at() ? new PlacedLine(at(), corrected(p.line())) : p)
                .toList());
    }

    @Override
    default Set<Touch> touches() {
        return Set.of(Facet.LINE.all());
    }

    /**
     * Moves the start or the end of a sound.
     *
     * @param push whether neighbours give way, and do not stop it
     */
    record MoveEdge(int at, int sound, boolean end, double to, boolean push) implements SoundEdit {
        @Override
        public DialogueLine corrected(DialogueLine line) {
            return LineCorrection.moved(line, sound, end, to, push);
        }

        @Override
        public String describe() {
            return "Moved the " + (end ? "end" : "start") + " of sound " + (sound + 1) + " to " + Decimals.fixed(to, 3)
                    + " s";
        }
    }

    record ChangeSound(int at, int sound, Phone phone) implements SoundEdit {
        @Override
        public DialogueLine corrected(DialogueLine line) {
            return LineCorrection.changed(line, sound, phone);
        }

        @Override
        public String describe() {
            return "Made sound " + (sound + 1) + " a " + phone;
        }
    }

    /** @param time where the second one begins */
    record SplitSound(int at, int sound, double time, Phone second) implements SoundEdit {
        @Override
        public DialogueLine corrected(DialogueLine line) {
            return LineCorrection.split(line, sound, time, second);
        }

        @Override
        public String describe() {
            return "Split sound " + (sound + 1) + ", its second half a " + second;
        }
    }

    /** Joins a sound with the next one. */
    record JoinSounds(int at, int sound) implements SoundEdit {
        @Override
        public DialogueLine corrected(DialogueLine line) {
            return LineCorrection.joined(line, sound);
        }

        @Override
        public String describe() {
            return "Joined sound " + (sound + 1) + " with the next one";
        }
    }

    /** @param word whose it is, from 0; -1 for no word's */
    record AddSound(int at, int word, Phone phone, double start, double end) implements SoundEdit {
        @Override
        public DialogueLine corrected(DialogueLine line) {
            return LineCorrection.added(line, word, phone, start, end);
        }

        @Override
        public String describe() {
            return "Added a " + phone + " at " + Decimals.fixed(start, 3) + " s";
        }
    }

    record DropSound(int at, int sound) implements SoundEdit {
        @Override
        public DialogueLine corrected(DialogueLine line) {
            return LineCorrection.dropped(line, sound);
        }

        @Override
        public String describe() {
            return "Took sound " + (sound + 1) + " away";
        }
    }

    /** Lets edges be found by listening again. */
    record ReleaseEdges(int at, double from, double to) implements SoundEdit {
        @Override
        public DialogueLine corrected(DialogueLine line) {
            return LineCorrection.released(line, from, to);
        }

        @Override
        public String describe() {
            return "Let go of what was put by hand from " + Decimals.fixed(from, 2) + " to " + Decimals.fixed(to, 2)
                    + " s";
        }
    }
}
