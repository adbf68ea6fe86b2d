package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Side;
import java.util.Optional;

/**
 * What is seen of a part without its name. Shares are of the face's width and height.
 *
 * @param across how far its middle is from the axis, to the left of the character positive
 * @param down how far its middle is below the face's top
 * @param wide its width
 * @param tall its height
 * @param twin whether there is a part like it on the other side
 * @param colour of its largest filled shape; empty when nothing is filled
 * @param through whether what is behind it shines through
 * @param place in the stack, 0 at the back
 */
record Sighted(
        Part part,
        Box box,
        double across,
        double down,
        double wide,
        double tall,
        boolean twin,
        Optional<Lab> colour,
        boolean through,
        int shapes,
        int place) {
    /** How far from the axis the middle of what belongs to no side may be. */
    private static final double MIDDLE = 0.05;

    static Sighted of(Part p, Box b, Box face, double axis, boolean twin, int place) {
        Artwork art = p.drawing(p.shown()).orElse(p.drawings().get(0)).art();
        Shape largest = largest(art);
        return new Sighted(
                p,
                b,
                (b.centre().x() - axis) / face.width(),
                (b.centre().y() - face.minY()) / face.height(),
                b.width() / face.width(),
                b.height() / face.height(),
                twin,
                largest == null ? Optional.empty() : colour(largest),
                largest != null && through(largest),
                art.shapes().size(),
                place);
    }

    private static Shape largest(Artwork art) {
        Shape found = null;
        double most = -1;
        for (Shape s : art.shapes()) {
            double area = s.path().bounds().map(b -> b.width() * b.height()).orElse(0.0);
            if (area > most && colour(s).isPresent()) {
                most = area;
                found = s;
            }
        }
        return found;
    }

    /** Of what fills a shape. */
    static Optional<Lab> colour(Shape s) {
        return s.fill().mainColour().map(Lab::of);
    }

    private static boolean through(Shape s) {
        return s.opacity() < 0.9 || s.fill() instanceof Paint.Flat f && f.opacity() < 0.9;
    }

    boolean filled() {
        return colour.isPresent();
    }

    boolean pale() {
        return lightness() > 85;
    }

    boolean dark() {
        return filled() && lightness() < 30;
    }

    /** L* of what is filled; middling when nothing is. */
    double lightness() {
        return colour.map(Lab::l).orElse(50.0);
    }

    boolean like(Optional<Lab> other, double difference) {
        return colour.isPresent() && other.isPresent() && colour.get().difference(other.get()) < difference;
    }

    boolean middle() {
        return Math.abs(across) < MIDDLE;
    }

    Side side() {
        return middle() ? Side.NONE : across > 0 ? Side.LEFT : Side.RIGHT;
    }

    boolean inside(Box larger) {
        return larger.contains(box.centre()) && box.width() < larger.width() && box.height() < larger.height();
    }

    /** Its upper and lower edge as shares below the face's top. */
    double top() {
        return down - tall / 2;
    }

    double bottom() {
        return down + tall / 2;
    }
}
