package app.leeward.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Moving pivots, re-hanging and grouping never move the picture: to 1e-6 of a unit, over random rigs and poses. */
class HangingTest {
    private static double number(Random r, double size) {
        return (r.nextDouble() * 2 - 1) * size;
    }

    private static Placement placement(Random r) {
        return new Placement(
                number(r, 40),
                number(r, 40),
                number(r, 170),
                0.4 + r.nextDouble(),
                0.4 + r.nextDouble(),
                number(r, 30),
                1);
    }

    private static Dial dial(String id, Random r, int parts) {
        List<Stop> stops = new ArrayList<>();
        for (double at : new double[] {-10, 4, 10}) {
            Stop stop = new Stop(at, Map.of());
            for (int i = 0; i < parts; i++) {
                if (r.nextBoolean()) {
                    stop = stop.with(
                            "p" + i,
                            Offset.placed(
                                    number(r, 20),
                                    number(r, 20),
                                    number(r, 60),
                                    0.5 + r.nextDouble(),
                                    0.5 + r.nextDouble(),
                                    number(r, 20),
                                    1));
                }
            }
            stops.add(stop);
        }
        return new Dial(id, id, Purpose.OWN, -10, 10, 0, "", stops, List.of());
    }

    /** Six parts, each hung on an earlier one or on nothing, under two dials. */
    private static Character rig(Random r) {
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            String parent = i == 0 || r.nextInt(4) == 0 ? null : "p" + r.nextInt(i);
            Point pivot = new Point(number(r, 100), number(r, 100));
            parts.add(Rigs.part("p" + i, parent, pivot, Rigs.drawing("d", Rigs.box(0, 0, 10, 10)))
                    .withRest(placement(r)));
        }
        return Rigs.character(parts, List.of(), dial("one", r, 6), dial("two", r, 6));
    }

    private static Pose pose(Random r) {
        return Pose.of(Map.of("one", number(r, 10), "two", number(r, 10)));
    }

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c)).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static void samePicture(Character a, Character b, Pose pose) {
        Frame one = new Evaluator(a).frame(pose);
        Frame two = new Evaluator(b).frame(pose);
        for (Frame.Placed p : one.placed()) {
            Matrix m = p.matrix();
            Matrix n = two.of(p.part()).orElseThrow().matrix();
            for (Point corner : List.of(new Point(0, 0), new Point(100, 0), new Point(0, 100))) {
                assertThat(m.apply(corner).distance(n.apply(corner)))
                        .as(p.part() + " at " + corner)
                        .isLessThan(1e-6);
            }
        }
    }

    @Seeded(tries = 300)
    void aMovedPivotChangesNoPictureAtAnyDialValueHoweverOftenItIsMoved(
            long seed, @Between(min = 0, max = 5) int part) {
        Random r = new Random(seed);
        Character before = rig(r);
        Character c = before;
        for (int i = 0; i < 3; i++) {
            c = done(c, new MovePivot("p" + part, new Point(number(r, 90), number(r, 90))));
            for (int k = 0; k < 3; k++) {
                samePicture(before, c, pose(r));
            }
        }
    }

    @Test
    void afterAMoveNewWorkTurnsAboutTheNewPivotAndOldWorkAboutTheOld() {
        Random r = new Random(11);
        Character c = done(rig(r), new MovePivot("p3", new Point(70, 10)));
        Stop stop = new Stop(10, Map.of("p3", Offset.placed(0, 0, 45, 1, 1, 0, 1)));
        Dial fresh = new Dial("three", "three", Purpose.OWN, 0, 10, 0, "", List.of(stop), List.of());
        c = done(c, new SetDial(fresh));
        Pose old = pose(r);
        Matrix without = new Evaluator(c).frame(old).of("p3").orElseThrow().matrix();
        Matrix with = new Evaluator(c)
                .frame(old.withDial("three", 10))
                .of("p3")
                .orElseThrow()
                .matrix();
        // the point that did not move is the new pivot, seen through everything the old work does
        Matrix turn = with.times(without.inverse());
        AffineTransform jdk = new AffineTransform(turn.a(), turn.b(), turn.c(), turn.d(), 0, 0);
        assertThat(jdk.getDeterminant()).isCloseTo(1, within(1e-9));
        Matrix moved = new Evaluator(done(c, new MovePivot("p3", new Point(-30, 60))))
                .frame(old.withDial("three", 10))
                .of("p3")
                .orElseThrow()
                .matrix();
        assertThat(moved.apply(new Point(5, 5)).distance(with.apply(new Point(5, 5))))
                .isLessThan(1e-9);
    }

    @Seeded(tries = 200)
    void turningAPartByHandKeepsItsPresentPivotWhereItIs(long seed) {
        Random r = new Random(seed);
        Character c = done(rig(r), new MovePivot("p0", new Point(number(r, 90), number(r, 90))));
        Part p = c.part("p0").orElseThrow();
        Placement was = p.rest();
        Placement turned = new Placement(
                was.x(), was.y(), was.rotation() + 30, was.scaleX(), was.scaleY(), was.skewX(), was.opacity());
        Part after = done(c, new Place("p0", turned)).part("p0").orElseThrow();
        Point onArt = p.restMatrix().inverse().apply(p.pivot().plus(new Point(was.x(), was.y())));
        assertThat(after.restMatrix().apply(onArt).distance(p.restMatrix().apply(onArt)))
                .isLessThan(1e-6);
        assertThat(after.rest().rotation()).isEqualTo(was.rotation() + 30);
    }

    @Seeded(tries = 300)
    void reHangingKeepsThePictureAtRest(
            long seed, @Between(min = 0, max = 5) int part, @Between(min = -1, max = 5) int parent) {
        Character c = rig(new Random(seed));
        Optional<String> to = parent < 0 ? Optional.empty() : Optional.of("p" + parent);
        Outcome outcome = Edits.apply(c, new Hang(List.of("p" + part), to));
        if (to.isPresent() && c.rig().follows(to.get(), "p" + part)) {
            assertThat(((Outcome.Refused) outcome).code()).isEqualTo("circle");
        } else {
            samePicture(c, ((Outcome.Done) outcome).character(), Pose.REST);
        }
    }

    @Seeded(tries = 200)
    void whereADialHangsChangesNoPicture(long seed, @Between(min = 0, max = 5) int part) {
        Random r = new Random(seed);
        Character before = rig(r);
        Character c = before;
        for (Dial d : before.controls().dials()) {
            c = done(c, new HangDial(d.id(), Optional.of("p" + part)));
            assertThat(c.dial(d.id()).orElseThrow().withHangsOn(Optional.empty()))
                    .isEqualTo(d);
        }
        for (int k = 0; k < 4; k++) {
            samePicture(before, c, pose(r));
        }
    }

    @Test
    void aDialWhosePartGoesHangsWhereThePartHung() {
        Character c = Rigs.hung(Rigs.face());
        String dial = c.controls().dials().get(0).id();
        Part leaf = c.rig().parts().stream()
                .filter(p -> p.parent().isPresent()
                        && c.rig().parts().stream().noneMatch(o -> o.parent().equals(Optional.of(p.id()))))
                .findFirst()
                .orElseThrow();
        Character hung = done(c, new HangDial(dial, Optional.of(leaf.id())));
        assertThat(hung.withoutPart(leaf.id()).dial(dial).orElseThrow().hangsOn())
                .isEqualTo(leaf.parent());
        assertThat(done(hung, new HangDial(dial, Optional.empty()))).isEqualTo(c);
        assertThat(Edits.apply(c, new HangDial(dial, Optional.of("gone")))).isInstanceOf(Outcome.Refused.class);
        assertThat(Edits.apply(c, new HangDial("gone", Optional.of(leaf.id())))).isInstanceOf(Outcome.Refused.class);
    }

    @Seeded(tries = 100)
    void aGroupBetweenChangesNothing(long seed) {
        Random r = new Random(seed);
        Character before = rig(r);
        Character c = done(before, new AddGroup("in between", List.of("p2", "p4")));
        samePicture(before, c, Pose.REST);
        assertThat(c.part("in-between").orElseThrow().parent())
                .isEqualTo(before.part("p2").orElseThrow().parent());
        Character apart = done(c, new Discard(List.of("in-between")));
        samePicture(before, apart, Pose.REST);
    }

    @Test
    void aDialKeepsItsDirectionOnTheCanvasWhenItsPartIsHungOnSomethingTurned() {
        Part turned = Rigs.part("turned", null, new Point(0, 0), Rigs.drawing("d", Rigs.box(0, 0, 4, 4)))
                .withRest(new Placement(0, 0, 90, 1, 1, 0, 1));
        Part free = Rigs.part("free", null, new Point(0, 0), Rigs.drawing("d", Rigs.box(0, 0, 4, 4)));
        Dial slide = new Dial(
                "slide",
                "slide",
                Purpose.OWN,
                0,
                1,
                0,
                "",
                List.of(new Stop(1, Map.of("free", Offset.shift(10, 0)))),
                List.of());
        Character before = Rigs.character(List.of(turned, free), List.of(), slide);
        Character after = done(before, new Hang(List.of("free"), Optional.of("turned")));
        Pose out = Pose.of(Map.of("slide", 1.0));
        samePicture(before, after, out);
        assertThat(after.dial("slide").orElseThrow().to()).isEqualTo(1);
    }

    /** The factors of a placement against the JDK, which multiplies them out again. */
    @Seeded(tries = 300)
    void everyMatrixHasAPlacement(long seed) {
        Random r = new Random(seed);
        Placement p = placement(r);
        Point pivot = new Point(number(r, 50), number(r, 50));
        AffineTransform jdk = new AffineTransform();
        jdk.translate(p.x() + pivot.x(), p.y() + pivot.y());
        jdk.rotate(Math.toRadians(p.rotation()));
        jdk.shear(Math.tan(Math.toRadians(p.skewX())), 0);
        jdk.scale(p.scaleX(), p.scaleY() * (r.nextBoolean() ? 1 : -1));
        jdk.translate(-pivot.x(), -pivot.y());
        Matrix m = new Matrix(
                jdk.getScaleX(),
                jdk.getShearY(),
                jdk.getShearX(),
                jdk.getScaleY(),
                jdk.getTranslateX(),
                jdk.getTranslateY());
        Matrix again = Placement.of(m, pivot, Placement.REST).matrix(pivot);
        for (Point q : List.of(new Point(0, 0), new Point(50, 0), new Point(0, 50))) {
            assertThat(again.apply(q).distance(m.apply(q))).isLessThan(1e-9);
        }
    }
}
