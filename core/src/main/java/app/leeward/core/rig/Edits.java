package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import app.leeward.core.dial.Dial;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Applies edits. Pure: the same character and edit give the same outcome. */
public final class Edits {
    /** Longest name, so that one careless paste does not fill every list. */
    public static final int LONGEST_NAME = 80;

    private Edits() {}

    public static Outcome apply(Character c, Edit edit) {
        if (edit instanceof Edit.Adopt adopt) {
            return new Outcome.Done(adopt.character());
        }
        if (edit instanceof Edit.Rename rename) {
            return named(rename.name())
                    .orElseGet(() -> new Outcome.Done(c.withName(rename.name().strip())));
        }
        if (edit instanceof Edit.RenamePart e) {
            return named(e.name())
                    .orElseGet(
                            () -> onPart(c, e.part(), p -> p.withName(e.name().strip())));
        }
        if (edit instanceof Edit.Nudge e) {
            return nudge(c, e);
        }
        if (edit instanceof Edit.Show e) {
            return show(c, e);
        }
        if (edit instanceof Edit.ServeSound e) {
            return serve(c, e);
        }
        if (edit instanceof Edit.Pronounce e) {
            return e.word().isBlank() || e.phones().isEmpty()
                    ? new Outcome.Refused("no-sounds", "A word needs at least one sound.")
                    : new Outcome.Done(c.withLexicon(c.lexicon().with(e.word().strip(), e.phones())));
        }
        return setDial(c, ((Edit.SetDial) edit).dial());
    }

    private static Optional<Outcome> named(String name) {
        if (name == null || name.isBlank()) {
            return Optional.of(new Outcome.Refused("no-name", "A name cannot be empty."));
        }
        return name.strip().length() <= LONGEST_NAME
                ? Optional.empty()
                : Optional.of(new Outcome.Refused(
                        "long-name",
                        "A name has at most " + LONGEST_NAME + " letters; this one has "
                                + name.strip().length() + "."));
    }

    private static Outcome onPart(Character c, String id, java.util.function.UnaryOperator<Part> change) {
        return c.part(id).isPresent() ? new Outcome.Done(c.withPart(id, change)) : noPart(id);
    }

    private static Outcome.Refused noPart(String id) {
        return new Outcome.Refused("no-part", "There is no part '" + id + "' any more.");
    }

    private static Outcome nudge(Character c, Edit.Nudge e) {
        double far = 10 * Math.max(c.canvas().width(), c.canvas().height());
        Numbers.finite("nudge", e.dx() + e.dy());
        if (Math.abs(e.dx()) > far || Math.abs(e.dy()) > far) {
            return new Outcome.Refused("too-far", "That would move the part far off the canvas.");
        }
        return onPart(c, e.part(), p -> p.withRest(p.rest().movedBy(e.dx(), e.dy())));
    }

    private static Outcome show(Character c, Edit.Show e) {
        Optional<Part> part = c.part(e.part());
        if (part.isEmpty()) {
            return noPart(e.part());
        }
        return part.get().offers(e.drawing())
                ? onPart(c, e.part(), p -> p.withShown(e.drawing()))
                : new Outcome.Refused("no-drawing", part.get().name() + " has no drawing '" + e.drawing() + "'.");
    }

    private static Outcome serve(Character c, Edit.ServeSound e) {
        boolean known = c.mouths()
                .part()
                .flatMap(c::part)
                .flatMap(p -> p.drawing(e.drawing()))
                .isPresent();
        return known
                ? new Outcome.Done(c.withMouths(c.mouths().with(e.viseme(), e.drawing())))
                : new Outcome.Refused("no-drawing", "The mouth has no drawing '" + e.drawing() + "'.");
    }

    private static Outcome setDial(Character c, Dial dial) {
        List<Dial> dials = new ArrayList<>(c.dials());
        int at = dials.indexOf(c.dial(dial.id()).orElse(null));
        if (at < 0) {
            dials.add(dial);
        } else {
            dials.set(at, dial);
        }
        return new Outcome.Done(c.withDials(dials, c.pads()));
    }
}
