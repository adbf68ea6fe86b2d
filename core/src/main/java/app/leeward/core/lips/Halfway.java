package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Clip;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;

/** A mouth between two others, point by point. */
public final class Halfway {
    private Halfway() {}

    /**
     * The mouth halfway; its shapes in the order of the one it leads to, in that one's colours.
     *
     * @throws MouthProblem when a piece or a point of one has none in the other to go with
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

    private static Path between(Path from, Path to, String what) {
        List<Segment> a = from.segments();
        List<Segment> b = to.segments();
        boolean alike = a.size() == b.size();
        for (int i = 0; alike && i < a.size(); i++) {
            alike = a.get(i).getClass() == b.get(i).getClass();
        }
        if (!alike) {
            throw unlike("their points do not match in " + what);
        }
        List<Point> ends = new ArrayList<>();
        from.map(p -> {
            ends.add(p);
            return p;
        });
        Iterator<Point> next = ends.iterator();
        return to.map(p -> next.next().towards(p, 0.5));
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
