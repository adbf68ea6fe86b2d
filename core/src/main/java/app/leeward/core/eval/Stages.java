package app.leeward.core.eval;

import app.leeward.core.rig.Character;

/** The stages an evaluation runs through, compiled for one character, in the order they run in. Immutable, and may be shared. */
record Stages(
        CompiledRig rig,
        DialSolver dials,
        ViewStage views,
        PoseStage poses,
        CorrectiveStage correctives,
        LidLimits lids,
        DrawingStage drawings,
        GripStage grips,
        TransformStage transforms,
        StackingStage stacking,
        OutlineStage outlines,
        MaskStage masks) {
    static Stages of(Character character) {
        CompiledRig rig = new CompiledRig(character);
        DialSolver dials = new DialSolver(character);
        ViewStage views = new ViewStage(rig, dials);
        PoseStage poses = new PoseStage(rig, dials, views);
        GripStage grips = new GripStage(rig);
        TransformStage transforms = new TransformStage(rig, views, grips);
        return new Stages(
                rig,
                dials,
                views,
                poses,
                new CorrectiveStage(rig, dials),
                new LidLimits(rig),
                new DrawingStage(rig, views, poses),
                grips,
                transforms,
                new StackingStage(rig),
                new OutlineStage(rig, transforms, new WristStage(character)),
                new MaskStage(rig));
    }
}
