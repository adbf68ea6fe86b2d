package app.leeward.core.eval;

import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.ViewBand;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * Decides which drawing each part shows: the first that speaks of pin, look, speech, a dial away from rest, the pick, the default.
 * Of two dials the one further from rest wins, then the later in the list; of two looks the stronger, then the later. What asks
 * for a drawing the part does not have is not heard.
 */
final class DrawingStage {
    /** From which strength on a look shows its drawings. */
    private static final double FROM_HALF = 0.5;

    private final CompiledRig rig;
    private final ViewStage views;
    private final PoseStage poses;
    /** For each dial the drawings it exchanges. */
    private final List<List<Exchange>> exchanges = new ArrayList<>();

    /** The bands of one part that is there, without those whose drawing is gone. */
    private record Exchange(int part, Bands bands) {}

    DrawingStage(CompiledRig rig, ViewStage views, PoseStage poses) {
        this.rig = rig;
        this.views = views;
        this.poses = poses;
        for (Dial d : rig.dials) {
            exchanges.add(d.bands().stream()
                    .filter(b -> rig.has(b.part()))
                    .map(b -> exchange(rig.place(b.part()), b))
                    .toList());
        }
    }

    private Exchange exchange(int part, Bands bands) {
        List<Band> offered = bands.bands().stream()
                .filter(b -> rig.parts[part].offers(b.drawing()))
                .toList();
        return new Exchange(part, new Bands(bands.part(), offered));
    }

    /**
     * The drawing each part shows, null for none.
     *
     * @param trace null when nobody asks why
     */
    String[] of(Pose pose, double[] settings, ViewBand shown, Trace trace) {
        String[] byDial = byDial(settings, shown, trace);
        List<Look> looks = ranked(pose);
        boolean asked = !(pose.pins().isEmpty()
                && looks.isEmpty()
                && pose.speech().isEmpty()
                && pose.picks().isEmpty());
        String[] chosen = new String[rig.parts.length];
        for (int i = 0; i < chosen.length; i++) {
            Trace told = trace != null && trace.part == i ? trace : null;
            String drawing = asked || told != null ? decided(i, pose, looks, byDial[i], told) : orDefault(i, byDial[i]);
            if (views.hides(i, shown)) {
                drawing = null;
                if (told != null) {
                    views.instead(i, shown)
                            .ifPresent(name -> told.drawings.add(
                                    0, new Trace.Choice(Contribution.Kind.VIEW, views.dial(), 0, name, true)));
                }
            }
            chosen[i] = Part.NOTHING.equals(drawing) ? null : drawing;
        }
        return chosen;
    }

    private String orDefault(int part, String drawing) {
        return drawing != null ? drawing : rig.parts[part].shown();
    }

    /** What the dials ask for, null for none. */
    private String[] byDial(double[] settings, ViewBand shown, Trace trace) {
        String[] chosen = new String[rig.parts.length];
        double[] share = new double[rig.parts.length];
        for (int i = 0; i < settings.length; i++) {
            Dial dial = rig.dials.get(i);
            double mirrored = exchanges.get(i).isEmpty() ? 0 : poses.mirrored(i, settings, shown);
            for (Exchange e : exchanges.get(i)) {
                double at = mirrored != settings[i] && views.flips(e.part, shown) ? mirrored : settings[i];
                double away = dial.share(at);
                int band = away > 0 ? e.bands.indexAt(at, dial.to()) : -1;
                String drawing = band < 0 ? null : e.bands.bands().get(band).drawing();
                if (drawing != null && away >= share[e.part]) {
                    chosen[e.part] = drawing;
                    share[e.part] = away;
                }
                if (drawing != null && trace != null && trace.part == e.part) {
                    told(trace, dial, at, drawing);
                }
            }
        }
        return chosen;
    }

    /** Before all dials that are no further from rest, since this one is later in the list. */
    private void told(Trace trace, Dial dial, double at, String drawing) {
        int before = 0;
        while (before < trace.drawings.size() && share(trace.drawings.get(before)) > dial.share(at)) {
            before++;
        }
        trace.drawings.add(before, new Trace.Choice(Contribution.Kind.DIAL, dial.id(), at, drawing, true));
    }

    private double share(Trace.Choice c) {
        return rig.character.dial(c.by()).map(d -> d.share(c.at())).orElse(0.0);
    }

    /** The looks that are strong enough to show their drawings, the strongest first. */
    private List<Look> ranked(Pose pose) {
        if (pose.looks().isEmpty()) {
            return List.of();
        }
        List<Look> strong = new ArrayList<>();
        for (Look l : rig.character.library().looks()) {
            if (strength(pose, l) >= FROM_HALF && !l.drawings().isEmpty()) {
                // later ones of the same strength come first
                strong.add(0, l);
            }
        }
        strong.sort(Comparator.comparingDouble((Look l) -> -strength(pose, l)));
        return strong;
    }

    private static double strength(Pose pose, Look look) {
        return pose.looks().getOrDefault(look.id(), 0.0);
    }

    private String decided(int part, Pose pose, List<Look> looks, String byDial, Trace trace) {
        String id = rig.parts[part].id();
        List<Trace.Choice> dials = trace == null ? List.of() : List.copyOf(trace.drawings);
        if (trace != null) {
            trace.drawings.clear();
        }
        String first = asked(Contribution.Kind.PIN, "", 0, part, pose.pins().get(id), null, trace);
        for (Look l : looks) {
            first = asked(
                    Contribution.Kind.LOOK,
                    l.id(),
                    strength(pose, l),
                    part,
                    l.drawings().get(id),
                    first,
                    trace);
        }
        Map<String, String> speech = pose.speech();
        first = asked(Contribution.Kind.SPEECH, "", 0, part, speech.get(id), first, trace);
        String inView = views.spoken(id, speech::get);
        first = asked(Contribution.Kind.SPEECH, views.dial(), 0, part, inView, first, trace);
        if (trace != null) {
            trace.drawings.addAll(dials);
        }
        first = first == null ? byDial : first;
        first = asked(Contribution.Kind.PICK, "", 0, part, pose.picks().get(id), first, trace);
        first = asked(Contribution.Kind.REST, "", 0, part, rig.parts[part].shown(), first, trace);
        if (trace != null) {
            weakLooks(pose, looks, id, trace);
        }
        return first;
    }

    /** @return what was decided before, or else this, if the part has it */
    private String asked(
            Contribution.Kind kind, String by, double at, int part, String drawing, String before, Trace trace) {
        String has = offered(part, drawing);
        if (trace != null && has != null) {
            trace.drawings.add(new Trace.Choice(kind, by, at, has, true));
        }
        return before != null ? before : has;
    }

    /** Looks that ask for something and are too weak to be heard. */
    private void weakLooks(Pose pose, List<Look> heard, String part, Trace trace) {
        for (Look l : rig.character.library().looks()) {
            String wanted = l.drawings().get(part);
            if (wanted != null && strength(pose, l) > 0 && !heard.contains(l)) {
                trace.drawings.add(new Trace.Choice(Contribution.Kind.LOOK, l.id(), strength(pose, l), wanted, false));
            }
        }
    }

    private String offered(int part, String drawing) {
        return drawing != null && rig.parts[part].offers(drawing) ? drawing : null;
    }
}
