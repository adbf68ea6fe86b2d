package app.leeward.core.edit;

import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Says that what was accepted is to be mended after all. */
public record ReopenFinding(AcceptedFinding finding) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ACCEPTED.of(finding.check() + "/" + finding.code() + "/" + finding.part()));
    }

    @Override
    public String describe(Character before) {
        return "Took up again: " + finding.words()
                + (finding.part().isEmpty() ? "" : " of " + Edits.nameOf(before, finding.part()));
    }

    @Override
    public Outcome on(Character before) {
        return new Outcome.Done(before.withReview(review -> review.withAccepted(finding.takenFrom(review.accepted()))));
    }
}
