package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.ViewBand;
import app.leeward.core.rig.ViewSet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Makes a view set of the parts that are views: each at the angle its name tells, its mirror image on the other side where only
 * one side was drawn, and every edge halfway between two angles.
 */
public final class Views {
    private static final double THREE_QUARTER = 45;
    private static final double SIDE = 90;
    private static final double BACK = 180;

    private Views() {}

    private record Shown(String root, boolean flipped) {}

    /** With its views on the dial of the head turn; unchanged for a character with fewer than two. */
    public static Character addTo(Character c) {
        List<Part> roots =
                c.rig().parts().stream().filter(p -> p.role() == PartRole.VIEW).toList();
        if (roots.size() < 2) {
            return c;
        }
        TreeMap<Double, Shown> angles = new TreeMap<>();
        for (Part root : roots) {
            double angle = angle(c, root);
            angles.putIfAbsent(angle, new Shown(root.id(), false));
        }
        // a drawn side goes before the mirror image of the other
        new TreeMap<>(angles).forEach((angle, s) -> angles.putIfAbsent(0 - angle, new Shown(s.root, true)));
        double most = angles.lastKey() > 0 ? angles.lastKey() : SIDE;
        List<ViewBand> bands = bands(angles, most);
        Part main = roots.stream()
                .filter(p -> angles.get(0.0) != null && p.id().equals(angles.get(0.0).root))
                .findFirst()
                .orElse(roots.get(0));
        List<HeadView> views = new ArrayList<>();
        views.add(view(c, main));
        roots.stream().filter(p -> p != main).forEach(p -> views.add(view(c, p)));
        String id = dial(c).map(Dial::id).orElse("turn");
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        if (dial(c).isEmpty()) {
            dials.add(0, new Dial(id, "Turn", Purpose.TURN, -most, most, 0, "°", List.of(), List.of()));
        }
        return c.withDials(dials, c.controls().pads())
                .withControls(controls -> controls.withViews(Optional.of(new ViewSet(id, views, bands))));
    }

    private static Optional<Dial> dial(Character c) {
        return c.controls().dials().stream()
                .filter(d -> d.purpose() == Purpose.TURN)
                .findFirst();
    }

    private static List<ViewBand> bands(TreeMap<Double, Shown> angles, double most) {
        List<ViewBand> bands = new ArrayList<>();
        List<Map.Entry<Double, Shown>> all = List.copyOf(angles.entrySet());
        for (int i = 0; i < all.size(); i++) {
            double from = i == 0 ? -most : (all.get(i - 1).getKey() + all.get(i).getKey()) / 2;
            double to = i == all.size() - 1
                    ? most
                    : (all.get(i).getKey() + all.get(i + 1).getKey()) / 2;
            Shown s = all.get(i).getValue();
            bands.add(new ViewBand(from, to, s.root, s.flipped));
        }
        return bands;
    }

    private static HeadView view(Character c, Part root) {
        Map<String, String> of = ViewSet.membership(c.rig().parts(), java.util.Set.of(root.id()));
        MouthChart mouths = c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.MOUTH
                        && of.containsKey(p.id())
                        && !p.drawings().isEmpty())
                .findFirst()
                .map(MouthNames::chart)
                .orElse(MouthChart.EMPTY);
        return new HeadView(root.id(), root.name(), mouths);
    }

    /** Degrees towards the right of the screen, as the dial of a turn counts them. */
    private static double angle(Character c, Part root) {
        List<String> words = PartNames.words(root.name());
        if (words.contains("front")) {
            return 0;
        }
        boolean quarter = words.contains("quarter") || words.contains("quarters") || words.contains("4");
        double size = quarter ? THREE_QUARTER : words.contains("back") || words.contains("rear") ? BACK : SIDE;
        return size == BACK || looksRight(c, root) ? size : -size;
    }

    /** Which way the face looks: nose, mouth or eyes lie towards that side of all there is of the head. */
    private static boolean looksRight(Character c, Part root) {
        Map<String, String> of = ViewSet.membership(c.rig().parts(), java.util.Set.of(root.id()));
        List<Part> pieces =
                c.rig().parts().stream().filter(p -> of.containsKey(p.id())).toList();
        Optional<Box> all = pieces.stream().flatMap(p -> p.bounds().stream()).reduce(Box::union);
        return looksRight(all, role -> pieces.stream()
                .filter(p -> p.role() == role)
                .sorted(Comparator.comparing(Part::id))
                .flatMap(p -> p.bounds().stream()));
    }

    /** The same of boxes: the first there is of nose, mouth and eyes against all of the head. */
    static boolean looksRight(Optional<Box> all, Function<PartRole, Stream<Box>> of) {
        Optional<Box> front = Stream.of(PartRole.NOSE, PartRole.MOUTH, PartRole.WHITE, PartRole.PUPIL)
                .flatMap(role -> of.apply(role).limit(1))
                .findFirst();
        return all.isEmpty()
                || front.isEmpty()
                || front.get().centre().x() >= all.get().centre().x();
    }
}
