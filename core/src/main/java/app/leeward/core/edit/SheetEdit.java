package app.leeward.core.edit;

/** Changes the character as a whole: its art as it comes in, what it takes from another, its name, canvas, axis and model lines; or mends several things. */
public sealed interface SheetEdit extends Edit
        permits ImportCharacter,
                TakeVersion,
                TakeFrom,
                Rename,
                Fit,
                MoveAxis,
                MoveModelLine,
                Tidy,
                Flip,
                CurveBends,
                MendAll {}
