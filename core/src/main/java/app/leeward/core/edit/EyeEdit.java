package app.leeward.core.edit;

/** Changes eyes, lids, pupils and brows. */
public sealed interface EyeEdit extends Edit
        permits BuildEyes, MendLid, FitGaze, OffsetPupil, RestLids, BendLidLine, MakeBrows {}
