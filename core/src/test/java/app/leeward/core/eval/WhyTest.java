package app.leeward.core.eval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Seeded;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** What <i>Why?</i> lists is what made the picture: nothing is left out, nothing is added, over rigs nobody would build. */
class WhyTest {
    @Seeded(tries = 300)
    void contributionsCombineToWhatIsShown(Random random) {
        RandomRig rig = new RandomRig(random);
        Character c = rig.character();
        Evaluator evaluator = new Evaluator(c);
        Pose pose = rig.pose(c);
        for (Part p : c.rig().parts()) {
            for (Reason r : evaluator.why(p.id(), pose)) {
                Channel channel = channel(r.channel()).orElse(null);
                if (channel != null) {
                    double all = channel.neutral();
                    for (Contribution one : r.heard()) {
                        all = channel.combine(all, one.amount());
                    }
                    assertThat(all)
                            .as("%s of %s: %s", r.channel(), p.id(), r.heard())
                            .isCloseTo(r.amount(), within(1e-9));
                }
            }
        }
    }

    /** The opacity and the drawing of each part, and for parts with one pivot the whole matrix, rebuilt from reasons alone. */
    @Seeded(tries = 300)
    void reasonsAloneGiveThePicture(Random random) {
        RandomRig rig = new RandomRig(random);
        Character c = rig.character();
        Evaluator evaluator = new Evaluator(c);
        Pose pose = rig.pose(c);
        Frame frame = evaluator.frame(pose);
        Map<String, Double> opacity = new HashMap<>();
        for (Part p : c.rig().parts()) {
            List<Reason> why = evaluator.why(p.id(), pose);
            double own = Math.max(0, Math.min(1, amount(why, Channel.OPACITY)));
            opacity.put(p.id(), own * p.parent().map(opacity::get).orElse(1.0));
            Optional<Frame.Placed> placed = frame.of(p.id());
            String shown = reason(why, Reason.DRAWING).value();
            assertThat(shown)
                    .as(p.id())
                    .isEqualTo(placed.map(Frame.Placed::drawing).orElse("nothing"));
            placed.ifPresent(f -> assertThat(f.opacity()).as(p.id()).isCloseTo(opacity.get(p.id()), within(1e-9)));
        }
    }

    /** The part a reason says it lies over is below it, and nothing that does not say so itself is between. */
    @Seeded(tries = 300)
    void whatSaysWhereItLiesLiesThere(Random random) {
        RandomRig rig = new RandomRig(random);
        Character c = rig.character();
        Evaluator evaluator = new Evaluator(c);
        Pose pose = rig.pose(c);
        List<String> stack =
                evaluator.frame(pose).placed().stream().map(Frame.Placed::part).toList();
        for (String part : stack) {
            evaluator.why(part, pose).stream()
                    .filter(r -> r.channel().equals(Reason.ORDER))
                    .forEach(r -> {
                        boolean back = r.value().equals("lies behind everything");
                        String over = r.value().replace("lies over ", "");
                        assertThat(back || !stack.contains(over) || stack.indexOf(part) > stack.indexOf(over))
                                .as("%s %s in %s", part, r.value(), stack)
                                .isTrue();
                        if (back && Dial.BACK.isEmpty()) {
                            assertThat(stack.indexOf(part))
                                    .as("%s in %s", part, stack)
                                    .isZero();
                        }
                    });
        }
    }

    private static Optional<Channel> channel(String id) {
        return Channel.STANDARD.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    private static double amount(List<Reason> why, Channel channel) {
        return reason(why, channel.id()).amount();
    }

    private static Reason reason(List<Reason> why, String channel) {
        return why.stream().filter(r -> r.channel().equals(channel)).findFirst().orElseThrow();
    }
}
