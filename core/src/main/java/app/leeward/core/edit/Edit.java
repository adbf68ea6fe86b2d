package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;

/**
 * Every way a character can change. Undo, history, storage and tests all go through {@link Edits#apply}. Pure: the same
 * character and edit give the same outcome.
 */
public sealed interface Edit
        permits Adopt,
                Rename,
                RenamePart,
                Nudge,
                Show,
                ServeSound,
                Pronounce,
                SetDial,
                Place,
                MovePivot,
                Hang,
                HangDial,
                KeepKit,
                NameKit,
                DropKit,
                ShowKit,
                KeyKit,
                StackDrawing,
                KeepRun,
                DropRun,
                KeyRun,
                AddGroup,
                Stack,
                StackByRole,
                Mask,
                MirrorSide,
                BreakLink,
                Flip,
                Discard,
                Fit,
                MoveAxis,
                MoveModelLine,
                ReadAs,
                JoinSet,
                SetSides,
                Recolour,
                MergeColours,
                NameSwatch,
                Tidy,
                MovePoint,
                AddPoint,
                RemovePoint,
                RoundPoint,
                OrderShape,
                PaintShape,
                CopyDrawing,
                DropDrawing,
                StandBetween,
                MendLid,
                BuildEyes,
                MakeDial,
                FitGaze,
                DropDial,
                NewDial,
                ChangeDial,
                Record,
                Forget,
                MoveStop,
                CopyStop,
                MirrorStop,
                DropStop,
                MoveBandEdge,
                MakeBrows,
                SplitDial,
                JoinDials,
                OffsetPupil,
                RestLids,
                BendLidLine,
                MakeLooks,
                KeepLook,
                NameLook,
                DropLook,
                MakeCues,
                SetCue,
                DropCue,
                MakeMouths,
                SetMood,
                DropMood,
                ThinMouths,
                MendMouth,
                LeadInto,
                MakeTurn,
                MakeHeadDial,
                EaseStop,
                TravelBy,
                MakeViews,
                MoveViewEdge,
                RegisterViews,
                RegisterHand,
                SetWrist,
                FollowDial,
                Unfollow,
                RecordCorner,
                ForgetCorner,
                PullPoint,
                SetKey,
                TakeVersion {
    /** Touched by an edit after which nothing made before it makes sense. */
    String EVERYTHING = "everything";

    /** What it does, in a rigger's words; {@code before} is the character it is applied to. */
    String describe(Character before);

    /** What it changes, so that edits made at the same time to different things can both be kept. */
    Set<String> touches();

    /** What becomes of a character; linked twins are seen to by {@link Edits#apply}. */
    Outcome on(Character before);
}
