package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.intake.LayerChange.Kind;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.ImportedSource;
import app.leeward.core.rig.ImportedSource.ReadDrawing;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Window;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;

/**
 * Holds a newer version of the art against the one read before and against what became of that here. What was scaled,
 * flipped or recoloured here is done to the new drawings too, so that they stand where the old ones stand.
 */
public final class Versions {
    private final Character now;
    private final Character fresh;
    private final ImportedSource before;
    private final ImportedSource newer;
    private final Recolouring recolouring;
    /** From the newer file's coordinates to those of the one before. */
    private final Matrix moved;
    /** From the newer file's coordinates to the canvas. */
    private final Matrix placed;
    /** What each of the newer drawings was before; drawings without a forerunner are missing here. */
    private final Map<ReadDrawing, ReadDrawing> forerunners = new IdentityHashMap<>();

    private Versions(Character now, String file, Character fresh) {
        this.now = now;
        this.fresh = fresh;
        this.before = now.origin().source().orElseGet(() -> ImportedSource.of("", now));
        this.newer = ImportedSource.of(file, fresh);
        this.moved = registration();
        this.placed = before.placed().times(moved);
        match((o, n) -> o.layer().equals(n.layer()) && sameArt(o, n));
        match(this::sameArt);
        match((o, n) -> o.layer().equals(n.layer()));
        match((o, n) -> o.name().equals(n.name()));
        this.recolouring = Recolouring.between(before.drawings().stream()
                .flatMap(d -> here(d).map(a -> new Registration.Pair(d.art(), a)).stream())
                .toList());
    }

    /**
     * A newer version of the art beside a character; what it changes is {@link #report}ed.
     *
     * @param fresh the newer art as a character of its own, just read
     */
    public static Versions between(Character now, String file, Character fresh) {
        return new Versions(now, file, fresh);
    }

    private Matrix registration() {
        Map<String, ReadDrawing> old = new HashMap<>();
        before.drawings().forEach(d -> old.putIfAbsent(d.layer(), d));
        return Registration.of(newer.drawings().stream()
                .filter(n -> old.containsKey(n.layer()))
                .map(n -> new Registration.Pair(n.art(), old.get(n.layer()).art()))
                .toList());
    }

    private boolean sameArt(ReadDrawing o, ReadDrawing n) {
        return o.art().shapes().size() == n.art().shapes().size()
                && Difference.same(
                        o.art(),
                        moved.equals(Matrix.IDENTITY) ? n.art() : n.art().transform(moved));
    }

    private void match(BiPredicate<ReadDrawing, ReadDrawing> alike) {
        Set<ReadDrawing> used = identities(forerunners.values());
        List<ReadDrawing> free = new ArrayList<>(
                before.drawings().stream().filter(d -> !used.contains(d)).toList());
        for (ReadDrawing n : newer.drawings()) {
            if (!forerunners.containsKey(n)) {
                free.stream().filter(o -> alike.test(o, n)).findFirst().ifPresent(o -> {
                    forerunners.put(n, o);
                    free.remove(o);
                });
            }
        }
    }

    private static Set<ReadDrawing> identities(Iterable<ReadDrawing> all) {
        Set<ReadDrawing> out = Collections.newSetFromMap(new IdentityHashMap<>());
        all.forEach(out::add);
        return out;
    }

    /** The drawing as it stands on the canvas now; empty when it was taken away. */
    private Optional<Artwork> here(ReadDrawing d) {
        return now.part(d.part()).flatMap(p -> p.drawing(d.drawing())).map(Drawing::art);
    }

    private Artwork onCanvas(ReadDrawing n) {
        return recolouring.on(n.art().transform(placed));
    }

    /** Whether somebody changed the drawing here since it was read, apart from what was done to all. */
    private boolean changedHere(ReadDrawing o) {
        return here(o).filter(a -> !Difference.same(recolouring.on(o.art().transform(before.placed())), a))
                .isPresent();
    }

    /** What a newer version of the art changes. */
    public NewVersion report() {
        List<LayerChange> out = new ArrayList<>();
        for (ReadDrawing n : newer.drawings()) {
            out.add(change(n));
        }
        Set<ReadDrawing> matched = identities(forerunners.values());
        for (ReadDrawing o : before.drawings()) {
            if (!matched.contains(o) && here(o).isPresent()) {
                out.add(new LayerChange(
                        missingKey(o),
                        Kind.MISSING,
                        o.name(),
                        "not in the new version",
                        inUse(o),
                        false,
                        here(o),
                        Optional.empty()));
            }
        }
        return new NewVersion(newer.file(), before.file(), wholeFile(), out);
    }

    private static String missingKey(ReadDrawing o) {
        return "missing " + o.part() + "/" + o.drawing();
    }

    private LayerChange change(ReadDrawing n) {
        ReadDrawing o = forerunners.get(n);
        if (o == null) {
            return new LayerChange(
                    n.layer(), Kind.NEW, n.name(), "new", "", true, Optional.empty(), Optional.of(onCanvas(n)));
        }
        Optional<Artwork> here = here(o);
        boolean same = sameArt(o, n);
        String renamed = o.layer().equals(n.layer()) ? "" : "called '" + n.name() + "' there";
        if (same) {
            return new LayerChange(n.layer(), Kind.SAME, o.name(), renamed, "", false, here, Optional.of(onCanvas(n)));
        }
        String message = Difference.message(recolouring.on(o.art().transform(before.placed())), onCanvas(n));
        String warning = here.isEmpty()
                ? "it was taken away here"
                : changedHere(o) ? "it was changed here too; that would be lost" : "";
        return new LayerChange(
                n.layer(),
                Kind.CHANGED,
                o.name(),
                renamed.isEmpty() ? message : message + ", " + renamed,
                warning,
                warning.isEmpty(),
                here,
                Optional.of(onCanvas(n)));
    }

    private String inUse(ReadDrawing o) {
        boolean serves = now.voice().mouths().part().equals(Optional.of(o.part()))
                && now.voice().mouths().drawings().contains(o.drawing());
        boolean shown = now.controls().dials().stream()
                .flatMap(d -> d.bands().stream())
                .filter(b -> b.part().equals(o.part()))
                .anyMatch(b -> b.bands().stream().anyMatch(x -> x.drawing().equals(o.drawing())));
        return serves ? "it serves sounds" : shown ? "a dial shows it" : "";
    }

    private List<String> wholeFile() {
        List<String> message = new ArrayList<>();
        if (!moved.equals(Matrix.IDENTITY)) {
            boolean scaled = Math.abs(moved.a() - 1) > 1e-4 || Math.abs(moved.d() - 1) > 1e-4;
            message.add("The whole drawing was " + (scaled ? "scaled and moved" : "moved")
                    + " in the file; it is put where it stands here.");
        }
        if (!recolouring.isEmpty()) {
            message.add((recolouring.size() == 1 ? "The colour" : "The " + recolouring.size() + " colours")
                    + " exchanged here " + (recolouring.size() == 1 ? "is" : "are")
                    + " exchanged in the new drawings too.");
        }
        return message;
    }

    /**
     * With the chosen new and changed drawings; missing ones are left for the caller to take away. Nothing that was rigged
     * on what stays is touched.
     *
     * @param keys of changes that were reported
     */
    public Character taken(Set<String> keys) {
        Character c = now;
        Map<String, String> places = partsHere();
        List<ReadDrawing> read = new ArrayList<>();
        for (ReadDrawing n : newer.drawings()) {
            ReadDrawing o = forerunners.get(n);
            boolean wanted = keys.contains(n.layer());
            String part = o != null ? o.part() : "";
            String drawing = o != null ? o.drawing() : "";
            if (wanted && o != null && here(o).isPresent()) {
                c = redrawn(c, o, onCanvas(n));
            } else if (wanted) {
                Added added = added(c, n, places);
                c = added.character;
                part = added.part;
                drawing = added.drawing;
            }
            read.add(new ReadDrawing(n.layer(), part, drawing, n.name(), n.art()));
        }
        return c.withOrigin(origin -> origin.withSource(
                Optional.of(new ImportedSource(newer.file(), placed.a(), placed.e(), placed.d(), placed.f(), read))));
    }

    private static Character redrawn(Character c, ReadDrawing o, Artwork art) {
        return c.withPart(
                o.part(),
                p -> p.withDrawings(
                        p.drawings().stream()
                                .map(d -> d.id().equals(o.drawing()) ? d.withArt(art) : d)
                                .toList(),
                        p.shown()));
    }

    /** Where the parts of the newer art are here: where their drawings went, or else whatever fills their role. */
    private Map<String, String> partsHere() {
        Map<String, String> out = new HashMap<>();
        for (ReadDrawing n : newer.drawings()) {
            ReadDrawing o = forerunners.get(n);
            if (o != null && now.part(o.part()).isPresent()) {
                out.putIfAbsent(n.part(), o.part());
            }
        }
        for (Part p : fresh.rig().parts()) {
            if (p.drawings().isEmpty()) {
                now.part(p.role(), p.side()).ifPresent(h -> out.putIfAbsent(p.id(), h.id()));
            }
        }
        return out;
    }

    private record Added(Character character, String part, String drawing) {}

    private Added added(Character c, ReadDrawing n, Map<String, String> places) {
        Part of = fresh.part(n.part()).orElseThrow();
        Drawing d = of.drawing(n.drawing()).orElseThrow();
        Drawing made = d.withArt(onCanvas(n));
        String there = places.get(of.id());
        if (there == null || c.part(there).isEmpty()) {
            return newPart(c, of, made, places);
        }
        Part part = c.part(there).orElseThrow();
        Set<String> taken =
                new HashSet<>(part.drawings().stream().map(Drawing::id).toList());
        String id = Ids.unused(d.name(), taken);
        List<Drawing> drawings = new ArrayList<>(part.drawings());
        drawings.add(new Drawing(id, d.name(), made.art()));
        String shown = part.drawings().isEmpty() ? id : part.shown();
        Character more = c.withPart(there, p -> p.withDrawings(drawings, shown));
        return new Added(Sets.charted(more, there), there, id);
    }

    private Added newPart(Character c, Part of, Drawing made, Map<String, String> places) {
        Set<String> taken = new HashSet<>(c.rig().parts().stream().map(Part::id).toList());
        String id = Ids.unused(of.name(), taken);
        Optional<String> parent = of.parent()
                .flatMap(p -> Optional.ofNullable(places.get(p)))
                .or(() -> Roles.parentFor(c, of.role(), of.side(), id).map(Part::id));
        Part part = new Part(
                id,
                of.name(),
                of.role(),
                of.side(),
                parent,
                of.pivot(),
                Placement.REST,
                List.of(made),
                of.shown().equals(Part.NOTHING) ? Part.NOTHING : made.id());
        Character more = c.withNewPart(part, stackedAt(c, of, places));
        List<Part> all = more.rig().parts();
        Character hung = more.withPart(id, p -> p.withPivot(Pivots.placeFor(p, all), List.of()));
        places.put(of.id(), id);
        Character windowed = hung.withRig(rig -> rig.withWindows(windows(hung, id)));
        return new Added(Sets.charted(windowed, id), id, made.id());
    }

    /** Right above what lies under it in the file, as far as that is here. */
    private int stackedAt(Character c, Part of, Map<String, String> places) {
        List<String> order = fresh.rig().order();
        for (int i = order.indexOf(of.id()) - 1; i >= 0; i--) {
            String under = places.get(order.get(i));
            boolean drawn = !fresh.part(order.get(i)).orElseThrow().drawings().isEmpty();
            if (drawn && under != null && c.rig().order().contains(under)) {
                return c.rig().order().indexOf(under) + 1;
            }
        }
        return 0;
    }

    /** With the windows that the new part's role asks for. */
    private static List<Window> windows(Character c, String id) {
        Part part = c.part(id).orElseThrow();
        Map<String, List<String>> masked = new LinkedHashMap<>();
        c.rig().windows().forEach(w -> masked.put(w.by(), new ArrayList<>(w.masked())));
        for (Part other : c.rig().parts()) {
            if (!other.drawings().isEmpty() && Roles.masks(other, part)) {
                masked.computeIfAbsent(other.id(), k -> new ArrayList<>()).add(id);
            }
            if (Roles.masks(part, other)) {
                masked.computeIfAbsent(id, k -> new ArrayList<>()).add(other.id());
            }
        }
        return masked.entrySet().stream()
                .map(e ->
                        new Window(e.getKey(), e.getValue().stream().distinct().toList()))
                .toList();
    }

    /** The drawings here that the chosen changes take away. */
    public List<ReadDrawing> takenAway(Set<String> keys) {
        Set<ReadDrawing> matched = identities(forerunners.values());
        return before.drawings().stream()
                .filter(o -> !matched.contains(o) && here(o).isPresent() && keys.contains(missingKey(o)))
                .toList();
    }
}
