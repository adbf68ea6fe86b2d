package app.leeward.core.eval;

import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.OffsetCurve;
import java.util.ArrayList;
import java.util.List;

/** What one run of the evaluation did to one part, in the order it did it: the stages write it down while they work. */
final class Trace {
    /** Place of the part that is asked about. */
    final int part;

    final List<Number> numbers = new ArrayList<>();
    final List<Choice> drawings = new ArrayList<>();
    final List<Choice> layers = new ArrayList<>();
    /** Places of the dials that pull points of what it shows, and where those stand. */
    final List<Pull> pulls = new ArrayList<>();

    /**
     * Something that was combined with one channel.
     *
     * @param by id of the dial, or of the corrective's first dial; empty where the kind says it all
     * @param at where the dial stood, or the weight of the corrective
     * @param amount what was added, or multiplied with
     * @param corrective which one it was; null for all but correctives
     */
    record Number(
            Contribution.Kind kind, String by, double at, Channel channel, double amount, Corrective corrective) {}

    /**
     * Somebody who asked for a drawing or a place in the stack, the strongest first.
     *
     * @param by id of the dial or look; empty where the kind says it all
     * @param at where the dial stood, or the strength of the look
     * @param asked id of the drawing, or of the part to lie over
     * @param heeded false for one whose wish counts for nothing, whatever the others ask
     */
    record Choice(Contribution.Kind kind, String by, double at, String asked, boolean heeded) {}

    record Pull(int dial, double at) {}

    Trace(int part) {
        this.part = part;
    }

    void add(Contribution.Kind kind, String by, double at, Channel channel, double amount) {
        if (amount != channel.neutral()) {
            numbers.add(new Number(kind, by, at, channel, amount, null));
        }
    }

    void add(Corrective corrective, double weight, Channel channel, double amount) {
        if (amount != channel.neutral()) {
            numbers.add(new Number(Contribution.Kind.CORNER, corrective.a(), weight, channel, amount, corrective));
        }
    }

    /** All that one dial does at a value. */
    void add(String dial, double at, OffsetCurve way) {
        Offset does = way.at(at);
        way.channels().forEach(c -> add(Contribution.Kind.DIAL, dial, at, c, does.of(c)));
    }
}
