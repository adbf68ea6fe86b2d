package app.leeward.core.edit;

/** Changes the points, paints and order of the shapes of one drawing. */
public sealed interface ShapeEdit extends Edit
        permits MovePoint, AddPoint, RemovePoint, RoundPoint, OrderShape, PaintShape, MatchPoints {}
