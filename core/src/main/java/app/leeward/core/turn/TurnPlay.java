package app.leeward.core.turn;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Ease;
import app.leeward.core.eval.DelayLine;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.List;

/** A dial played there and back: from one end to the other in so many frames, held a moment, and back. */
public final class TurnPlay {
    public static final int SHORTEST = 12;
    public static final int LONGEST = 48;
    /** Frames held at either end, so that what drags behind arrives. */
    private static final int HELD = 8;

    private static final Ease.Curve IN_AND_OUT = new Ease.Curve(0.42, 0, 0.58, 1);

    private TurnPlay() {}

    /**
     * @param frames one way, {@link #SHORTEST} to {@link #LONGEST}
     * @param exposure 1 on ones, 2 on twos
     * @param eased whether it starts and ends slowly (the CSS easing ease-in-out), or goes evenly
     */
    public static List<Pose> of(Evaluator evaluator, Dial dial, Pose over, int frames, int exposure, boolean eased) {
        if (frames < SHORTEST || frames > LONGEST) {
            throw new Refusal(
                    RefusalCode.PLAY_LENGTH,
                    "A turn is played in " + SHORTEST + " to " + LONGEST + " frames, not " + frames + ".");
        }
        int oneWay = frames + HELD;
        List<Pose> poses = new ArrayList<>();
        for (int f = 0; f < 2 * oneWay; f++) {
            int held = f - f % Math.max(1, exposure);
            boolean back = held >= oneWay;
            double t = Math.min(1, (held - (back ? oneWay : 0)) / (double) (frames - 1));
            double way = eased ? IN_AND_OUT.at(t) : t;
            poses.add(over.withDial(dial.id(), dial.from() + (dial.to() - dial.from()) * (back ? 1 - way : way)));
        }
        return new DelayLine(evaluator).over(poses);
    }
}
