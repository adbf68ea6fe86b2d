package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Window;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Lets a part be seen only through the fill of another, or takes that window away. */
public record Mask(String by, String part, boolean on) implements PartEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.WINDOWS.of(part));
    }

    @Override
    public String describe(Character before) {
        return Edits.nameOf(before, part)
                + (on ? " shows only inside " : " is no longer cut by ")
                + Edits.nameOf(before, by);
    }

    @Override
    public Outcome on(Character before) {
        Optional<String> gone = Edits.missing(before, List.of(by, part));
        if (gone.isPresent()) {
            return Edits.noPart(gone.get());
        }
        if (on && (by.equals(part) || masksThrough(before, part, by))) {
            return new Outcome.Refused(
                    RefusalCode.CIRCLE,
                    Edits.nameOf(before, by) + " is itself seen through " + Edits.nameOf(before, part) + ".");
        }
        if (on && before.part(by).orElseThrow().drawings().isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_WINDOW,
                    Edits.nameOf(before, by) + " has no drawing, so it has no fill to look through.");
        }
        return new Outcome.Done(before.withRig(rig -> rig.withWindows(windows(before))));
    }

    private static boolean masksThrough(Character c, String window, String part) {
        return c.rig().windows().stream()
                .filter(w -> w.by().equals(window))
                .anyMatch(
                        w -> w.masked().contains(part) || w.masked().stream().anyMatch(m -> masksThrough(c, m, part)));
    }

    private List<Window> windows(Character before) {
        List<Window> windows = new ArrayList<>();
        boolean there = false;
        for (Window w : before.rig().windows()) {
            if (w.by().equals(by)) {
                there = true;
                List<String> masked = new ArrayList<>(w.masked());
                masked.remove(part);
                if (on) {
                    masked.add(part);
                }
                if (!masked.isEmpty()) {
                    windows.add(new Window(by, masked));
                }
            } else {
                windows.add(w);
            }
        }
        if (on && !there) {
            windows.add(new Window(by, List.of(part)));
        }
        return windows;
    }
}
