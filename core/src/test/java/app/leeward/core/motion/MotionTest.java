package app.leeward.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Way;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class MotionTest {
    private static final Character FACE = turning();

    private static Character turning() {
        Character c = Rigs.hung(Rigs.face());
        return Edits.apply(c, MakeTurn.of(Optional.empty())) instanceof Outcome.Done done ? done.character() : c;
    }

    private static Playhead acted(int exposure) {
        String dial = FACE.controls().dials().get(0).id();
        double from = FACE.controls().dials().get(0).from();
        double to = FACE.controls().dials().get(0).to();
        Shot shot = Shot.silent("s", TrackRules.at(24), 30);
        shot = new ActingEdit.SetKeys(Map.of(
                        dial,
                        List.of(
                                new DialKey(3, from, Way.SMOOTH),
                                new DialKey(14, to, Way.EVEN),
                                new DialKey(20, from, Way.HOLD))))
                .apply(shot);
        return new Playhead(new Evaluator(FACE), new ShotEdit.Expose(exposure, 1, 2).apply(shot));
    }

    /** What the layers show in an exposure, put together again. */
    private static List<Frame.Placed> shown(Motion motion, int exposure) {
        List<Frame.Placed> out = new ArrayList<>();
        for (MotionLayer l : motion.layers()) {
            l.at(exposure)
                    .ifPresent(s -> out.add(new Frame.Placed(
                            l.part(),
                            l.drawing(),
                            s.matrix(),
                            s.opacity(),
                            l.windows(),
                            l.outside(),
                            l.behind(),
                            s.outlines())));
        }
        return out;
    }

    @Test
    void theLayersPutTogetherAreEveryFrame() {
        for (int exposure : new int[] {1, 2, 3}) {
            Playhead playhead = acted(exposure);
            Motion motion = Motion.of(playhead);
            assertThat(motion.starts()).startsWith(0).isSorted();
            int at = 0;
            for (int f = 0; f < 30; f++) {
                while (motion.end(at) <= f) {
                    at++;
                }
                assertThat(shown(motion, at))
                        .as("frame %d on %ds", f, exposure)
                        .isEqualTo(playhead.frameAt(f, Pose.REST).placed().stream()
                                .filter(p -> p.opacity() > 0)
                                .toList());
            }
        }
    }

    @Test
    void whatMasksIsThereWheneverItMasks() {
        Motion motion = Motion.of(acted(1));
        assertThat(motion.maskers()).isNotEmpty();
        for (MotionLayer l : motion.layers()) {
            for (String window : l.windows()) {
                for (int e = 0; e < motion.starts().size(); e++) {
                    int exposure = e;
                    assertThat(l.at(e).isEmpty()
                                    || motion.maskers().get(window).stream()
                                            .anyMatch(m -> m.at(exposure).isPresent()))
                            .as("%s through %s in exposure %d", l.part(), window, e)
                            .isTrue();
                }
            }
        }
    }

    @Test
    void picturesInAnyOrderFitOneOrder() {
        Random random = new Random(5);
        for (int trial = 0; trial < 200; trial++) {
            List<List<Integer>> pictures = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                List<Integer> all = new ArrayList<>(List.of(1, 2, 3, 4, 5, 6, 7));
                if (random.nextBoolean()) {
                    Collections.swap(all, random.nextInt(7), random.nextInt(7));
                }
                pictures.add(List.copyOf(all.subList(0, 3 + random.nextInt(5))));
            }
            LayerOrder<Integer> order = new LayerOrder<>();
            pictures.forEach(order::add);
            for (List<Integer> p : pictures) {
                int[] at = order.of(p);
                for (int i = 0; i < at.length; i++) {
                    assertThat(order.places().get(at[i])).isEqualTo(p.get(i));
                    assertThat(i == 0 || at[i] > at[i - 1]).isTrue();
                }
            }
        }
    }

    @Test
    void twoOrdersTakeNoMorePlacesThanTheyNeed() {
        LayerOrder<String> order = new LayerOrder<>();
        order.add(List.of("ear", "face", "hair", "hat"));
        order.add(List.of("face", "hair", "ear", "hat"));
        assertThat(order.places()).containsExactly("ear", "face", "hair", "ear", "hat");
    }

    /** Composed again by {@code java.awt.geom.AffineTransform}. */
    @Test
    void aPlacementTakenApartIsThatPlacement() {
        Random random = new Random(8);
        for (int i = 0; i < 500; i++) {
            Matrix m = new Matrix(
                    random.nextGaussian(),
                    random.nextGaussian(),
                    random.nextGaussian(),
                    random.nextGaussian(),
                    100 * random.nextGaussian(),
                    100 * random.nextGaussian());
            Decomposed d = Decomposed.of(m).near(200);
            AffineTransform awt = AffineTransform.getTranslateInstance(d.x(), d.y());
            awt.rotate(Math.toRadians(d.rotation()));
            awt.shear(Math.tan(Math.toRadians(d.skew())), 0);
            awt.scale(d.scaleX(), d.scaleY());
            assertThat(Math.abs(d.rotation() - 200)).isLessThanOrEqualTo(180);
            double[] flat = new double[6];
            awt.getMatrix(flat);
            assertThat(flat).containsExactly(new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()}, within(1e-8));
            Point p = new Point(3, -7);
            assertThat(d.matrix().apply(p).x()).isCloseTo(m.apply(p).x(), within(1e-8));
        }
    }

    @Test
    void aFlattenedPlacementIsTakenApartToo() {
        for (Matrix m : List.of(Matrix.scale(0, 2), Matrix.scale(3, 0), Matrix.scale(0, 0), Matrix.mirror(40))) {
            Matrix again = Decomposed.of(m).matrix();
            Point p = again.apply(new Point(5, 6));
            assertThat(p.x()).isCloseTo(m.apply(new Point(5, 6)).x(), within(1e-9));
            assertThat(p.y()).isCloseTo(m.apply(new Point(5, 6)).y(), within(1e-9));
        }
    }
}
