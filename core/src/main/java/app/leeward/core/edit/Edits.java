package app.leeward.core.edit;

import app.leeward.core.eye.GazeField;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Attachment;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.text.Decimals;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Applies edits, and what every edit of some kind has to watch. */
public final class Edits {
    /** Longest name, so that one careless paste does not fill every list. */
    public static final int LONGEST_NAME = 80;

    private Edits() {}

    /**
     * The edit, and after it the same on the other side for every part whose mirror link holds; how far the eyes can look is
     * measured anew when they changed.
     */
    public static Outcome apply(Character c, Edit edit) {
        Outcome drafted = draft(c, edit);
        return drafted instanceof Outcome.Done done && GazeField.outdated(c, done.character())
                ? new Outcome.Done(GazeField.fitted(done.character()))
                : drafted;
    }

    /**
     * What an edit would do while a hand is in the middle of it: all that {@link #apply} does, but how far the eyes can look stays
     * as it was measured last.
     */
    public static Outcome draft(Character c, Edit edit) {
        try {
            Outcome outcome = edit.on(c);
            return outcome instanceof Outcome.Done done
                    ? new Outcome.Done(carried(c, tidied(Twins.follow(c, done.character())), edit))
                    : outcome;
        } catch (Refusal e) {
            return new Outcome.Refused(e.reason(), e.getMessage());
        }
    }

    /** What shapes no dial by hand leaves no trace of a hand in the head turn, though it may change its numbers. */
    private static Character carried(Character before, Character after, Edit edit) {
        boolean same = before.controls().turn().isEmpty()
                || after.controls().turn().isEmpty()
                || !before.controls()
                        .turn()
                        .get()
                        .made()
                        .equals(after.controls().turn().get().made())
                || before.controls().dials() == after.controls().dials()
                        && before.controls().correctives() == after.controls().correctives();
        return same || edit instanceof ShapesDial
                ? after
                : after.withControls(controls ->
                        controls.withTurn(controls.turn().map(t -> t.carried(before.controls(), controls))));
    }

    /** Without what was said about drawings that are gone: their keys, their place in kits and runs, and the ways into and out of them. */
    private static Character tidied(Character c) {
        Character out = c;
        // what was taken elsewhere, or whose hand is no hand any more, is not held
        if (c.rig().parts().stream().anyMatch(p -> p.inGrip() && !inHand(c, p))) {
            out = out.withEachPart(p -> p.inGrip() && !inHand(c, p) ? p.withAttachment(Attachment.PARENT) : p);
        }
        if (!c.library().keys().stream().allMatch(k -> offers(c, k.part(), k.drawing()))) {
            out = out.withLibrary(library -> library.withKeys(c.library().keys().stream()
                    .filter(k -> offers(c, k.part(), k.drawing()))
                    .toList()));
        }
        if (!c.library().kits().stream()
                .allMatch(k -> k.choices().entrySet().stream().allMatch(e -> offers(c, e)))) {
            out = out.withLibrary(library -> library.withKits(c.library().kits().stream()
                    .map(k -> k.choices().entrySet().stream()
                            .filter(e -> offers(c, e))
                            .collect(Collectors.collectingAndThen(
                                    Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue),
                                    left -> left.isEmpty() ? Optional.<Kit>empty() : Optional.of(k.withChoices(left)))))
                    .flatMap(Optional::stream)
                    .toList()));
        }
        String mouth = c.voice().mouths().part().orElse("");
        Map<String, MouthChart.Between> ways = new HashMap<>(c.voice().mouths().betweens());
        ways.entrySet()
                .removeIf(w -> !has(c, mouth, w.getKey())
                        || !has(c, mouth, w.getValue().drawing()));
        return ways.size() == c.voice().mouths().betweens().size()
                ? out
                : out.withVoice(voice -> voice.withMouths(c.voice().mouths().withBetweens(ways)));
    }

    private static boolean offers(Character c, Map.Entry<String, String> choice) {
        return offers(c, choice.getKey(), choice.getValue());
    }

    private static boolean inHand(Character c, Part part) {
        return part.parent()
                .flatMap(c::part)
                .filter(p -> p.role() == PartRole.HAND)
                .isPresent();
    }

    private static boolean offers(Character c, String part, String drawing) {
        return c.part(part).filter(p -> p.offers(drawing)).isPresent();
    }

    private static boolean has(Character c, String part, String drawing) {
        return c.part(part).flatMap(p -> p.drawing(drawing)).isPresent();
    }

    /** The refusal of a name that is empty or too long; empty for a good one. */
    static Optional<Outcome> badName(String name) {
        if (name == null || name.isBlank()) {
            return Optional.of(new Outcome.Refused(RefusalCode.NO_NAME, "A name cannot be empty."));
        }
        return name.strip().length() <= LONGEST_NAME
                ? Optional.empty()
                : Optional.of(new Outcome.Refused(
                        RefusalCode.LONG_NAME,
                        "A name has at most " + LONGEST_NAME + " letters; this one has "
                                + name.strip().length() + "."));
    }

    static Outcome onPart(Character c, String id, UnaryOperator<Part> change) {
        return c.part(id).isPresent() ? new Outcome.Done(c.withPart(id, change)) : noPart(id);
    }

    static Outcome.Refused noPart(String id) {
        return new Outcome.Refused(RefusalCode.NO_PART, "There is no part '" + id + "' any more.");
    }

    /** The first of these ids that is no part. */
    static Optional<String> missing(Character c, List<String> ids) {
        return ids.stream().filter(id -> c.part(id).isEmpty()).findFirst();
    }

    static String nameOf(Character c, String part) {
        return c.part(part).map(Part::name).orElse(part);
    }

    static String namesOf(Character c, List<String> parts) {
        return parts.size() > 3
                ? parts.size() + " parts"
                : parts.stream().map(p -> nameOf(c, p)).collect(Collectors.joining(", "));
    }

    /** A number to at most two places. */
    static String plain(double v) {
        return Decimals.plain(v, 2);
    }

    /** Whether a shift would take something out of any picture. */
    static boolean tooFar(Character c, double... shifts) {
        double far =
                10 * Math.max(c.sheet().canvas().width(), c.sheet().canvas().height());
        for (double s : shifts) {
            if (!(Math.abs(s) <= far)) {
                return true;
            }
        }
        return false;
    }

    static final Outcome TOO_FAR =
            new Outcome.Refused(RefusalCode.TOO_FAR, "That would move the part far off the canvas.");
}
