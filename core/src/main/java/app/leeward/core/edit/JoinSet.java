package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.Sets;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes the drawings of one part drawings of another: a layer that turns out to be one more mouth or hand. */
public record JoinSet(String part, String into) implements DrawingEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return Edits.nameOf(before, part) + " became a drawing of " + Edits.nameOf(before, into);
    }

    @Override
    public Outcome on(Character before) {
        Optional<String> gone = Edits.missing(before, List.of(part, into));
        if (gone.isPresent()) {
            return Edits.noPart(gone.get());
        }
        Part from = before.part(part).orElseThrow();
        Part to = before.part(into).orElseThrow();
        if (part.equals(into) || from.drawings().isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_DRAWING, from.name() + " has no drawing to give to " + to.name() + ".");
        }
        Evaluator rest = new Evaluator(before);
        Matrix place = rest.atRest(Optional.of(into)).inverse().times(rest.atRest(Optional.of(part)));
        List<Drawing> drawings = new ArrayList<>(to.drawings());
        Map<String, String> called = new HashMap<>();
        Set<String> taken = new HashSet<>(drawings.stream().map(Drawing::id).toList());
        for (Drawing d : from.drawings()) {
            String name = from.drawings().size() == 1 ? from.name() : d.name();
            String id = Ids.unused(name, taken);
            taken.add(id);
            called.put(d.id(), id);
            Artwork art = Sets.rolesFor(to, d.art());
            Drawing given = d.withId(id).withName(name).withArt(art);
            drawings.add(place.equals(Matrix.IDENTITY) ? given : given.transform(place));
        }
        String shown = to.drawings().isEmpty() ? drawings.get(0).id() : to.shown();
        Character joined = before.withPart(into, p -> p.withDrawings(drawings, shown))
                .withOrigin(
                        origin -> origin.withSource(before.origin().source().map(r -> r.moved(part, into, called))));
        Outcome left = new Discard(List.of(part)).on(joined);
        return left instanceof Outcome.Done done ? new Outcome.Done(Sets.charted(done.character(), into)) : left;
    }
}
