package app.leeward.core.edit;

/** Changes parts: how they are called, read, placed, stacked, masked and who follows whom. */
public sealed interface PartEdit extends Edit
        permits RenamePart,
                Nudge,
                Show,
                Place,
                MovePivot,
                Hang,
                AddGroup,
                Stack,
                StackByRole,
                Mask,
                MirrorSide,
                BreakLink,
                Discard,
                ReadAs,
                SetSides,
                Hold,
                ShowPast {}
