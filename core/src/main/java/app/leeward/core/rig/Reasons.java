package app.leeward.core.rig;

import app.leeward.core.art.Drawing;
import app.leeward.core.dial.Corner;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Follow;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Reshaping;
import app.leeward.core.dial.Way;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Puts into words what {@link Evaluator} decided for one part in one pose. */
final class Reasons {
    private final Character character;
    private final Part part;
    private final Pose pose;
    private final double[] stand;
    private final Map<Corner, Double> corners;
    private final double[] values;
    private final String shown;
    private final Optional<String> dropped;
    private final ViewsShown views;
    private final int index;

    /**
     * @param stand where each dial stands
     * @param dropped why the hand that should hold it does not, in words
     */
    Reasons(
            Character character,
            Part part,
            Pose pose,
            double[] stand,
            Map<Corner, Double> corners,
            double[] values,
            String shown,
            Optional<String> dropped,
            ViewsShown views,
            int index) {
        this.character = character;
        this.part = part;
        this.pose = pose;
        this.stand = stand;
        this.corners = corners;
        this.values = values;
        this.shown = shown;
        this.dropped = dropped;
        this.views = views;
        this.index = index;
    }

    List<Reason> all() {
        List<Reason> reasons = new ArrayList<>();
        if (!part.drawings().isEmpty()) {
            reasons.add(drawing());
        }
        for (Channel c : Channel.values()) {
            if (c != Channel.DRAWING && c != Channel.OUTLINE && c != Channel.ORDER) {
                Reason reason = number(c);
                // what nothing bends need not be said
                if (!c.bends() || reason.heard().size() > 1) {
                    reasons.add(reason);
                }
            }
        }
        List<Reason.Voice> pulled = reshaping();
        if (!pulled.isEmpty()) {
            reasons.add(new Reason(Channel.OUTLINE, "reshaped", pulled, List.of()));
        }
        order().ifPresent(reasons::add);
        return reasons;
    }

    /** Where it lies, where somebody says so besides the stacking order itself. */
    private Optional<Reason> order() {
        List<Reason.Voice> voices = new ArrayList<>();
        for (Dial dial : strongest()) {
            double value = held(dial);
            dial.layers().stream()
                    .filter(b -> b.part().equals(part.id()) && dial.share(value) > 0)
                    .flatMap(b -> b.at(value, dial.to()).stream())
                    .forEach(over -> voices.add(new Reason.Voice(
                            Reason.Kind.DIAL, dial.id(), at(dial, value) + ": " + StopChange.lying(character, over))));
        }
        character.stacks().stream()
                .filter(s -> s.part().equals(part.id()) && s.drawing().equals(shown))
                .forEach(s -> voices.add(new Reason.Voice(
                        Reason.Kind.REST, "", name(shown) + " " + StopChange.lying(character, s.over()))));
        if (voices.isEmpty()) {
            return Optional.empty();
        }
        int place = character.order().indexOf(part.id());
        String below = place == 0 ? Dial.BACK : character.order().get(place - 1);
        voices.add(new Reason.Voice(
                Reason.Kind.REST, "", "in the stacking order it " + StopChange.lying(character, below)));
        String says = voices.get(0).says();
        return Optional.of(new Reason(
                Channel.ORDER,
                says.substring(says.indexOf("lies ")),
                List.of(voices.get(0)),
                voices.subList(1, voices.size())));
    }

    /** The strongest dial first: furthest from rest, then the later in the list. */
    private List<Dial> strongest() {
        List<Dial> strongest = new ArrayList<>(character.dials());
        java.util.Collections.reverse(strongest);
        strongest.sort(Comparator.comparingDouble((Dial d) -> d.share(held(d))).reversed());
        return strongest;
    }

    /** The dials that take points of what is shown elsewhere. */
    private List<Reason.Voice> reshaping() {
        List<Reason.Voice> heard = new ArrayList<>();
        for (Dial dial : character.dials()) {
            double value = held(dial);
            boolean pulls = value != dial.rest()
                    && Reshaping.of(dial).stream()
                            .anyMatch(r ->
                                    r.part().equals(part.id()) && r.drawing().equals(shown));
            if (pulls) {
                heard.add(new Reason.Voice(Reason.Kind.DIAL, dial.id(), at(dial, value) + " pulls its points"));
            }
        }
        return heard;
    }

    private Reason number(Channel channel) {
        double rest = of(channel, part.rest());
        List<Reason.Voice> heard = new ArrayList<>();
        heard.add(new Reason.Voice(Reason.Kind.REST, "", "stands at " + text(channel, rest)));
        for (Dial dial : character.dials()) {
            double value = held(dial);
            if (value != dial.rest()) {
                for (Way way : Way.of(dial)) {
                    double does = of(channel, way.at(value));
                    boolean neutral = does == of(channel, Offset.NONE);
                    if (way.part().equals(part.id()) && !neutral) {
                        heard.add(
                                new Reason.Voice(Reason.Kind.DIAL, dial.id(), at(dial, value) + change(channel, does)));
                    }
                }
            }
        }
        corners.forEach((k, weight) -> {
            double full = of(channel, k.offsets().get(part.id()));
            double none = of(channel, Offset.NONE);
            if (full != none) {
                heard.add(new Reason.Voice(
                        Reason.Kind.CORNER,
                        k.a(),
                        "correction for " + standing(k.a()) + " together with " + standing(k.b())
                                + change(channel, none + (full - none) * weight)));
            }
        });
        return new Reason(channel, text(channel, values[channel.ordinal()]), heard, List.of());
    }

    private Reason drawing() {
        List<Reason.Voice> voices = new ArrayList<>();
        List<Reason.Voice> weak = new ArrayList<>();
        views.instead(index, stand).ifPresent(name -> {
            String by = views.dial().orElse("");
            voices.add(new Reason.Voice(
                    Reason.Kind.VIEW,
                    by,
                    character.dial(by).map(d -> at(d, held(d))).orElse(by) + " shows the view " + name));
        });
        dropped.ifPresent(why -> voices.add(new Reason.Voice(Reason.Kind.HAND, "", why)));
        speak(voices, Reason.Kind.PIN, "", pose.pins().get(part.id()), "pinned by hand to ");
        for (Look look : character.looks()) {
            String wanted = look.drawings().get(part.id());
            double strength = pose.looks().getOrDefault(look.id(), 0.0);
            if (wanted != null && strength > 0) {
                String words = "look " + look.name() + " at " + plain(100 * strength) + " % asks for ";
                Reason.Voice voice = new Reason.Voice(Reason.Kind.LOOK, look.id(), words + name(wanted));
                boolean heard =
                        wanted.equals(Evaluator.lookDrawings(character, pose).get(part.id()));
                if (part.offers(wanted) && heard) {
                    voices.add(voice);
                } else {
                    weak.add(voice);
                }
            }
        }
        speak(voices, Reason.Kind.SPEECH, "", pose.speech().get(part.id()), "the line being spoken asks for ");
        speak(
                voices,
                Reason.Kind.SPEECH,
                "",
                views.spoken(part.id(), pose.speech()::get),
                "the line being spoken, in this view: ");
        for (Dial dial : strongest()) {
            double value = held(dial);
            if (dial.share(value) > 0) {
                String asked = Evaluator.asked(dial, part.id(), value).orElse(null);
                speak(voices, Reason.Kind.DIAL, dial.id(), asked, at(dial, value) + " asks for ");
            }
        }
        speak(voices, Reason.Kind.PICK, "", pose.picks().get(part.id()), "picked by hand: ");
        speak(voices, Reason.Kind.REST, "", part.shown(), "by default: ");
        voices.addAll(weak);
        return new Reason(
                Channel.DRAWING,
                shown == null ? "nothing" : name(shown),
                List.of(voices.get(0)),
                voices.subList(1, voices.size()));
    }

    private void speak(List<Reason.Voice> voices, Reason.Kind kind, String by, String drawing, String words) {
        if (drawing != null && part.offers(drawing)) {
            voices.add(new Reason.Voice(kind, by, words + name(drawing)));
        }
    }

    private String name(String drawing) {
        return part.drawing(drawing).map(Drawing::name).orElse("nothing");
    }

    private double held(Dial dial) {
        return stand[character.dials().indexOf(dial)];
    }

    private String standing(String dial) {
        return character
                .dial(dial)
                .map(d -> d.name() + " at " + plain(held(d)) + d.unit())
                .orElse(dial);
    }

    /** A dial and where it stands, with the looks and cues that brought it there. */
    private String at(Dial dial, double value) {
        List<String> by = new ArrayList<>();
        for (Look look : character.looks()) {
            if (look.dials().containsKey(dial.id()) && pose.looks().getOrDefault(look.id(), 0.0) != 0) {
                by.add("look " + look.name());
            }
        }
        if (pose.cues().getOrDefault(dial.id(), 0.0) != 0) {
            by.add("a cue");
        }
        for (Follow f : dial.follows()) {
            character.dial(f.leader()).filter(l -> held(l) != l.rest()).ifPresent(l -> by.add(l.name()));
        }
        String with = by.isEmpty() ? "" : " (with " + String.join(", ", by) + ")";
        return dial.name() + " at " + plain(value) + dial.unit() + with;
    }

    private static String change(Channel channel, double does) {
        return switch (channel) {
            case SCALE_X, SCALE_Y, OPACITY -> " × " + plain(does * 100) + " %";
            default -> (does < 0 ? " − " : " + ") + text(channel, Math.abs(does));
        };
    }

    private static String text(Channel channel, double value) {
        return switch (channel) {
            case SCALE_X, SCALE_Y, OPACITY -> plain(value * 100) + " %";
            case ROTATION, SKEW_X -> plain(value) + "°";
            default -> plain(value);
        };
    }

    private static String plain(double v) {
        String text = String.format(Locale.ROOT, "%.1f", v);
        return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
    }

    private static double of(Channel channel, Placement p) {
        return switch (channel) {
            case X -> p.x();
            case Y -> p.y();
            case ROTATION -> p.rotation();
            case SCALE_X -> p.scaleX();
            case SCALE_Y -> p.scaleY();
            case SKEW_X -> p.skewX();
            case OPACITY -> p.opacity();
            case BEND_LEFT, BEND_MIDDLE, BEND_RIGHT -> 0;
            case DRAWING, OUTLINE, ORDER -> throw new IllegalArgumentException("a drawing is not a number");
        };
    }

    private static double of(Channel channel, Offset o) {
        return switch (channel) {
            case BEND_LEFT -> o.bend().left();
            case BEND_MIDDLE -> o.bend().middle();
            case BEND_RIGHT -> o.bend().right();
            default -> placed(channel, o);
        };
    }

    private static double placed(Channel channel, Offset o) {
        return of(channel, new Placement(o.x(), o.y(), o.rotation(), o.scaleX(), o.scaleY(), o.skewX(), o.opacity()));
    }
}
