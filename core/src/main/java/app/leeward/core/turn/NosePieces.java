package app.leeward.core.turn;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Stroke;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Takes a nose apart, so that its profile grows out of the face instead of being exchanged: the front drawing stays, and shows on
 * the face's fill only; the profile's filling lies on the face and covers the face's line where the nose comes over it; the profile's line shows only
 * past the edge of the face's fill. Filling and line follow the nose, so whatever the turn does to it they do too.
 */
public final class NosePieces {
    private NosePieces() {}

    /** Whether {@link #of} has something to take apart. */
    public static boolean canBe(Character c) {
        return of(c).isPresent();
    }

    /** Empty without a front drawing, a profile, a face to lie on, or where views turn the head. */
    public static Optional<Character> of(Character c) {
        Optional<Part> face =
                c.part(PartRole.FACE).filter(f -> f.drawing(f.shown()).isPresent());
        if (c.controls().views().isPresent()
                || face.isEmpty()
                || c.part(PartRole.NOSE).isEmpty()) {
            return Optional.empty();
        }
        Character ready = NoseProfile.bothWays(c);
        Part nose = ready.part(PartRole.NOSE).orElseThrow();
        List<Drawing> front =
                nose.drawings().stream().filter(d -> !NoseProfile.is(d)).toList();
        Optional<Drawing> right = NoseProfile.towards(nose, true);
        Optional<Drawing> left = NoseProfile.towards(nose, false);
        if (front.isEmpty() || right.isEmpty() || left.isEmpty()) {
            return Optional.empty();
        }
        String shown = front.stream().anyMatch(d -> d.id().equals(nose.shown()))
                ? nose.shown()
                : front.get(0).id();
        Character now = ready.withPart(nose.id(), p -> p.withDrawings(front, shown));
        List<Drawing> profiles = List.of(left.get(), right.get());
        int over = now.rig().order().indexOf(face.get().id()) + 1;
        List<Part> pieces = new ArrayList<>();
        pieces.add(piece(now, nose, " filling", only(profiles, NosePieces::filling)));
        now = now.withNewPart(pieces.get(0), over);
        pieces.add(piece(now, nose, " line past the edge", only(profiles, NosePieces::line)));
        now = now.withNewPart(pieces.get(1), over + 1);
        List<String> edge = List.of(face.get().id());
        List<Dial> dials = now.controls().dials().stream()
                .map(d -> d.id().equals(TurnMaker.DIAL) ? banded(d, nose, pieces) : d)
                .toList();
        return Optional.of(now.withPart(pieces.get(1).id(), p -> p.withPastEdges(edge))
                .withRig(rig -> rig.withMasked(face.get().id(), List.of(nose.id())))
                .withDials(dials, now.controls().pads()));
    }

    private static Dial banded(Dial turn, Part nose, List<Part> pieces) {
        List<Bands> bands = new ArrayList<>(turn.bands());
        bands.removeIf(b -> b.part().equals(nose.id()));
        for (Part p : pieces) {
            NoseProfile.alwaysOn(p, turn.from(), turn.rest(), turn.to()).ifPresent(bands::add);
        }
        return turn.withBands(bands);
    }

    private static Part piece(Character c, Part nose, String name, List<Drawing> drawings) {
        HashSet<String> taken = new HashSet<>(c.rig().order());
        return new Part(
                Ids.unused(nose.name() + name, taken),
                nose.name() + name,
                PartRole.NOSE,
                nose.side(),
                Optional.of(nose.id()),
                nose.pivot(),
                Placement.REST,
                drawings,
                Part.NOTHING,
                List.of());
    }

    private static List<Drawing> only(List<Drawing> all, UnaryOperator<Artwork> of) {
        return all.stream().map(d -> d.withArt(of.apply(d.art()))).toList();
    }

    private static Artwork filling(Artwork art) {
        return new Artwork(art.shapes().stream()
                .filter(s -> !(s.fill() instanceof Paint.None))
                .map(s -> s.withStroke(Stroke.NONE))
                .toList());
    }

    private static Artwork line(Artwork art) {
        return new Artwork(art.shapes().stream()
                .filter(s -> s.stroke().visible())
                .map((Shape s) -> s.withFill(Paint.NONE))
                .toList());
    }
}
