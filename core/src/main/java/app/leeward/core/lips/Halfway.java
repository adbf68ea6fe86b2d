package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Clip;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.morph.MatchedPoints;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.List;

/** A mouth between two others, piece by piece and point by point. */
public final class Halfway {
    private Halfway() {}

    /**
     * The mouth halfway; its shapes in the order of the one it leads to, in that one's colours.
     *
     * @throws MouthProblem when a piece of one has none in the other to go with
     */
    public static Artwork between(Artwork from, Artwork to) {
        List<Shape> left = new ArrayList<>(from.shapes());
        List<Shape> out = new ArrayList<>();
        for (Shape s : to.shapes()) {
            Shape other = left.stream()
                    .filter(o -> o.role() == s.role())
                    .findFirst()
                    .orElseThrow(() -> unlike("one of them has no " + words(s)));
            left.remove(other);
            out.add(between(other, s));
        }
        if (!left.isEmpty()) {
            throw unlike("one of them has no " + words(left.get(0)));
        }
        return new Artwork(out);
    }

    private static Shape between(Shape from, Shape to) {
        Shape moved = to.withPath(between(from.path(), to.path(), words(to)));
        if (from.clips().size() != to.clips().size()) {
            // teeth that bite come out at the last moment
            return moved;
        }
        List<Clip> clips = new ArrayList<>();
        for (int i = 0; i < to.clips().size(); i++) {
            Clip c = to.clips().get(i);
            clips.add(new Clip(between(from.clips().get(i).path(), c.path(), words(to)), c.rule()));
        }
        return moved.withClips(clips);
    }

    /** Outlines that were drawn with other points are given the same ones first; they look as they did. */
    private static Path between(Path from, Path to, String what) {
        if (from.steppedLike(to)) {
            return to.towards(from, 0.5);
        }
        MatchedPoints matched = MatchedPoints.of(from, to)
                .orElseThrow(() -> unlike(
                        "in " + what + " one is open where the other is closed, or is of more pieces than the other"));
        return matched.to().of(to).towards(matched.from().of(from), 0.5);
    }

    private static String words(Shape s) {
        return s.name().isBlank()
                ? s.role().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ')
                : s.name();
    }

    private static MouthProblem unlike(String why) {
        return new MouthProblem(
                RefusalCode.MOUTHS_UNLIKE,
                "There is nothing halfway between these two mouths: " + why
                        + ". Mend what is off model first, or make both from the starting mouth.");
    }
}
