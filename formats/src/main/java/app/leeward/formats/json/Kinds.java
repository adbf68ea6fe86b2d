package app.leeward.formats.json;

import static java.util.Map.entry;

import app.leeward.core.art.Paint;
import app.leeward.core.dial.Ease;
import app.leeward.core.edit.AcceptFinding;
import app.leeward.core.edit.AddGroup;
import app.leeward.core.edit.AddPoint;
import app.leeward.core.edit.BendLidLine;
import app.leeward.core.edit.BendWrist;
import app.leeward.core.edit.BreakLink;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.ChangeDial;
import app.leeward.core.edit.CopyDrawing;
import app.leeward.core.edit.CopyStop;
import app.leeward.core.edit.CurveBends;
import app.leeward.core.edit.Discard;
import app.leeward.core.edit.DropCue;
import app.leeward.core.edit.DropDial;
import app.leeward.core.edit.DropDrawing;
import app.leeward.core.edit.DropKit;
import app.leeward.core.edit.DropLook;
import app.leeward.core.edit.DropMood;
import app.leeward.core.edit.DropRun;
import app.leeward.core.edit.DropStop;
import app.leeward.core.edit.EaseStop;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Fit;
import app.leeward.core.edit.FitGaze;
import app.leeward.core.edit.Flip;
import app.leeward.core.edit.FollowDial;
import app.leeward.core.edit.Forget;
import app.leeward.core.edit.ForgetCorner;
import app.leeward.core.edit.ForgetWord;
import app.leeward.core.edit.Hang;
import app.leeward.core.edit.HangDial;
import app.leeward.core.edit.Hold;
import app.leeward.core.edit.ImportCharacter;
import app.leeward.core.edit.JoinDials;
import app.leeward.core.edit.JoinSet;
import app.leeward.core.edit.KeepKit;
import app.leeward.core.edit.KeepLook;
import app.leeward.core.edit.KeepRun;
import app.leeward.core.edit.KeyKit;
import app.leeward.core.edit.KeyRun;
import app.leeward.core.edit.LeadInto;
import app.leeward.core.edit.LinkSignal;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.MakeDial;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeSides;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MakeViews;
import app.leeward.core.edit.MarkFingers;
import app.leeward.core.edit.Mask;
import app.leeward.core.edit.MatchPoints;
import app.leeward.core.edit.MendAll;
import app.leeward.core.edit.MendLid;
import app.leeward.core.edit.MendMouth;
import app.leeward.core.edit.MergeColours;
import app.leeward.core.edit.MeshPicture;
import app.leeward.core.edit.MirrorSide;
import app.leeward.core.edit.MirrorStop;
import app.leeward.core.edit.MoveAxis;
import app.leeward.core.edit.MoveBandEdge;
import app.leeward.core.edit.MoveModelLine;
import app.leeward.core.edit.MovePivot;
import app.leeward.core.edit.MovePoint;
import app.leeward.core.edit.MoveStop;
import app.leeward.core.edit.MoveViewEdge;
import app.leeward.core.edit.NameDrawing;
import app.leeward.core.edit.NameKit;
import app.leeward.core.edit.NameLook;
import app.leeward.core.edit.NameSwatch;
import app.leeward.core.edit.NewDial;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.OffsetPupil;
import app.leeward.core.edit.OrderDrawing;
import app.leeward.core.edit.OrderShape;
import app.leeward.core.edit.PaintShape;
import app.leeward.core.edit.Place;
import app.leeward.core.edit.Pronounce;
import app.leeward.core.edit.PullPoint;
import app.leeward.core.edit.ReadAs;
import app.leeward.core.edit.Recolour;
import app.leeward.core.edit.Record;
import app.leeward.core.edit.RecordCorner;
import app.leeward.core.edit.RegisterHand;
import app.leeward.core.edit.RegisterViews;
import app.leeward.core.edit.RemovePoint;
import app.leeward.core.edit.Rename;
import app.leeward.core.edit.RenamePart;
import app.leeward.core.edit.ReopenFinding;
import app.leeward.core.edit.RestLids;
import app.leeward.core.edit.RoundPoint;
import app.leeward.core.edit.ServeSound;
import app.leeward.core.edit.SetCue;
import app.leeward.core.edit.SetDial;
import app.leeward.core.edit.SetGrip;
import app.leeward.core.edit.SetKey;
import app.leeward.core.edit.SetMood;
import app.leeward.core.edit.SetSides;
import app.leeward.core.edit.SetSolid;
import app.leeward.core.edit.SetWrist;
import app.leeward.core.edit.Show;
import app.leeward.core.edit.ShowKit;
import app.leeward.core.edit.ShowPast;
import app.leeward.core.edit.SplitDial;
import app.leeward.core.edit.SplitNose;
import app.leeward.core.edit.Stack;
import app.leeward.core.edit.StackByRole;
import app.leeward.core.edit.StackDrawing;
import app.leeward.core.edit.StandBetween;
import app.leeward.core.edit.SuggestLinks;
import app.leeward.core.edit.TakeFrom;
import app.leeward.core.edit.TakeVersion;
import app.leeward.core.edit.TeachWords;
import app.leeward.core.edit.ThinMouths;
import app.leeward.core.edit.Tidy;
import app.leeward.core.edit.TravelBy;
import app.leeward.core.edit.Unfollow;
import app.leeward.core.edit.UnlinkSignal;
import app.leeward.core.edit.WeighPoint;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DeliveryEdit;
import app.leeward.core.shot.LayoutEdit;
import app.leeward.core.shot.ReviewEdit;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.SoundEdit;
import app.leeward.core.shot.Way;
import app.leeward.core.signal.Driven;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The word that tells the options of one choice apart in JSON, its {@code kind}. Written down one by one, because stored data and
 * the page's calls carry these words: a class may be renamed, its kind never.
 *
 * @param sealed the interface all options share
 * @param options kinds and what they stand for, in the order they are described in
 */
public record Kinds<T>(Class<T> sealed, Map<String, Class<? extends T>> options) {
    public static final Kinds<Paint> PAINTS = of(
            Paint.class,
            List.of(
                    entry("none", Paint.None.class),
                    entry("flat", Paint.Flat.class),
                    entry("picture", Paint.Picture.class),
                    entry("patch", Paint.Patch.class),
                    entry("gradient", Paint.Gradient.class)));

    public static final Kinds<Ease> EASES = of(
            Ease.class,
            List.of(
                    entry("even", Ease.Linear.class),
                    entry("smooth", Ease.Smooth.class),
                    entry("curve", Ease.Curve.class)));

    public static final Kinds<Edit> EDITS = of(
            Edit.class,
            List.of(
                    entry("adopt", ImportCharacter.class),
                    entry("rename", Rename.class),
                    entry("rename-part", RenamePart.class),
                    entry("nudge", Nudge.class),
                    entry("show", Show.class),
                    entry("serve-sound", ServeSound.class),
                    entry("pronounce", Pronounce.class),
                    entry("teach-words", TeachWords.class),
                    entry("forget-word", ForgetWord.class),
                    entry("set-dial", SetDial.class),
                    entry("place", Place.class),
                    entry("move-pivot", MovePivot.class),
                    entry("hang", Hang.class),
                    entry("hang-dial", HangDial.class),
                    entry("keep-kit", KeepKit.class),
                    entry("name-kit", NameKit.class),
                    entry("drop-kit", DropKit.class),
                    entry("show-kit", ShowKit.class),
                    entry("key-kit", KeyKit.class),
                    entry("stack-drawing", StackDrawing.class),
                    entry("name-drawing", NameDrawing.class),
                    entry("order-drawing", OrderDrawing.class),
                    entry("show-past", ShowPast.class),
                    entry("split-nose", SplitNose.class),
                    entry("hold", Hold.class),
                    entry("set-grip", SetGrip.class),
                    entry("mark-fingers", MarkFingers.class),
                    entry("bend-wrist", BendWrist.class),
                    entry("weigh-point", WeighPoint.class),
                    entry("keep-run", KeepRun.class),
                    entry("drop-run", DropRun.class),
                    entry("key-run", KeyRun.class),
                    entry("add-group", AddGroup.class),
                    entry("stack", Stack.class),
                    entry("stack-by-role", StackByRole.class),
                    entry("mask", Mask.class),
                    entry("mirror-side", MirrorSide.class),
                    entry("break-link", BreakLink.class),
                    entry("flip", Flip.class),
                    entry("curve-bends", CurveBends.class),
                    entry("discard", Discard.class),
                    entry("fit", Fit.class),
                    entry("move-axis", MoveAxis.class),
                    entry("move-model-line", MoveModelLine.class),
                    entry("read-as", ReadAs.class),
                    entry("join-set", JoinSet.class),
                    entry("set-sides", SetSides.class),
                    entry("recolour", Recolour.class),
                    entry("merge-colours", MergeColours.class),
                    entry("name-swatch", NameSwatch.class),
                    entry("tidy", Tidy.class),
                    entry("accept-finding", AcceptFinding.class),
                    entry("reopen-finding", ReopenFinding.class),
                    entry("mend-all", MendAll.class),
                    entry("move-point", MovePoint.class),
                    entry("add-point", AddPoint.class),
                    entry("match-points", MatchPoints.class),
                    entry("remove-point", RemovePoint.class),
                    entry("round-point", RoundPoint.class),
                    entry("order-shape", OrderShape.class),
                    entry("paint-shape", PaintShape.class),
                    entry("copy-drawing", CopyDrawing.class),
                    entry("drop-drawing", DropDrawing.class),
                    entry("stand-between", StandBetween.class),
                    entry("mend-lid", MendLid.class),
                    entry("build-eyes", BuildEyes.class),
                    entry("make-dial", MakeDial.class),
                    entry("fit-gaze", FitGaze.class),
                    entry("drop-dial", DropDial.class),
                    entry("new-dial", NewDial.class),
                    entry("change-dial", ChangeDial.class),
                    entry("record", Record.class),
                    entry("forget", Forget.class),
                    entry("move-stop", MoveStop.class),
                    entry("copy-stop", CopyStop.class),
                    entry("mirror-stop", MirrorStop.class),
                    entry("drop-stop", DropStop.class),
                    entry("move-band-edge", MoveBandEdge.class),
                    entry("make-brows", MakeBrows.class),
                    entry("split-dial", SplitDial.class),
                    entry("join-dials", JoinDials.class),
                    entry("offset-pupil", OffsetPupil.class),
                    entry("rest-lids", RestLids.class),
                    entry("bend-lid-line", BendLidLine.class),
                    entry("make-looks", MakeLooks.class),
                    entry("keep-look", KeepLook.class),
                    entry("name-look", NameLook.class),
                    entry("drop-look", DropLook.class),
                    entry("make-cues", MakeCues.class),
                    entry("set-cue", SetCue.class),
                    entry("drop-cue", DropCue.class),
                    entry("make-mouths", MakeMouths.class),
                    entry("set-mood", SetMood.class),
                    entry("drop-mood", DropMood.class),
                    entry("thin-mouths", ThinMouths.class),
                    entry("mend-mouth", MendMouth.class),
                    entry("lead-into", LeadInto.class),
                    entry("make-turn", MakeTurn.class),
                    entry("set-solid", SetSolid.class),
                    entry("make-sides", MakeSides.class),
                    entry("mesh-picture", MeshPicture.class),
                    entry("make-head-dial", MakeHeadDial.class),
                    entry("ease-stop", EaseStop.class),
                    entry("travel-by", TravelBy.class),
                    entry("make-views", MakeViews.class),
                    entry("move-view-edge", MoveViewEdge.class),
                    entry("register-views", RegisterViews.class),
                    entry("register-hand", RegisterHand.class),
                    entry("set-wrist", SetWrist.class),
                    entry("follow-dial", FollowDial.class),
                    entry("unfollow", Unfollow.class),
                    entry("record-corner", RecordCorner.class),
                    entry("forget-corner", ForgetCorner.class),
                    entry("pull-point", PullPoint.class),
                    entry("set-key", SetKey.class),
                    entry("link-signal", LinkSignal.class),
                    entry("unlink-signal", UnlinkSignal.class),
                    entry("suggest-links", SuggestLinks.class),
                    entry("take-from", TakeFrom.class),
                    entry("take-version", TakeVersion.class)));

    public static final Kinds<ShotEdit> SHOT_EDITS = of(
            ShotEdit.class,
            List.of(
                    entry("record", ShotEdit.Record.class),
                    entry("rename-shot", ShotEdit.RenameShot.class),
                    entry("accept-shot-finding", ReviewEdit.Accept.class),
                    entry("reopen-shot-finding", ReviewEdit.Reopen.class),
                    entry("reread", ShotEdit.Realign.class),
                    entry("move-edge", SoundEdit.MoveEdge.class),
                    entry("change-sound", SoundEdit.ChangeSound.class),
                    entry("split-sound", SoundEdit.SplitSound.class),
                    entry("join-sounds", SoundEdit.JoinSounds.class),
                    entry("add-sound", SoundEdit.AddSound.class),
                    entry("drop-sound", SoundEdit.DropSound.class),
                    entry("release-edges", SoundEdit.ReleaseEdges.class),
                    entry("expose", ShotEdit.Expose.class),
                    entry("feel", ShotEdit.Feel.class),
                    entry("pin-mouth", ShotEdit.PinMouth.class),
                    entry("come-over", ShotEdit.ComeOver.class),
                    entry("release-mouth", ShotEdit.ReleaseMouth.class),
                    entry("lay-blinks", ShotEdit.LayBlinks.class),
                    entry("set-blink", ShotEdit.SetBlink.class),
                    entry("drop-blink", ShotEdit.DropBlink.class),
                    entry("drop-in", ShotEdit.DropIn.class),
                    entry("take-out", ShotEdit.TakeOut.class),
                    entry("set-gesture", ShotEdit.SetGesture.class),
                    entry("drop-gesture", ShotEdit.DropGesture.class),
                    entry("set-length", LayoutEdit.SetLength.class),
                    entry("place-line", LayoutEdit.PlaceLine.class),
                    entry("move-line", LayoutEdit.MoveLine.class),
                    entry("lift-line", LayoutEdit.LiftLine.class),
                    entry("retake", LayoutEdit.Retake.class),
                    entry("set-frame-rate", LayoutEdit.SetFrameRate.class),
                    entry("set-keys", ActingEdit.SetKeys.class),
                    entry("clear-frames", ActingEdit.ClearFrames.class),
                    entry("move-frames", ActingEdit.MoveFrames.class),
                    entry("paste-frames", ActingEdit.PasteFrames.class),
                    entry("insert-frames", ActingEdit.InsertFrames.class),
                    entry("take-out-frames", ActingEdit.TakeOutFrames.class),
                    entry("stretch-frames", ActingEdit.StretchFrames.class),
                    entry("hold-drawing", ActingEdit.HoldDrawing.class),
                    entry("set-look", ActingEdit.SetLook.class),
                    entry("lift-look", ActingEdit.LiftLook.class),
                    entry("wear-kit", ActingEdit.WearKit.class),
                    entry("lift-kit", ActingEdit.LiftKit.class),
                    entry("set-placement", ActingEdit.SetPlacement.class),
                    entry("write-note", ActingEdit.WriteNote.class),
                    entry("lay-acting", ActingEdit.LayActing.class),
                    entry("feel-along", DeliveryEdit.FeelAlong.class),
                    entry("time-along", DeliveryEdit.TimeAlong.class)));

    public static final Kinds<Driven> DRIVEN =
            of(Driven.class, List.of(entry("dial", Driven.OfDial.class), entry("look", Driven.OfLook.class)));

    public static final Kinds<Way> WAYS = of(
            Way.class,
            List.of(
                    entry("hold", Way.Hold.class),
                    entry("even", Way.Even.class),
                    entry("smooth", Way.Smooth.class),
                    entry("curve", Way.Curve.class)));

    /** Every choice there is. */
    public static final List<Kinds<?>> ALL = List.of(PAINTS, EASES, EDITS, SHOT_EDITS, WAYS, DRIVEN);

    private static <T> Kinds<T> of(Class<T> sealed, List<Map.Entry<String, Class<? extends T>>> options) {
        Map<String, Class<? extends T>> ordered = new LinkedHashMap<>();
        options.forEach(o -> ordered.put(o.getKey(), o.getValue()));
        return new Kinds<>(sealed, ordered);
    }

    /** @throws IllegalArgumentException for a class that is no option of this choice */
    public String of(Class<?> option) {
        return options.entrySet().stream()
                .filter(o -> o.getValue() == option)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(option + " has no kind"));
    }
}
