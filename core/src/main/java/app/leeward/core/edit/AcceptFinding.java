package app.leeward.core.edit;

import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Says that what a check finds is meant to be so, and why; said again, the newer reason counts. */
public record AcceptFinding(AcceptedFinding finding) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ACCEPTED.of(finding.check() + "/" + finding.code() + "/" + finding.part()));
    }

    @Override
    public String describe(Character before) {
        return "Accepted " + finding.words()
                + (finding.part().isEmpty() ? "" : " of " + Edits.nameOf(before, finding.part())) + ": "
                + finding.reason().strip();
    }

    @Override
    public Outcome on(Character before) {
        if (!finding.part().isEmpty() && before.part(finding.part()).isEmpty()) {
            return Edits.noPart(finding.part());
        }
        return new Outcome.Done(before.withReview(review -> review.withAccepted(finding.among(review.accepted()))));
    }
}
