package app.leeward.formats.json;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.PathReader;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.cue.Blink;
import app.leeward.core.cue.Cue;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Driver;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.dial.Travel;
import app.leeward.core.edit.BendLidLine;
import app.leeward.core.edit.DropCue;
import app.leeward.core.edit.DropLook;
import app.leeward.core.edit.DropMood;
import app.leeward.core.edit.EaseStop;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.FollowDial;
import app.leeward.core.edit.ForgetCorner;
import app.leeward.core.edit.ImportCharacter;
import app.leeward.core.edit.JoinDials;
import app.leeward.core.edit.KeepLook;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MendMouth;
import app.leeward.core.edit.NameLook;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.OffsetPupil;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.Pronounce;
import app.leeward.core.edit.PullPoint;
import app.leeward.core.edit.Record;
import app.leeward.core.edit.RecordCorner;
import app.leeward.core.edit.Rename;
import app.leeward.core.edit.RenamePart;
import app.leeward.core.edit.RestLids;
import app.leeward.core.edit.ServeSound;
import app.leeward.core.edit.SetCue;
import app.leeward.core.edit.SetDial;
import app.leeward.core.edit.SetMood;
import app.leeward.core.edit.Show;
import app.leeward.core.edit.SplitDial;
import app.leeward.core.edit.TakeFrom;
import app.leeward.core.edit.ThinMouths;
import app.leeward.core.edit.TravelBy;
import app.leeward.core.edit.Unfollow;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.lips.MouthFinding;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.turn.HeadDial;
import app.leeward.core.turn.TurnMaker;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.svg.SvgReader;
import app.leeward.formats.svg.SvgWriter;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LeewardJsonTest {
    private final Map<String, String> kept = new HashMap<>();
    private final ObjectMapper json = LeewardJson.mapper(new ArtworkStore() {
        @Override
        public void put(Artwork art, String hash, String text) {
            kept.put(hash, text);
        }

        @Override
        public Artwork get(String hash) {
            return LeewardJson.artwork(kept.get(hash));
        }
    });

    static Character maren() {
        LayeredArt art = SvgReader.read(DemoFiles.maren());
        IntakeResult result = art.assembled("Maren", 24);
        return ((IntakeResult.Hung) result).character();
    }

    @Test
    void artworkIsRoundedToJustWhatReadingItBackGives() {
        Matrix odd = new Matrix(0.7312345678, 0.2187654321, -0.318273645, 1.2345678901, -1234.56789, 1e-7);
        Path closed = PathReader.read("M1 2L3.00005 4.00015Z").path();
        List<Segment> goesOn = new ArrayList<>(closed.segments());
        goesOn.add(new Segment.Line(new Point(-0.00001, 9.123456789)));
        Path far = Path.of(new Segment.Move(new Point(123456789012345.678, -1)), new Segment.Line(new Point(1, 1e-9)));
        List<Artwork> arts = new ArrayList<>(List.of(
                Artwork.of(Shape.filled("goes on", new Path(goesOn), "#102030")),
                Artwork.of(Shape.filled("far out", far, "#102030")),
                Artwork.of(Shape.filled("nothing", Path.of(), "#102030"))));
        for (byte[] file : List.of(DemoFiles.maren(), DemoFiles.pilchard(), DemoFiles.wick())) {
            LayeredArt art = SvgReader.read(file);
            Character c = ((IntakeResult.Hung) art.assembled("any", 24)).character();
            c.rig().parts().forEach(p -> p.drawings()
                    .forEach(d -> arts.add(d.art().transform(odd))));
        }
        assertThat(arts).hasSizeGreaterThan(100).allSatisfy(art -> {
            String text = LeewardJson.artwork(art);
            assertThat(LeewardJson.readBack(art, text)).isEqualTo(LeewardJson.artwork(text));
        });
    }

    @Test
    void aCharacterComesBackFromStorageAsItWas() throws Exception {
        String text = json.writeValueAsString(maren());
        Character back = json.readValue(text, Character.class);
        assertThat(json.writeValueAsString(back)).isEqualTo(text);
        Pose pose = Pose.of(Map.of("turn", 35.0, "blink", 0.4, "gaze-across", -1.0));
        Frame before = new Evaluator(maren()).frame(pose);
        Frame after = new Evaluator(back).frame(pose);
        assertThat(after).isEqualTo(before);
        assertThat(back.controls().turn()).isEqualTo(maren().controls().turn());
        long drawn = maren().rig().parts().stream()
                .flatMap(p -> p.drawings().stream())
                .map(d -> LeewardJson.artwork(d.art()))
                .distinct()
                .count();
        assertThat(kept.size()).as("each artwork once").isEqualTo(drawn);
    }

    /** The keeper relies on it: what draws nothing new is the same after it was written and read. */
    @Test
    void whatDrawsNothingNewReadsBackAlike() throws Exception {
        Character c = json.readValue(json.writeValueAsString(maren()), Character.class);
        List<Edit> edits = List.of(
                new Nudge("nose", 1.0 / 3, -2e-7),
                new MakeHeadDial(HeadDial.NOD),
                new MakeHeadDial(HeadDial.HAIR_DRAG),
                new Record("turn", 45, new Nudge("nose", 0.1, 1e-9)),
                new PullPoint("turn", 45, "face-skin", drawing(c), 0, 1, PathPoints.Hold.POINT, 1.0 / 7, 2, false),
                new EaseStop("turn", 45, new Ease.Curve(1.0 / 3, 0, 0.4, 1.5)),
                new RecordCorner("turn", 45, "nod", 20, new Nudge("nose", 1.0 / 9, 2)),
                new MakeLooks(),
                new MakeBrows(),
                new MakeCues(),
                new RestLids(0.2, 0.1),
                new Rename("B"));
        for (Edit e : edits) {
            Outcome outcome = Edits.apply(c, e);
            assertThat(outcome).as("%s: %s", e, outcome).isInstanceOf(Outcome.Done.class);
            c = ((Outcome.Done) outcome).character();
            assertThat(json.readValue(json.writeValueAsString(c), Character.class))
                    .as("%s", e)
                    .isEqualTo(c);
        }
    }

    private static String drawing(Character c) {
        return c.part("face-skin").orElseThrow().shown();
    }

    @Test
    void editsOfAllFamiliesSurviveStorage() throws Exception {
        List<Edit> edits = List.of(
                new ImportCharacter(maren(), "maren.svg"),
                new Rename("A"),
                new RenamePart("nose", "beak"),
                new Nudge("nose", 1.5, -2),
                new Show("cap", "nothing"),
                new ServeSound(Viseme.OO, "oh", ""),
                new Pronounce("sorrel", List.of(Phone.S, Phone.AO)),
                new SetDial(maren().controls().dials().get(0)),
                new SetDial(new Dial(
                        "bend",
                        "Bend",
                        Purpose.OWN,
                        0,
                        1,
                        0,
                        "",
                        List.of(new Stop(1, Map.of("brow-left", Offset.bent(1, -2, 0.5)))),
                        List.of())),
                new SplitDial(List.of("blink")),
                new JoinDials(List.of("blink-left")),
                new RestLids(0.25, -0.1),
                new OffsetPupil("eye-left", 2, -1),
                new BendLidLine(0, 4, 0),
                new MakeBrows(),
                new MakeLooks(),
                new KeepLook("Wry", "Mine", Map.of("turn", 2.0), Map.of("l", 0.5), Map.of(), List.of("turn")),
                new NameLook("wry", "Sly", ""),
                new DropLook("wry"),
                new MakeCues(),
                new SetCue(new Cue("q", "Quick", Map.of("turn", List.of(new Key(0, 0), new Key(4, 12.5))))),
                new DropCue("q"),
                new MakeMouths(
                        "rest",
                        new MouthRulers(1.5, 1, 1, 0.5, 1, 0.25),
                        Map.of(Viseme.OO, MouthRulers.AS_ASKED),
                        true,
                        List.of(Viseme.AH)),
                new SetMood("", "Happy", 0.8, 0.1),
                new DropMood("happy"),
                new ThinMouths(9),
                new TakeFrom(maren(), List.of("mouths", "look/wry")),
                new MendMouth("ah", MouthFinding.Kind.TEETH_MOVED),
                MakeTurn.of(java.util.Optional.empty()),
                MakeTurn.of(TurnMaker.fitted(maren())),
                new MakeHeadDial(HeadDial.NOD),
                new EaseStop("turn", 45, new Ease.Curve(0.2, 0, 0.4, 1.5)),
                new EaseStop("turn", 45, Ease.SMOOTH),
                new TravelBy("turn", java.util.Optional.of(Travel.STRAIGHT)),
                new TravelBy("turn", java.util.Optional.empty()),
                new FollowDial("blink", new Driver("turn", 0, 0.25, 3)),
                new Unfollow("blink", "turn", 3),
                new RecordCorner("turn", 45, "gaze-across", 1, new Nudge("nose", 1, 2)),
                new ForgetCorner("turn", 45, "gaze-across", 1, "nose"),
                new PullPoint("turn", 45, "face-skin", "front", 0, 3, PathPoints.Hold.FIRST_HANDLE, 1.5, -2, true),
                new Record("turn", 45, new Nudge("nose", 1, 2)));
        for (Edit e : edits) {
            String text = json.writerFor(Edit.class).writeValueAsString(e);
            assertThat(text).contains("\"kind\":\"" + Kinds.EDITS.of(e.getClass()) + "\"");
            Edit back = json.readValue(text, Edit.class);
            assertThat(back).hasSameClassAs(e);
            assertThat(json.writerFor(Edit.class).writeValueAsString(back)).isEqualTo(text);
        }
        DialogueLine line =
                new DialogueLine("a", "h", 1, List.of(), List.of(new TimedPhone(Phone.AA, 0, 1)), List.of(), 0);
        List<ShotEdit> shots = List.of(
                new ShotEdit.Realign(0, line),
                new ShotEdit.RenameShot("b"),
                new ShotEdit.Expose(2, 1, 2),
                new ShotEdit.Feel("happy"),
                new ShotEdit.PinMouth(0, 3, "ah"),
                new ShotEdit.ReleaseMouth(0, 3),
                new ShotEdit.LayBlinks(17, 3, List.of(3)),
                new ShotEdit.SetBlink(-1, Blink.at(5)),
                new ShotEdit.DropBlink(5),
                new ShotEdit.DropIn(3, "q"),
                new ShotEdit.TakeOut(3, "q"),
                new ShotEdit.Record(new app.leeward.core.shot.Shot("s", line, TrackRules.at(24), Map.of(3, "ah"))));
        for (ShotEdit e : shots) {
            assertThat(json.readValue(json.writerFor(ShotEdit.class).writeValueAsString(e), ShotEdit.class))
                    .isEqualTo(e);
        }
    }

    /** The whole demo: everything 07-demo asks of Maren is there and recognised. */
    @Test
    void marenIsHungWithoutAnythingLeftOver() {
        Character c = maren();
        assertThat(c.origin().notes())
                .as("what she holds is no part of a body")
                .extracting(n -> n.place())
                .containsExactlyInAnyOrder("handbell", "signal flag");
        assertThat(c.voice().mouths().drawn()).hasSize(17);
        assertThat(c.controls().dials())
                .extracting(d -> d.id())
                .containsExactly("turn", "blink", "gaze-across", "gaze-down");
        Stop end = c.controls().dials().get(0).stops().get(0);
        Set<String> turned = new HashSet<>(end.offsets().keySet());
        turned.addAll(end.reshapes().keySet());
        assertThat(turned).as("parts that take part in the turn").hasSizeGreaterThanOrEqualTo(18);
        assertThat(c.controls().dials().get(0).bands())
                .extracting(b -> b.part())
                .containsExactlyInAnyOrder("nose", "extra-hair-left", "extra-hair-right");
    }

    @Test
    void anExportedFrameIsReadBackWithTheSameShapes() {
        Character c = maren();
        Frame frame = new Evaluator(c).frame(Pose.of(Map.of("turn", -40.0)));
        LayeredArt again =
                SvgReader.read(SvgWriter.write(c, frame, ImageShelf.NONE).getBytes(StandardCharsets.UTF_8));
        long shapes = frame.placed().stream()
                .mapToLong(p -> c.part(p.part())
                        .orElseThrow()
                        .drawing(p.drawing())
                        .orElseThrow()
                        .art()
                        .shapes()
                        .size())
                .sum();
        assertThat(again.root().shapes()).hasSize((int) shapes);
        assertThat(again.canvas()).isEqualTo(c.sheet().canvas());
    }
}
