package app.leeward.formats;

import app.leeward.core.cue.Blink;
import app.leeward.core.dial.Dial;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.HeldDrawing;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.ShotNote;
import app.leeward.core.shot.Way;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.svg.SvgReader;
import java.util.List;
import java.util.Map;

/** The demo's character, and a second and a half in which something stands on every kind of track. */
public final class ActedMaren {
    public static final Character CHARACTER = character();
    public static final Dial DIAL = CHARACTER.controls().dials().get(0);

    /** "Ma, fee!", from frame 4 on. */
    private static final DialogueLine LINE = new DialogueLine(
            "Ma, \"fee\"!",
            "hash",
            1,
            List.of(new TimedWord("ma", 0.1, 0.4, 0), new TimedWord("fee", 0.5, 0.8, 0)),
            List.of(
                    new TimedPhone(Phone.M, 0.1, 0.2),
                    new TimedPhone(Phone.AA, 0.2, 0.4),
                    new TimedPhone(Phone.F, 0.5, 0.6),
                    new TimedPhone(Phone.IY, 0.6, 0.8)),
            List.of(),
            0);

    private ActedMaren() {}

    private static Character character() {
        LayeredArt read = SvgReader.read(DemoFiles.maren());
        Character c = ((IntakeResult.Hung) read.assembled("Maren", 24)).character();
        return ((Outcome.Done) Edits.apply(c, new MakeLooks())).character();
    }

    public static Shot shot() {
        Shot s = new Shot("Ma fee", LINE, TrackRules.at(24), Map.of(3, "rest"));
        s = s.withFrames(36);
        s = new ActingEdit.SetKeys(Map.of(
                        DIAL.id(),
                        List.of(new DialKey(2, DIAL.from(), Way.EVEN), new DialKey(12, DIAL.to(), Way.HOLD))))
                .apply(s);
        s = new ShotEdit.SetBlink(-1, Blink.at(20)).apply(s);
        String look = CHARACTER.library().looks().get(0).id();
        return s.withTracks(s.tracks()
                .withDrawings("hand-left", List.of(new HeldDrawing(6, 18, "fist")))
                .withLooks(List.of(new LookSpan(10, 30, look, 4, 4, 1)))
                .withNotes(List.of(new ShotNote(8, 14, "=Colder, please", "Ida"))));
    }

    public static Playhead playhead(Shot shot) {
        return new Playhead(new Evaluator(CHARACTER), shot);
    }
}
