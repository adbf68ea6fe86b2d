package app.leeward.core.solid;

import app.leeward.core.art.Point;

/** How the points of a piece go with the head. */
@FunctionalInterface
interface Motion {
    /** @param rest where a point is at rest, canvas units; what it takes to know about it is found once here */
    Follow of(Point rest);

    /** One point, followed: where it is from each view. */
    @FunctionalInterface
    interface Follow {
        Point at(View view);
    }
}
