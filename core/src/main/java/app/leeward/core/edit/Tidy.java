package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.Stray;
import app.leeward.core.intake.Strays;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/** Takes all stray geometry away: what nobody can see. Drawings and parts that are left with nothing go too. */
public record Tidy() implements SheetEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        int n = Strays.in(before).size();
        return "Took away " + n + (n == 1 ? " stray shape" : " stray shapes");
    }

    @Override
    public Outcome on(Character before) {
        Set<String> stray = new HashSet<>();
        for (Stray s : Strays.in(before)) {
            stray.add(key(s.part(), s.drawing(), s.shape()));
        }
        if (stray.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NOTHING_STRAY, "There is no stray geometry.");
        }
        Character c = before;
        List<String> emptied = new ArrayList<>();
        for (Part p : before.rig().parts()) {
            List<Drawing> kept = drawings(p, stray::contains);
            if (!kept.equals(p.drawings())) {
                boolean shown = kept.stream().anyMatch(d -> d.id().equals(p.shown()));
                String now = shown || p.shown().equals(Part.NOTHING) || kept.isEmpty()
                        ? (kept.isEmpty() ? Part.NOTHING : p.shown())
                        : kept.get(0).id();
                c = c.withPart(p.id(), q -> q.withDrawings(kept, now));
                if (kept.isEmpty()) {
                    emptied.add(p.id());
                }
            }
        }
        return emptied.isEmpty() ? new Outcome.Done(c) : new Discard(emptied).on(c);
    }

    private static List<Drawing> drawings(Part p, Predicate<String> stray) {
        List<Drawing> kept = new ArrayList<>();
        for (Drawing d : p.drawings()) {
            List<Shape> shapes = new ArrayList<>();
            for (int i = 0; i < d.art().shapes().size(); i++) {
                if (!stray.test(key(p.id(), d.id(), i))) {
                    shapes.add(d.art().shapes().get(i));
                }
            }
            if (shapes.size() == d.art().shapes().size()) {
                kept.add(d);
            } else if (!shapes.isEmpty()) {
                kept.add(d.withArt(new Artwork(shapes)));
            }
        }
        return kept;
    }

    private static String key(String part, String drawing, int shape) {
        return part + "/" + drawing + "/" + shape;
    }
}
