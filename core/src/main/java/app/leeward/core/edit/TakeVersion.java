package app.leeward.core.edit;

import app.leeward.core.intake.LayerChange;
import app.leeward.core.intake.Versions;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.ImportedSource.ReadDrawing;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.turn.TurnMaker;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Takes changes over from a newer version of the art. What is rigged on drawings that stay is kept; a head that
 * was drawn anew is turned anew.
 *
 * @param read the newer art as a character of its own, just read
 * @param keys which of the changes, as {@link Versions#report} names them
 */
public record TakeVersion(String file, Character read, List<String> keys) implements SheetEdit {
    public TakeVersion {
        keys = List.copyOf(keys);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Took " + keys.size() + (keys.size() == 1 ? " change" : " changes") + " from " + file;
    }

    @Override
    public Outcome on(Character before) {
        Versions versions = Versions.between(before, file, read);
        Set<String> known =
                versions.report().changes().stream().map(LayerChange::key).collect(Collectors.toSet());
        Optional<String> unknown = keys.stream().filter(k -> !known.contains(k)).findFirst();
        if (unknown.isPresent()) {
            return new Outcome.Refused(
                    RefusalCode.NO_CHANGE, "There is no change '" + unknown.get() + "' in " + file + " any more.");
        }
        Set<String> wanted = new HashSet<>(keys);
        Character c = versions.taken(wanted);
        for (ReadDrawing gone : versions.takenAway(wanted)) {
            int left = c.part(gone.part()).map(Part::drawings).map(List::size).orElse(0);
            Edit away = left <= 1 ? new Discard(List.of(gone.part())) : new DropDrawing(gone.part(), gone.drawing());
            if (away.on(c) instanceof Outcome.Done done) {
                c = done.character();
            } else {
                return away.on(c);
            }
        }
        return new Outcome.Done(turned(before, c));
    }

    /** A head that was drawn anew is turned anew, if its turn was made from its solids; what was shaped by hand stays. */
    private static Character turned(Character before, Character c) {
        boolean made = c.controls().turn().isPresent() && c.controls().views().isEmpty();
        Optional<Part> head = c.part(PartRole.HEAD);
        boolean drawnAnew = head.isPresent()
                && c.rig().parts().stream()
                        .filter(p -> c.rig().follows(p.id(), head.get().id()))
                        .anyMatch(p -> before.part(p.id())
                                .filter(was -> was.drawings().equals(p.drawings()))
                                .isEmpty());
        return made && drawnAnew ? TurnMaker.addTo(c) : c;
    }
}
