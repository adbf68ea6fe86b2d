package app.leeward.core.eval;

import app.leeward.core.art.Drawing;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Driver;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.StopChange;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Puts into words what an evaluation wrote down about one part; it decides nothing. */
final class Explanation {
    private final Stages stages;
    private final CompiledRig rig;
    private final Evaluation run;
    private final Trace trace;
    private final Pose pose;
    private final Part part;

    Explanation(Stages stages, Evaluation run, Pose pose) {
        this.stages = stages;
        this.run = run;
        this.pose = pose;
        rig = stages.rig();
        trace = run.trace();
        part = rig.parts[trace.part];
    }

    List<Reason> all() {
        List<Reason> reasons = new ArrayList<>();
        if (!part.drawings().isEmpty()) {
            reasons.add(drawing());
        }
        for (Channel c : rig.channels) {
            Reason reason = number(c);
            if (!c.quiet() || reason.heard().size() > 1) {
                reasons.add(reason);
            }
        }
        if (!trace.pulls.isEmpty()) {
            List<Contribution> heard = trace.pulls.stream()
                    .map(p -> new Contribution(
                            Contribution.Kind.DIAL,
                            rig.dials.get(p.dial()).id(),
                            0,
                            at(rig.dials.get(p.dial()), p.at()) + " pulls its points"))
                    .toList();
            reasons.add(new Reason(Reason.OUTLINE, Reason.OUTLINE, "reshaped", 0, heard, List.of()));
        }
        if (!trace.layers.isEmpty()) {
            reasons.add(order());
        }
        return reasons;
    }

    private Reason number(Channel channel) {
        double total = run.total(trace.part, channel);
        List<Contribution> heard = new ArrayList<>();
        double rest = part.rest().of(channel);
        heard.add(new Contribution(Contribution.Kind.REST, "", rest, "stands at " + text(channel, rest)));
        for (Trace.Number n : trace.numbers) {
            if (n.channel().equals(channel) && n.kind() != Contribution.Kind.REST) {
                heard.add(new Contribution(n.kind(), n.by(), n.amount(), message(n)));
            }
        }
        return new Reason(channel.id(), channel.words(), text(channel, total), total, heard, List.of());
    }

    private String message(Trace.Number n) {
        Dial dial = rig.character.dial(n.by()).orElseThrow();
        return switch (n.kind()) {
            case CORNER ->
                "correction for " + standing(n.corrective().a()) + " together with "
                        + standing(n.corrective().b()) + change(n.channel(), n.amount());
            case LIMIT -> "held where " + dial.name() + " has shut the eye" + change(n.channel(), n.amount());
            default -> at(dial, n.at()) + change(n.channel(), n.amount());
        };
    }

    private Reason drawing() {
        String shown = run.drawing(trace.part);
        List<Contribution> heeded = new ArrayList<>();
        List<Contribution> not = new ArrayList<>();
        for (Trace.Choice c : trace.drawings) {
            (c.heeded() ? heeded : not).add(new Contribution(c.kind(), c.by(), 0, message(c)));
        }
        List<Contribution> overruled = new ArrayList<>(heeded.subList(1, heeded.size()));
        overruled.addAll(not);
        return new Reason(
                Reason.DRAWING,
                Reason.DRAWING,
                shown == null ? "nothing" : name(shown),
                0,
                List.of(heeded.get(0)),
                overruled);
    }

    private String message(Trace.Choice c) {
        return switch (c.kind()) {
            case VIEW ->
                rig.character.dial(c.by()).map(d -> at(d, setting(d.id()))).orElse(c.by()) + " shows the view "
                        + c.asked();
            case HAND -> holds(rig.character.part(c.by()).orElseThrow(), c.asked());
            case PIN -> "pinned by hand to " + name(c.asked());
            case LOOK ->
                "look " + rig.character.look(c.by()).map(Look::name).orElse(c.by()) + " at " + plain(100 * c.at())
                        + " % asks for " + name(c.asked());
            case SPEECH ->
                (c.by().isEmpty() ? "the line being spoken asks for " : "the line being spoken, in this view: ")
                        + name(c.asked());
            case DIAL -> at(rig.character.dial(c.by()).orElseThrow(), c.at()) + " asks for " + name(c.asked());
            case PICK -> "picked by hand: " + name(c.asked());
            default -> "by default: " + name(c.asked());
        };
    }

    private static String holds(Part hand, String shows) {
        String drawing = shows == null
                ? "nothing"
                : hand.drawing(shows).map(Drawing::name).orElse(shows);
        return hand.name() + " shows " + drawing + ", which has no grip";
    }

    /** Where it lies, where somebody says so besides the stacking order itself. */
    private Reason order() {
        List<Contribution> asked = new ArrayList<>();
        // dials first, since they win over what is said of a drawing
        for (Contribution.Kind kind : List.of(Contribution.Kind.DIAL, Contribution.Kind.REST)) {
            List<Trace.Choice> of =
                    trace.layers.stream().filter(c -> c.kind() == kind).collect(Collectors.toList());
            for (Trace.Choice c : of) {
                String who = kind == Contribution.Kind.DIAL
                        ? at(rig.character.dial(c.by()).orElseThrow(), c.at()) + ": "
                        : name(run.drawing(trace.part)) + " ";
                asked.add(new Contribution(kind, c.by(), 0, who + StopChange.lying(rig.character, c.asked())));
            }
        }
        Trace.Choice winner = trace.layers.stream()
                .filter(c -> c.kind() == Contribution.Kind.DIAL)
                .findFirst()
                .orElse(trace.layers.get(0));
        int place = rig.character.rig().order().indexOf(part.id());
        String below = place == 0 ? Dial.BACK : rig.character.rig().order().get(place - 1);
        asked.add(new Contribution(
                Contribution.Kind.REST, "", 0, "in the layer order it " + StopChange.lying(rig.character, below)));
        return new Reason(
                Reason.ORDER,
                "layer order",
                StopChange.lying(rig.character, winner.asked()),
                0,
                List.of(asked.get(0)),
                asked.subList(1, asked.size()));
    }

    private String name(String drawing) {
        return part.drawing(drawing).map(Drawing::name).orElse("nothing");
    }

    private double setting(String dial) {
        return run.settings[stages.dials().indexOf(dial)];
    }

    private String standing(String dial) {
        return rig.character
                .dial(dial)
                .map(d -> d.name() + " at " + plain(setting(dial)) + d.unit())
                .orElse(dial);
    }

    /** A dial and where it stands, with the looks and cues that brought it there. */
    private String at(Dial dial, double value) {
        List<String> by = new ArrayList<>();
        for (Look look : rig.character.library().looks()) {
            if (look.dials().containsKey(dial.id()) && pose.looks().getOrDefault(look.id(), 0.0) != 0) {
                by.add("look " + look.name());
            }
        }
        if (pose.cues().getOrDefault(dial.id(), 0.0) != 0) {
            by.add("a cue");
        }
        for (Driver f : dial.follows()) {
            rig.character
                    .dial(f.leader())
                    .filter(l -> setting(l.id()) != l.rest())
                    .ifPresent(l -> by.add(l.name()));
        }
        String with = by.isEmpty() ? "" : " (with " + String.join(", ", by) + ")";
        return dial.name() + " at " + plain(value) + dial.unit() + with;
    }

    private static String change(Channel channel, double does) {
        return channel.combining() == Channel.Combining.MULTIPLIED
                ? " × " + text(channel, does)
                : (does < 0 ? " − " : " + ") + text(channel, Math.abs(does));
    }

    private static String text(Channel channel, double value) {
        return switch (channel.unit()) {
            case SHARE -> plain(value * 100) + " %";
            case DEGREES -> plain(value) + "°";
            case LENGTH -> plain(value);
        };
    }

    private static String plain(double v) {
        return Decimals.plain(v, 1);
    }
}
