package app.leeward.core.edit;

/** Changes hands: wrists, grips, fingers, and how a wrist bends. */
public sealed interface HandEdit extends Edit
        permits RegisterHand, SetWrist, SetGrip, MarkFingers, BendWrist, WeighPoint {}
