package app.leeward.core.edit;

/** Changes the drawings of a set: which there are, in what order, how they stand and what they lie over. */
public sealed interface DrawingEdit extends Edit
        permits JoinSet, CopyDrawing, DropDrawing, NameDrawing, OrderDrawing, StackDrawing, StandBetween {}
