package app.leeward.core.shot;

import app.leeward.core.edit.Facet;
import app.leeward.core.edit.Touch;
import app.leeward.core.rig.AcceptedFinding;
import java.util.Set;

/** What is said about what the check of a shot finds. */
public sealed interface ReviewEdit extends ShotEdit {
    /** Says that it is meant to be so, and why; said again, the newer reason counts. */
    record Accept(AcceptedFinding finding) implements ReviewEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withAccepted(finding.among(shot.accepted()));
        }

        @Override
        public Set<Touch> touches() {
            return touched(finding);
        }

        @Override
        public String describe() {
            return "Accepted " + finding.words() + ": " + finding.reason().strip();
        }
    }

    /** Says that what was accepted is to be mended after all. */
    record Reopen(AcceptedFinding finding) implements ReviewEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withAccepted(finding.takenFrom(shot.accepted()));
        }

        @Override
        public Set<Touch> touches() {
            return touched(finding);
        }

        @Override
        public String describe() {
            return "Took up again: " + finding.words();
        }
    }

    private static Set<Touch> touched(AcceptedFinding f) {
        return Set.of(Facet.ACCEPTED.of(f.check() + "/" + f.code() + "/" + f.part()));
    }
}
