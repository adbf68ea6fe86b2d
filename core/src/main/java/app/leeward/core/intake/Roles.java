package app.leeward.core.intake;

import app.leeward.core.eye.BlinkMaker;
import app.leeward.core.eye.GazeMaker;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.ViewSet;
import app.leeward.core.rig.Window;
import app.leeward.core.turn.TurnMaker;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** What follows from a part's role: what it follows, what masks it, and the ready-made dials of the whole head. */
public final class Roles {
    private Roles() {}

    /** What a part of this role and side hangs on: the nearest role up the body that is there; what belongs to a view stays in it. */
    public static Optional<Part> parentFor(Character c, PartRole role, Side side, String self) {
        Map<String, String> views = c.rig().views();
        Optional<String> view = Optional.ofNullable(views.get(self));
        Optional<PartRole> wanted = role.follows();
        while (wanted.isPresent()) {
            PartRole now = wanted.get();
            Optional<Part> parent = of(c, views, view, now, side)
                    .or(() -> of(c, views, view, now, Side.NONE))
                    .filter(p -> !p.id().equals(self));
            if (parent.isPresent()) {
                return parent;
            }
            if (now == PartRole.HEAD && view.isPresent()) {
                return view.flatMap(c::part).filter(v -> !v.id().equals(self));
            }
            wanted = now.follows();
        }
        return Optional.empty();
    }

    private static Optional<Part> of(
            Character c, Map<String, String> views, Optional<String> view, PartRole role, Side side) {
        return c.rig().parts().stream()
                .filter(p -> p.role() == role && p.side() == side)
                .filter(p -> view.isEmpty() || view.get().equals(views.get(p.id())))
                .findFirst();
    }

    /** Whether a window between these two follows from their roles. */
    static boolean masks(Part window, Part masked) {
        return window != masked
                && (window.role() == PartRole.WHITE && masked.role().insideEye() && masked.side() == window.side()
                        || window.role() == PartRole.FACE
                                && masked.role().cutByFace()
                                && !masked.beaked()
                                && !PastEdge.of(window, masked));
    }

    /** The windows that follow from the roles of all parts. */
    static List<Window> windows(List<Part> parts) {
        List<Window> windows = new ArrayList<>();
        Map<String, String> views = ViewSet.membershipOf(parts);
        for (Part p : parts) {
            List<String> masked = parts.stream()
                    .filter(o -> masks(p, o) && Objects.equals(views.get(p.id()), views.get(o.id())))
                    .map(Part::id)
                    .toList();
            if (!masked.isEmpty() && !p.drawings().isEmpty()) {
                windows.add(new Window(p.id(), masked));
            }
        }
        return windows;
    }

    /** Turn, blink and gaze made anew from the art as it is hung now. */
    public static Character withDials(Character c) {
        return GazeMaker.addTo(BlinkMaker.addTo(TurnMaker.addTo(Views.addTo(c))));
    }
}
