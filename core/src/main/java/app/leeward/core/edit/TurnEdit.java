package app.leeward.core.edit;

/** Changes the turn of the head and its views. */
public sealed interface TurnEdit extends Edit
        permits MakeTurn,
                MakeHeadDial,
                MakeSides,
                MakeViews,
                MeshPicture,
                MoveViewEdge,
                RegisterViews,
                SetSolid,
                SplitNose {}
