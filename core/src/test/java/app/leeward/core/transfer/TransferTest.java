package app.leeward.core.transfer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Wrist;
import app.leeward.core.cue.Cue;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.MakeDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.TakeFrom;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.ReadyMade;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Scaling;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * What is taken is held against {@link Scaling}, which enlarges a finished character as a whole and knows nothing of this: a rig that
 * is taken onto the enlarged art alone must show what the enlarged rig shows.
 */
class TransferTest {
    private static final Character READ = Rigs.hung(Rigs.face());
    /** The art, hung, with the gaze that every head gets as it is read and nothing else. */
    private static final Character BARE = READ.withControls(c -> c.withDials(c.dials().stream()
            .filter(d -> d.purpose() == Purpose.GAZE_ACROSS || d.purpose() == Purpose.GAZE_DOWN)
            .toList()));

    private static final Character RIGGED = rigged();
    private static final double K = 1.7;

    private static Character larger(Character c) {
        return Scaling.of(c, K, 40, -25, new Canvas(2000, 2000));
    }

    private static Character done(Character c, Edit edit) {
        Outcome o = Edits.apply(c, edit);
        if (o instanceof Outcome.Refused r) {
            throw new AssertionError(r.message());
        }
        return ((Outcome.Done) o).character();
    }

    private static Character rigged() {
        Character c = done(READ, new MakeDial(ReadyMade.SQUINT));
        c = done(c, new MakeBrows());
        c = done(c, new MakeLooks());
        c = done(c, new MakeCues());
        Drawing nose = c.part("nose").orElseThrow().drawings().get(0);
        int points = nose.art().shapes().get(0).path().points().size();
        PointDeltas pulled = new PointDeltas(nose.id(), 0, java.util.Collections.nCopies(points, new Point(3, -4)));
        Dial sniff = new Dial(
                "sniff",
                "Sniff",
                Purpose.OWN,
                0,
                10,
                0,
                "",
                List.of(new Stop(
                                10,
                                Map.of(
                                        "nose",
                                        Offset.placed(2, -7, 12, 1.2, 0.9, 0, 1),
                                        "ear-left",
                                        Offset.shift(5, 1)))
                        .with("nose", pulled)),
                List.of());
        List<Dial> dials = new java.util.ArrayList<>(c.controls().dials());
        dials.add(sniff);
        Cue twice =
                new Cue("twice", "Sniffs twice", Map.of("sniff", List.of(new Key(0, 0), new Key(3, 6), new Key(6, 0))));
        Look smells = new Look("smells", "Smells it", "", Map.of("sniff", 8.0), Map.of());
        return c.withControls(x -> x.withDials(dials))
                .withLibrary(l -> l.withCues(more(l.cues(), twice)).withLooks(more(l.looks(), smells)));
    }

    private static <T> List<T> more(List<T> all, T one) {
        List<T> out = new java.util.ArrayList<>(all);
        out.add(one);
        return out;
    }

    private static Set<String> keys(Transfer t, Predicate<TransferItem> of) {
        return t.items().stream().filter(of).map(TransferItem::key).collect(Collectors.toSet());
    }

    private static void same(Frame a, Frame b) {
        assertThat(a.placed()).hasSameSizeAs(b.placed());
        for (int i = 0; i < a.placed().size(); i++) {
            Frame.Placed p = a.placed().get(i);
            Frame.Placed q = b.placed().get(i);
            assertThat(p.part()).isEqualTo(q.part());
            assertThat(p.drawing()).isEqualTo(q.drawing());
            close(p.matrix(), q.matrix());
        }
    }

    private static void close(Matrix a, Matrix b) {
        assertThat(new double[] {a.a(), a.b(), a.c(), a.d(), a.e(), a.f()})
                .containsExactly(new double[] {b.a(), b.b(), b.c(), b.d(), b.e(), b.f()}, within(1e-6));
    }

    @Test
    void aRigOnLargerArtShowsWhatTheLargerRigShows() {
        Transfer t = Transfer.between(RIGGED, larger(BARE));
        Set<String> all = keys(t, i -> i.kind() != TransferItem.Kind.MOUTHS);
        assertThat(t.items())
                .filteredOn(i -> i.kind() != TransferItem.Kind.MOUTHS)
                .allMatch(i -> i.fitting() == TransferItem.Fitting.WHOLE, "whole");
        assertThat(all).contains("dial/blink", "dial/sniff", "look/smells", "cue/twice");
        Character taken = t.taken(all).orElseThrow();
        Character scaled = larger(RIGGED);
        assertThat(taken.controls().dials())
                .extracting(Dial::id)
                .containsAll(RIGGED.controls().dials().stream()
                        .filter(d -> d.purpose() != Purpose.TURN && d.purpose() != Purpose.NOD)
                        .map(Dial::id)
                        .toList());
        Evaluator a = new Evaluator(taken);
        Evaluator b = new Evaluator(scaled);
        for (Dial d : taken.controls().dials()) {
            for (double v : new double[] {d.from(), d.rest() + (d.to() - d.rest()) * 0.37, d.to()}) {
                same(a.frame(Pose.of(Map.of(d.id(), v))), b.frame(Pose.of(Map.of(d.id(), v))));
            }
        }
        for (Look l : RIGGED.library().looks()) {
            Pose pose = Pose.REST.withLooks(Map.of(l.id(), 0.8));
            same(a.frame(pose), b.frame(pose));
        }
        assertThat(taken.library().cues()).isEqualTo(scaled.library().cues());
        assertThat(t.item("dial/sniff").orElseThrow().facts())
                .containsExactly("Moves left ear, nose.", "Scaled to 170 %.");
    }

    @Test
    void reshapedOutlinesGoAlongOnlyWhereTheyHaveTheSamePoints() {
        Character after = Transfer.between(RIGGED, larger(BARE))
                .taken(Set.of("dial/sniff"))
                .orElseThrow();
        PointDeltas d = after.dial("sniff")
                .orElseThrow()
                .stop(10)
                .orElseThrow()
                .reshapes()
                .get("nose")
                .get(0);
        assertThat(d.shifts().get(0).x()).isCloseTo(3 * K, within(1e-9));
        assertThat(d.shifts().get(0).y()).isCloseTo(-4 * K, within(1e-9));
        Character other = BARE.withPart(
                "nose",
                p -> p.withDrawings(
                        p.drawings().stream()
                                .map(o ->
                                        o.withArt(Artwork.of(Shape.filled("", Rigs.box(490, 510, 20, 20), "#884422"))))
                                .toList(),
                        p.shown()));
        TransferItem item = Transfer.between(RIGGED, other).item("dial/sniff").orElseThrow();
        assertThat(item.fitting()).isEqualTo(TransferItem.Fitting.PARTLY);
        assertThat(item.facts()).anyMatch(f -> f.startsWith("Drawn with other points"));
    }

    @Test
    void aPieceOfAnEyeGoesAsFarAsItsWhiteIsLargeAndAFeatureAsTheFace() {
        // eyes half as wide and twice as high, a face as it was
        Character other = BARE.withEachPart(p -> p.role() != PartRole.WHITE
                ? p
                : p.withDrawings(
                        p.drawings().stream()
                                .map(d -> d.transform(new Matrix(
                                        0.5,
                                        0,
                                        0,
                                        2,
                                        p.pivot().x() * 0.5,
                                        -p.pivot().y())))
                                .toList(),
                        p.shown()));
        String lid = BARE.part(PartRole.UPPER_LID, Side.LEFT).orElseThrow().id();
        Dial blink = RIGGED.dial("blink").orElseThrow();
        Dial there = Transfer.between(RIGGED, other)
                .taken(Set.of("dial/blink"))
                .orElseThrow()
                .dial("blink")
                .orElseThrow();
        double at = blink.stops().get(blink.stops().size() - 1).at();
        Offset was = blink.stop(at).orElseThrow().offsets().get(lid);
        Offset now = there.stop(at).orElseThrow().offsets().get(lid);
        assertThat(was.y()).isNotZero();
        assertThat(now.y()).isCloseTo(2 * was.y(), within(1e-9));
        assertThat(now.rotation()).isEqualTo(was.rotation());
    }

    @Test
    void mouthsTakeThePlaceWidthAndColoursOfTheMouthThereIs() {
        Character speaker = BARE.withPart(
                "mouth",
                p -> p.withDrawings(
                        p.drawings().stream()
                                .map(d -> d.withArt(new Artwork(d.art().shapes().stream()
                                        .map(x -> x.recoloured(Map.of("#884422", "#aa2244")))
                                        .toList())))
                                .toList(),
                        p.shown()));
        Character mute = larger(BARE)
                .withPart(
                        "mouth",
                        p -> p.withDrawings(
                                p.drawings().stream().limit(1).toList(),
                                p.drawings().get(0).id()));
        mute = mute.withVoice(v -> v.withMouths(v.mouths().withDrawn(Map.of())));
        Character after =
                Transfer.between(speaker, mute).taken(Set.of("mouths")).orElseThrow();
        Map<Viseme, String> drawn = after.voice().mouths().drawn();
        assertThat(drawn.keySet()).isEqualTo(speaker.voice().mouths().drawn().keySet());
        drawn.forEach((v, id) -> {
            Box is = after.drawing("mouth", id).orElseThrow().art().bounds().orElseThrow();
            Box was = speaker.drawing("mouth", speaker.voice().mouths().drawn().get(v))
                    .orElseThrow()
                    .art()
                    .bounds()
                    .orElseThrow();
            assertThat(is.minX()).isCloseTo(was.minX() * K + 40, within(1e-6));
            assertThat(is.maxY()).isCloseTo(was.maxY() * K - 25, within(1e-6));
            assertThat(after.drawing("mouth", id).orElseThrow().art().colours()).containsExactly("#884422");
        });
        // its own mouth is still there, and shown when nobody speaks
        assertThat(after.part("mouth").orElseThrow().shown())
                .isEqualTo(mute.part("mouth").orElseThrow().shown());
    }

    @Test
    void mouthsThatAreDrawnStayUntilOthersAreAskedForInTheirPlace() {
        Transfer t = Transfer.between(BARE, larger(BARE));
        assertThat(t.item("mouths").orElseThrow().facts()).containsExactly("Every sound has a mouth here.");
        Map<Viseme, String> all = larger(BARE).voice().mouths().drawn();
        Character one = larger(BARE)
                .withVoice(v -> v.withMouths(v.mouths().withDrawn(Map.of(Viseme.REST, all.get(Viseme.REST)))));
        Character filled = Transfer.between(BARE, one).taken(Set.of("mouths")).orElseThrow();
        assertThat(filled.voice().mouths().drawn()).containsEntry(Viseme.REST, all.get(Viseme.REST));
        assertThat(filled.voice().mouths().drawn().keySet()).isEqualTo(all.keySet());
        assertThat(Transfer.between(BARE, filled).item("mouths").orElseThrow().possible())
                .as("not offered again")
                .isFalse();
        Character instead = t.taken(Set.of("mouths-instead")).orElseThrow();
        assertThat(instead.voice().mouths().drawn().values())
                .isNotEmpty()
                .doesNotContainAnyElementsOf(
                        larger(BARE).voice().mouths().drawn().values());
        assertThat(instead.part("mouth").orElseThrow().drawings())
                .containsAll(larger(BARE).part("mouth").orElseThrow().drawings());
        assertThat(t.item("mouths-instead").orElseThrow().fitting()).isEqualTo(TransferItem.Fitting.REPLACES);
    }

    @Test
    void aPartThatIsNotThereComesWithAllThatFollowsItAndItsWindows() {
        String eye = BARE.part(PartRole.EYE, Side.LEFT).orElseThrow().id();
        Character blind = without(BARE, eye);
        Character other = larger(blind);
        Transfer t = Transfer.between(RIGGED, other);
        assertThat(t.items())
                .filteredOn(i -> i.kind() == TransferItem.Kind.PART)
                .extracting(TransferItem::key)
                .containsExactly("part/" + eye);
        Character after = t.taken(Set.of("part/" + eye, "dial/blink")).orElseThrow();
        Character scaled = larger(RIGGED);
        // the same pieces, in the same places, in the same order, behind the same windows
        Evaluator a = new Evaluator(after);
        Evaluator b = new Evaluator(scaled);
        for (double v : new double[] {0, 100}) {
            Pose pose = Pose.of(Map.of("blink", v));
            same(a.frame(pose), b.frame(pose));
        }
        assertThat(after.rig().order()).isEqualTo(scaled.rig().order());
        assertThat(after.rig().windows().stream()
                        .flatMap(w -> w.masked().stream().map(m -> w.by() + " " + m))
                        .toList())
                .containsExactlyInAnyOrderElementsOf(scaled.rig().windows().stream()
                        .flatMap(w -> w.masked().stream().map(m -> w.by() + " " + m))
                        .toList());
        for (Part p : scaled.rig().parts()) {
            Part q = after.part(p.id()).orElseThrow();
            assertThat(q.parent()).isEqualTo(p.parent());
            if (p.bounds().isPresent()) {
                assertThat(q.bounds().orElseThrow().minX())
                        .isCloseTo(p.bounds().get().minX(), within(1e-6));
                assertThat(q.bounds().orElseThrow().minY())
                        .isCloseTo(p.bounds().get().minY(), within(1e-6));
            }
        }
    }

    private static Character without(Character c, String top) {
        Character now = c;
        boolean some = true;
        while (some) {
            Character at = now;
            Optional<Part> leaf = at.rig().parts().stream()
                    .filter(p -> at.rig().follows(p.id(), top)
                            && at.rig().childrenOf(p.id()).isEmpty())
                    .findFirst();
            some = leaf.isPresent();
            now = leaf.map(p -> at.withoutPart(p.id())).orElse(at);
        }
        return now;
    }

    @Test
    void aPartComesWithoutWhatIsThereOfThoseThatFollowIt() {
        // a head that hangs on nothing, and the same face with a neck below it
        Character neckless =
                BARE.withPart("head", p -> p.withParent(Optional.empty())).withoutPart("neck");
        Transfer t = Transfer.between(BARE, neckless);
        assertThat(t.items())
                .filteredOn(i -> i.kind() == TransferItem.Kind.PART)
                .extracting(TransferItem::key)
                .containsExactly("part/neck");
        Character after = t.taken(Set.of("part/neck")).orElseThrow();
        assertThat(after.rig().parts()).hasSize(BARE.rig().parts().size());
        assertThat(Transfer.between(BARE, after).items())
                .as("not offered again")
                .noneMatch(i -> i.kind() == TransferItem.Kind.PART);
    }

    @Test
    void aPartIsCalledWithTheFewThatComeAlong() {
        Part left = BARE.part(PartRole.BROW, Side.LEFT).orElseThrow();
        Part right = BARE.part(PartRole.BROW, Side.RIGHT).orElseThrow();
        Character joined = BARE.withPart(right.id(), p -> p.withParent(Optional.of(left.id())));
        assertThat(names(joined, without(joined, left.id()))).containsExactly(left.name() + " with " + right.name());
        Part eye = BARE.part(PartRole.EYE, Side.LEFT).orElseThrow();
        assertThat(names(BARE, without(BARE, eye.id())))
                .singleElement()
                .asString()
                .matches(eye.name() + " with \\d parts");
    }

    private static List<String> names(Character from, Character to) {
        return Transfer.between(from, to).items().stream()
                .filter(i -> i.kind() == TransferItem.Kind.PART)
                .map(TransferItem::what)
                .toList();
    }

    @Test
    void handsComeOntoTheWristThereIs() {
        Wrist wrist = new Wrist(new Point(40, 50), new Point(60, 50));
        Wrist there = new Wrist(new Point(20, 80), new Point(20, 50));
        Character a = hand(wrist, "open", "fist");
        Character b = hand(there, "open");
        Character after = Transfer.between(a, b).taken(Set.of("hand/hand")).orElseThrow();
        assertThat(after.part("hand").orElseThrow().drawings())
                .extracting(Drawing::id)
                .containsExactly("open", "fist");
        Wrist brought = after.wrist("hand", "fist").orElseThrow();
        assertThat(brought.first().distance(there.first())).isLessThan(1e-6);
        assertThat(brought.second().distance(there.second())).isLessThan(1e-6);
        assertThat(Transfer.between(b, a).item("hand/hand").orElseThrow().possible())
                .as("all of it is there by name")
                .isFalse();
    }

    private static Character hand(Wrist wrist, String... names) {
        Drawing[] drawings = java.util.Arrays.stream(names)
                .map(n -> Rigs.drawing(n, Rigs.box(40, 20, 20, 30)).withWrist(Optional.of(wrist)))
                .toArray(Drawing[]::new);
        Part arm = Rigs.part("arm", null, new Point(50, 90), Rigs.drawing("arm", Rigs.box(40, 50, 20, 40)))
                .withRole(PartRole.FOREARM, Side.LEFT);
        Part hand = Rigs.part("hand", "arm", wrist.middle(), drawings).withRole(PartRole.HAND, Side.LEFT);
        return Rigs.character(List.of(arm, hand), List.of());
    }

    @Test
    void whatIsThereOfThatNameIsReplacedAndAllElseStaysTheVerySame() {
        Dial mild =
                RIGGED.dial("sniff").orElseThrow().withStops(List.of(new Stop(10, Map.of("nose", Offset.shift(0, 1)))));
        Character other = RIGGED.withControls(c -> c.withDials(
                c.dials().stream().map(d -> d.id().equals("sniff") ? mild : d).toList()));
        Transfer t = Transfer.between(RIGGED, other);
        TransferItem item = t.item("dial/sniff").orElseThrow();
        assertThat(item.fitting()).isEqualTo(TransferItem.Fitting.REPLACES);
        Character after = t.taken(Set.of("dial/sniff")).orElseThrow();
        assertThat(after.dial("sniff").orElseThrow().stops())
                .isEqualTo(RIGGED.dial("sniff").orElseThrow().stops());
        assertThat(after.rig()).isEqualTo(other.rig());
        assertThat(after.library()).isEqualTo(other.library());
        assertThat(after.controls().dials()).hasSameSizeAs(other.controls().dials());
        for (Dial d : other.controls().dials()) {
            if (!d.id().equals("sniff")) {
                assertThat(after.dial(d.id())).contains(d);
            }
        }
    }

    @Test
    void aLookBringsTheDialsItNeedsAndSaysWhatIsMissing() {
        Character browless = without(without(BARE, "brow-left"), "brow-right");
        TransferItem smells =
                Transfer.between(RIGGED, browless).item("look/smells").orElseThrow();
        assertThat(smells.fitting()).isEqualTo(TransferItem.Fitting.WHOLE);
        assertThat(smells.facts()).containsExactly("Brings the dial Sniff.");
        Look angry = RIGGED.library().looks().stream()
                .filter(l -> l.dials().size() > 2)
                .findFirst()
                .orElseThrow();
        Character eyeless = without(without(browless, "eye-left"), "eye-right");
        eyeless = without(without(eyeless, "mouth"), "nose");
        TransferItem item =
                Transfer.between(RIGGED, eyeless).item("look/" + angry.id()).orElseThrow();
        assertThat(item.fitting()).isIn(TransferItem.Fitting.NOTHING, TransferItem.Fitting.PARTLY);
        assertThat(String.join(" ", item.facts())).contains("there");
    }

    @Test
    void takingIsAnEditThatSaysWhatItTookAndRefusesWhatIsNotThere() {
        assertThat(new TakeFrom(RIGGED, List.of("dial/sniff")).describe(BARE)).isEqualTo("Took Sniff from Test face");
        assertThat(done(BARE, new TakeFrom(RIGGED, List.of("dial/sniff", "cue/twice")))
                        .library()
                        .cues())
                .extracting(Cue::name)
                .containsExactly("Sniffs twice");
        for (List<String> wrong : List.of(List.of("dial/gone"), List.<String>of())) {
            assertThat(Edits.apply(BARE, new TakeFrom(RIGGED, wrong)))
                    .isInstanceOfSatisfying(
                            Outcome.Refused.class, r -> assertThat(r.reason()).isEqualTo(RefusalCode.NOTHING_TO_TAKE));
        }
    }

    @Test
    void everythingPossibleHasAContactSheet() {
        Transfer t = Transfer.between(RIGGED, larger(BARE));
        for (TransferItem i : t.items()) {
            TransferSheet sheet = t.sheet(i.key()).orElseThrow();
            assertThat(sheet.cells().isEmpty()).as(i.key()).isEqualTo(!i.possible());
            sheet.cells().forEach(c -> assertThat(c.hereBox().width()).isPositive());
        }
        assertThat(t.sheet("dial/blink").orElseThrow().cells())
                .extracting(TransferSheet.Cell::caption)
                .hasSize(2);
        assertThat(t.sheet("gone")).isEmpty();
    }
}
