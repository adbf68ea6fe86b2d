package app.leeward.faces;

import java.util.List;

/**
 * One layer of a face before it is written.
 *
 * @param detail tells apart what is alike: the sound of a mouth, how far a blink has come; empty mostly
 * @param group what it lies in where layers are grouped: head, an eye, the mouth, the hat; empty for none
 * @param hidden not to be seen in the file
 * @param aside laid out beside the figure
 */
record Piece(What what, Side side, String detail, String group, List<Mark> marks, boolean hidden, boolean aside) {
    Piece(What what, Side side, String group, Mark... marks) {
        this(what, side, "", group, List.of(marks), false, false);
    }

    /** The same on the other side. */
    Piece mirrored() {
        Side other = side == Side.LEFT ? Side.RIGHT : side == Side.RIGHT ? Side.LEFT : side;
        String there = group.replace("left", "•").replace("right", "left").replace("•", "right");
        return new Piece(
                what, other, detail, there, marks.stream().map(Mark::mirrored).toList(), hidden, aside);
    }

    Piece hiddenAs(String newDetail) {
        return new Piece(what, side, newDetail, group, marks, true, aside);
    }

    Piece drawn(List<Mark> otherwise) {
        return new Piece(what, side, detail, group, otherwise, hidden, aside);
    }

    Piece named(String newDetail) {
        return new Piece(what, side, newDetail, group, marks, hidden, aside);
    }

    Piece laidAside(double dx, double dy) {
        return new Piece(
                what,
                side,
                detail,
                group,
                marks.stream().map(m -> m.moved(dx, dy)).toList(),
                hidden,
                true);
    }
}
