package app.leeward.core.rig;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Grip;
import app.leeward.core.art.Wrist;
import app.leeward.core.cue.Cue;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Pad;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A cut-out character as it stands at one revision. Immutable; changed only by edits.
 *
 * @param sheet what it is drawn on and stood to
 * @param rig its parts and how they hang together
 * @param controls what moves it
 * @param library what is kept by name
 * @param voice what it speaks with
 * @param origin where it came from
 * @param review what was said about what the checks find
 */
@RecordBuilder
public record Character(
        String name,
        Sheet sheet,
        Rig rig,
        Controls controls,
        Library library,
        Voice voice,
        Origin origin,
        Review review)
        implements CharacterBuilder.With {
    /** @throws IllegalArgumentException when the name is blank */
    public Character {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a character needs a name");
        }
        // stored before there was such a thing
        review = review == null ? Review.NONE : review;
    }

    /** A character nobody has said anything about yet. */
    public Character(
            String name, Sheet sheet, Rig rig, Controls controls, Library library, Voice voice, Origin origin) {
        this(name, sheet, rig, controls, library, voice, origin, Review.NONE);
    }

    public Optional<Part> part(String id) {
        return rig.part(id);
    }

    /** The first part in this role and on this side. */
    public Optional<Part> part(PartRole role, Side side) {
        return rig.part(role, side);
    }

    /** The first part in this role, whatever its side. */
    public Optional<Part> part(PartRole role) {
        return rig.part(role);
    }

    public Optional<Dial> dial(String id) {
        return controls.dial(id);
    }

    public Optional<Look> look(String id) {
        return library.looks().stream().filter(l -> l.id().equals(id)).findFirst();
    }

    public Optional<Cue> cue(String id) {
        return library.cues().stream().filter(q -> q.id().equals(id)).findFirst();
    }

    /** Everything at rest, but the view shown that a part belongs to. */
    public Pose showing(String part) {
        return controls.views()
                .flatMap(v -> Optional.ofNullable(v.membership(rig.parts()).get(part))
                        .filter(root -> !root.equals(v.main().root()))
                        .flatMap(v::shown)
                        .map(b -> Pose.of(Map.of(v.dial(), b.middle()))))
                .orElse(Pose.REST);
    }

    /** Everything at rest, but the view shown that is shown in a pose. */
    public Pose resting(Pose pose) {
        return controls.views()
                .flatMap(v -> Optional.ofNullable(pose.dials().get(v.dial())).map(at -> Pose.of(Map.of(v.dial(), at))))
                .orElse(Pose.REST);
    }

    /** The body and the view that stands for all; every part of a character without views. */
    public List<Part> mainParts() {
        return controls.views()
                .map(v -> {
                    Map<String, String> of = v.membership(rig.parts());
                    String main = v.main().root();
                    return rig.parts().stream()
                            .filter(p -> of.getOrDefault(p.id(), main).equals(main))
                            .toList();
                })
                .orElse(rig.parts());
    }

    /** A drawing of a part, when both are there. */
    public Optional<Drawing> drawing(String part, String drawing) {
        return part(part).flatMap(p -> p.drawing(drawing));
    }

    /** Where a drawing of a hand holds things, when it does. */
    public Optional<Grip> grip(String part, String drawing) {
        return drawing(part, drawing).flatMap(Drawing::grip);
    }

    /** The wrist of a drawing of a hand, where it is known. */
    public Optional<Wrist> wrist(String part, String drawing) {
        return drawing(part, drawing).flatMap(Drawing::wrist);
    }

    /** How a hand's wrist bends, when it does. */
    public Optional<WristBend> wristBend(String part) {
        return part(part).flatMap(Part::wristBend);
    }

    public Character withSheet(UnaryOperator<Sheet> change) {
        return withSheet(change.apply(sheet));
    }

    public Character withRig(UnaryOperator<Rig> change) {
        return withRig(change.apply(rig));
    }

    public Character withControls(UnaryOperator<Controls> change) {
        return withControls(change.apply(controls));
    }

    public Character withLibrary(UnaryOperator<Library> change) {
        return withLibrary(change.apply(library));
    }

    public Character withVoice(UnaryOperator<Voice> change) {
        return withVoice(change.apply(voice));
    }

    public Character withOrigin(UnaryOperator<Origin> change) {
        return withOrigin(change.apply(origin));
    }

    public Character withReview(UnaryOperator<Review> change) {
        return withReview(change.apply(review));
    }

    public Character withDials(List<Dial> dials, List<Pad> pads) {
        return withControls(c -> c.withDials(dials).withPads(pads));
    }

    /** With every part changed alike. */
    public Character withEachPart(UnaryOperator<Part> change) {
        return withRig(r -> r.withParts(r.parts().stream().map(change).toList()));
    }

    public Character withPart(String id, UnaryOperator<Part> change) {
        return withEachPart(p -> p.id().equals(id) ? change.apply(p) : p);
    }

    /** @param at where in the stacking order it goes, 0 for the back */
    public Character withNewPart(Part part, int at) {
        return withRig(r -> r.withNewPart(part, at));
    }

    /** Without a part that nothing follows, and without all that was said about it. */
    public Character withoutPart(String id) {
        // what hung on it is found where it hung itself
        Optional<String> above = part(id).flatMap(Part::parent);
        return new Character(
                name,
                sheet,
                rig.without(id),
                controls.without(id, above),
                library.without(id),
                voice.without(id),
                origin,
                review.without(id));
    }
}
