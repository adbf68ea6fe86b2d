package app.leeward.core.eval;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.ViewBand;
import app.leeward.core.rig.ViewSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** The views of a character made ready for many poses: which parts belong to which, and what the line's mouth is in each. */
final class ViewStage {
    private final Optional<ViewSet> set;
    private final int dial;
    /** For each part the root of its view; null for the rest of the body. */
    private final String[] viewOf;

    private final Map<String, Integer> rootIndex = new HashMap<>();
    /** For the mouth of a view: from a drawing of the main mouth to its own. */
    private final Map<String, Map<String, String>> mouths = new HashMap<>();

    private final Optional<String> mainMouth;
    private final double axis;

    ViewStage(CompiledRig rig, DialSolver solver) {
        Character c = rig.character;
        set = c.controls().views();
        dial = set.map(s -> solver.indexOf(s.dial())).orElse(-1);
        viewOf = new String[c.rig().parts().size()];
        axis = c.sheet().model().axis();
        mainMouth = c.voice().mouths().part();
        set.ifPresent(s -> {
            s.membership(c.rig().parts()).forEach((part, root) -> viewOf[rig.place(part)] = root);
            s.views().forEach(v -> {
                rootIndex.put(v.root(), rig.place(v.root()));
                v.mouths()
                        .part()
                        .filter(p -> !mainMouth.equals(Optional.of(p)))
                        .ifPresent(p -> mouths.put(p, translated(c, c.voice().mouths(), v.mouths(), p)));
            });
        });
    }

    /** By name first, since the designer named them alike; else the mouth for the sound the main one serves. */
    private static Map<String, String> translated(Character c, MouthChart main, MouthChart own, String part) {
        Map<String, String> out = new HashMap<>();
        List<Drawing> mine = c.part(part).map(Part::drawings).orElse(List.of());
        for (Viseme v : Viseme.values()) {
            main.serve(v)
                    .ifPresent(from -> own.serve(v).ifPresent(to -> out.putIfAbsent(from.drawing(), to.drawing())));
        }
        main.part().flatMap(c::part).ifPresent(p -> p.drawings().forEach(d -> mine.stream()
                .filter(o -> o.name().equalsIgnoreCase(d.name()))
                .findFirst()
                .ifPresent(o -> out.put(d.id(), o.id()))));
        return out;
    }

    /** The band that is shown; null for a character without views. */
    ViewBand at(double[] settings) {
        return set.map(s -> s.at(dial < 0 ? 0 : settings[dial])).orElse(null);
    }

    boolean hides(int part, ViewBand shown) {
        return shown != null && viewOf[part] != null && !viewOf[part].equals(shown.view());
    }

    /** The name of the view that is shown, for a part that is hidden by it. */
    Optional<String> instead(int part, ViewBand shown) {
        return hides(part, shown) ? set.flatMap(s -> s.view(shown.view())).map(HeadView::name) : Optional.empty();
    }

    /** The dial that exchanges them; empty without views. */
    String dial() {
        return set.map(ViewSet::dial).orElse("");
    }

    /** Whether a part belongs to the view that is shown, as its mirror image. */
    boolean flips(int part, ViewBand shown) {
        return shown != null && shown.flipped() && shown.view().equals(viewOf[part]);
    }

    /** Index of the part whose picture is mirrored; -1 for none. */
    int flippedRoot(ViewBand shown) {
        return shown != null && shown.flipped() ? rootIndex.getOrDefault(shown.view(), -1) : -1;
    }

    /** The mirror about the axis in the coordinates of what the view follows, given where that rests. */
    Matrix mirror(Matrix within) {
        return within.inverse().times(Matrix.mirror(axis)).times(within);
    }

    /** What the line asks of the mouth of a view, when it asks something of the main mouth. */
    String spoken(String part, Function<String, String> speech) {
        Map<String, String> own = mouths.get(part);
        if (own == null || mainMouth.isEmpty()) {
            return null;
        }
        String asked = speech.apply(mainMouth.get());
        return asked == null ? null : own.get(asked);
    }
}
