package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Controls;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Library;
import app.leeward.core.rig.Model;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Origin;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Rig;
import app.leeward.core.rig.Sheet;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Voice;
import app.leeward.core.rig.Window;
import app.leeward.core.speech.Lexicon;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Hangs layers together into a character that can be posed at once: roles from names, who follows whom from roles, eyes
 * masked by their whites, features cut by the face, pivots where the trade puts them, the mouth chart, and dials for
 * turning, blinking and looking.
 */
public final class Assembler {
    /** The least share of a part nobody knows that lies over what it follows; a rule of thumb. */
    private static final double LYING_ON = 0.1;

    private final LayerReading reading;
    private final List<Note> notes = new ArrayList<>();
    /** Where face, ears and fringe lie; null until somebody asks. */
    private Optional<Box> aboutTheHead;

    private final Map<LayerReading.Found, String> ids = new LinkedHashMap<>();

    private final Function<Shape, List<Shape>> seen;

    private Assembler(LayerReading reading, Function<Shape, List<Shape>> seen) {
        this.reading = reading;
        this.seen = seen;
    }

    /** Of art without clips. */
    public static IntakeResult assemble(String name, Canvas canvas, int frameRate, Layer root, List<Note> readerNotes) {
        return assemble(name, canvas, frameRate, root, readerNotes, List::of);
    }

    /**
     * @param frameRate frames a second of the new character
     * @param seen what is seen of a clipped shape, without its clips as far as that can be, back to front
     */
    public static IntakeResult assemble(
            String name,
            Canvas canvas,
            int frameRate,
            Layer root,
            List<Note> readerNotes,
            Function<Shape, List<Shape>> seen) {
        if (root.isEmpty()) {
            return new IntakeResult.Unusable("art-empty", "The file holds no shapes to draw.");
        }
        Assembler a = new Assembler(LayerReading.of(root), seen);
        a.notes.addAll(readerNotes);
        a.notes.addAll(a.reading.notes);
        return a.hang(name, canvas, frameRate);
    }

    private IntakeResult hang(String name, Canvas canvas, int frameRate) {
        if (reading.found.stream().noneMatch(f -> isFacial(f.role)) && !foundWithoutNames()) {
            return new IntakeResult.Unusable(
                    "no-face",
                    "No layer is named as a face: name at least one of head, face, eye or mouth, and drop the file again.");
        }
        LaidOut laidOut = LaidOut.bringHome(reading.found);
        Sides.settle(reading.found, notes);
        drawnHeads();
        wornOnHead();
        visors();
        StandIns.take(reading.found);
        hairBehind();
        PicturePieces pictures = PicturePieces.open(reading.found);
        MuzzleParting.part(reading.found, reading.nameless(), notes);
        MouthPieces.join(reading.found, notes);
        PairParting.part(reading.found, reading.nameless(), notes);
        EyeLayers.read(reading.found, notes);
        EyeClips.take(reading.found, notes);
        EyeParting.part(reading.found, notes);
        ClippedShapes.settle(reading.found, canvas, seen);
        pictures.close(reading.found);
        addMissingGroups();
        listUnrecognised();
        nameParts();
        List<Part> parts = new ArrayList<>();
        for (LayerReading.Found f : reading.found) {
            parts.add(part(f));
        }
        parts = Pivots.place(parts);
        List<String> order = parts.stream().map(Part::id).toList();
        parts = mainFirst(parts);
        Character c = new Character(
                name,
                new Sheet(canvas, frameRate, Swatches.of(parts), Model.of(canvas)),
                new Rig(parts, order, windows(parts), List.of()),
                Controls.NONE,
                Library.EMPTY,
                new Voice(chart(parts), Lexicon.EMPTY),
                new Origin(Optional.empty(), notes));
        Set<String> cut = ids.entrySet().stream()
                .filter(e -> e.getKey().cutBy.isPresent())
                .map(Map.Entry::getValue)
                .collect(Collectors.toSet());
        Character hung = Roles.withDials(stood(LidFolds.addTo(Views.addTo(c), cut)));
        return new IntakeResult.Hung(laidOut.onWrists(hung, ids));
    }

    /** Where no name says anything, the skin is looked for in the art; what the rest may be is offered on Intake. */
    private boolean foundWithoutNames() {
        Optional<LayerReading.Found> skin = reading.nameless() ? FaceFinder.find(reading.found) : Optional.empty();
        skin.ifPresent(f -> {
            LayerReading.Found face = f.as(PartRole.FACE, "face skin");
            reading.found.set(reading.found.indexOf(f), face);
            notes.add(
                    new Note(
                            "face-by-place",
                            f.name,
                            "No layer has a name that says what it is. '" + f.name
                                    + "' is taken for the face, because pairs lie inside it as eyes do; what the others may be is offered."));
        });
        return skin.isPresent();
    }

    /** With the axis found in the art, or the middle of the face, and the model lines read off it. */
    private static Character stood(Character c) {
        double middle = AxisFinder.find(c)
                .map(a -> Math.rint(a.x() * 1000) / 1000)
                .or(() -> c.part(PartRole.FACE)
                        .or(() -> c.part(PartRole.HEAD))
                        .flatMap(Part::bounds)
                        .map(b -> b.centre().x()))
                .orElse(c.sheet().canvas().width() / 2);
        return c.withSheet(sheet -> sheet.withModel(ModelLines.readOff(c).withAxis(middle)));
    }

    /** What follows from roles, and what the file clips to the white of an eye. */
    private List<Window> windows(List<Part> parts) {
        Map<String, Set<String>> masked = new LinkedHashMap<>();
        Roles.windows(parts).forEach(w -> masked.put(w.by(), new LinkedHashSet<>(w.masked())));
        ids.forEach(
                (f, id) -> f.cutBy.map(ids::get).ifPresent(by -> masked.computeIfAbsent(by, w -> new LinkedHashSet<>())
                        .add(id)));
        return masked.entrySet().stream()
                .map(e -> new Window(e.getKey(), List.copyOf(e.getValue())))
                .toList();
    }

    private static boolean isFacial(PartRole role) {
        return switch (role) {
            case HEAD, FACE, EYE, WHITE, PUPIL, MOUTH -> true;
            default -> false;
        };
    }

    /** The head is what all of it follows; what is drawn under that name, or loose in the group of that name, is the skin. */
    private void drawnHeads() {
        for (LayerReading.Found f : List.copyOf(reading.found)) {
            boolean drawn = (f.role == PartRole.HEAD || looseInHead(f)) && f.firstVisible != null;
            if (drawn && find(PartRole.FACE, f.side, f.view).isEmpty()) {
                LayerReading.Found skin = f.as(PartRole.FACE, "face skin");
                reading.found.set(reading.found.indexOf(f), skin);
                reading.found.stream()
                        .filter(o -> o.whole.equals(Optional.of(f)))
                        .forEach(o -> o.whole = Optional.of(skin));
            }
        }
    }

    /** A scarf or a hood that reaches up beside the face is worn on the head: before it as a cap, behind it as hair would be. */
    private void wornOnHead() {
        for (LayerReading.Found f : List.copyOf(reading.found)) {
            Optional<LayerReading.Found> face =
                    f.role == PartRole.COLLAR ? find(PartRole.FACE, Side.NONE, f.view) : Optional.empty();
            boolean high = face.flatMap(Assembler::boundsOf)
                    .filter(b -> boundsOf(f)
                            .filter(own -> own.minY() < b.centre().y())
                            .isPresent())
                    .isPresent();
            if (high) {
                int at = reading.found.indexOf(f);
                PartRole role = at > reading.found.indexOf(face.get()) ? PartRole.CAP : PartRole.BACK_HAIR;
                reading.found.set(at, f.as(role, role.words()));
                notes.add(new Note(
                        "worn-on-head",
                        f.drawings.get(0).name(),
                        "The " + f.name + " '" + f.drawings.get(0).name()
                                + "' reaches up beside the face, so it is worn on the head: it is taken for "
                                + role.words()
                                + "."));
            }
        }
    }

    /** Hair that is called nothing but hair and is drawn behind the face is back hair. */
    private void hairBehind() {
        for (LayerReading.Found f : List.copyOf(reading.found)) {
            Optional<LayerReading.Found> face = f.role == PartRole.FRINGE && f.whole.isEmpty()
                    ? find(PartRole.FACE, Side.NONE, f.view)
                    : Optional.empty();
            int at = reading.found.indexOf(f);
            if (face.isPresent()
                    && at < reading.found.indexOf(face.get())
                    && f.drawings.stream()
                            .noneMatch(d -> PartNames.words(d.name()).stream().anyMatch(PartNames.FRINGES::contains))
                    && find(PartRole.BACK_HAIR, Side.NONE, f.view).isEmpty()) {
                reading.found.set(at, f.as(PartRole.BACK_HAIR, PartRole.BACK_HAIR.words()));
                // the next of that name is the fringe now
                List<LayerReading.Found> rest = reading.found.stream()
                        .filter(o -> o.whole.equals(Optional.of(f)))
                        .toList();
                rest.forEach(o -> o.whole = o == rest.get(0) ? Optional.empty() : Optional.of(rest.get(0)));
            }
        }
    }

    /** A visor is the peak of a cap; without one, in the middle of the face, it is a window of a machine. */
    private void visors() {
        for (LayerReading.Found f : List.copyOf(reading.found)) {
            boolean bare = f.role == PartRole.CAP_PEAK
                    && find(PartRole.CAP, Side.NONE, f.view).isEmpty();
            Optional<Box> own = boundsOf(f);
            boolean onFace = bare
                    && own.isPresent()
                    && find(PartRole.FACE, Side.NONE, f.view)
                            .flatMap(Assembler::boundsOf)
                            .filter(face -> face.minX() < own.get().minX()
                                    && face.maxX() > own.get().maxX()
                                    && face.minY() < own.get().minY()
                                    && face.maxY() > own.get().maxY())
                            .isPresent();
            if (onFace) {
                reading.found.set(
                        reading.found.indexOf(f),
                        f.as(PartRole.OTHER, f.drawings.get(0).name()));
            }
        }
    }

    /** Shapes that the group of a head keeps beside its layers, with an eye or the mouth on them. */
    private boolean looseInHead(LayerReading.Found f) {
        Optional<Box> own = boundsOf(f);
        return f.loose
                && f.within.filter(w -> w.role == PartRole.HEAD).isPresent()
                && own.isPresent()
                && reading.found.stream()
                        .filter(o -> o.role.belongsTo(PartRole.EYE) || o.role == PartRole.MOUTH)
                        .flatMap(o -> boundsOf(o).stream())
                        .anyMatch(b -> own.get().contains(b.centre()));
    }

    /** A head for what follows a head, an eye for the pieces of one. */
    private void addMissingGroups() {
        if (reading.found.stream().noneMatch(f -> f.role == PartRole.HEAD)) {
            reading.found.add(0, new LayerReading.Found(PartRole.HEAD, Side.NONE, "head", Optional.empty()));
        }
        record Missing(Side side, Optional<LayerReading.Found> view) {}
        Set<Missing> missing = new LinkedHashSet<>();
        for (LayerReading.Found f : reading.found) {
            boolean piece = f.role.follows().equals(Optional.of(PartRole.EYE));
            if (piece && find(PartRole.EYE, f.side, f.view).isEmpty()) {
                missing.add(new Missing(f.side, f.view));
            }
        }
        for (Missing m : missing) {
            LayerReading.Found eye =
                    new LayerReading.Found(PartRole.EYE, m.side, m.side.prefix() + "eye", Optional.empty(), m.view);
            // a group stands before what it holds
            reading.found.add(m.view.map(v -> reading.found.indexOf(v) + 1).orElse(1), eye);
        }
    }

    private Optional<LayerReading.Found> find(PartRole role, Side side, Optional<LayerReading.Found> view) {
        return reading.found.stream()
                .filter(f -> f.role == role && f.side == side && f.view.equals(view))
                .findFirst();
    }

    /** The body and the view that stands for all, then the other views: who asks for "the mouth" means the first. */
    private List<Part> mainFirst(List<Part> parts) {
        Set<String> later = new HashSet<>();
        ids.forEach((f, id) -> {
            if (!ofMainView(f)) {
                later.add(id);
            }
        });
        List<Part> out = new ArrayList<>(
                parts.stream().filter(p -> !later.contains(p.id())).toList());
        parts.stream().filter(p -> later.contains(p.id())).forEach(out::add);
        return out;
    }

    private boolean ofMainView(LayerReading.Found f) {
        Optional<LayerReading.Found> view = f.role == PartRole.VIEW ? Optional.of(f) : f.view;
        return view.isEmpty() || view.equals(reading.mainView());
    }

    /** What tells the pieces of one view from those of another; nothing for the view that stands for all. */
    private String viewPrefix(LayerReading.Found f) {
        return f.view.filter(v -> !ofMainView(f)).map(v -> v.name + " ").orElse("");
    }

    private void nameParts() {
        Set<String> taken = new HashSet<>();
        for (LayerReading.Found f : reading.found) {
            String base =
                    viewPrefix(f) + (ownName(f) ? f.name : f.role.words() + " " + (f.side == Side.NONE ? "" : f.side));
            String id = Ids.unused(base, taken);
            taken.add(id);
            ids.put(f, id);
        }
    }

    private static boolean ownName(LayerReading.Found f) {
        return f.role == PartRole.OTHER || f.role == PartRole.VIEW;
    }

    private Part part(LayerReading.Found f) {
        String name = viewPrefix(f) + (ownName(f) ? f.name : f.side.prefix() + f.role.words());
        String shown = f.firstVisible != null ? f.firstVisible : Part.NOTHING;
        if (f.role == PartRole.EXTRA_HAIR) {
            // only the turned head needs it
            shown = Part.NOTHING;
        }
        return new Part(
                ids.get(f),
                name,
                f.role,
                f.side,
                parentOf(f).map(ids::get),
                new Point(0, 0),
                Placement.REST,
                f.drawings.stream().map(d -> Bendable.of(f.role, d)).toList(),
                shown);
    }

    /** By role first, then by where the file put it; what nobody claims inside the head's group follows that. */
    private Optional<LayerReading.Found> parentOf(LayerReading.Found f) {
        if (f.role == PartRole.OTHER) {
            return f.cutBy
                    .flatMap(white -> find(PartRole.EYE, white.side, white.view))
                    .or(() -> f.whole)
                    .or(() -> f.within)
                    .or(() -> neighbour(f));
        }
        Optional<LayerReading.Found> larger =
                f.whole.or(() -> f.within.filter(w -> w.role == f.role && w.side == f.side && f.role != PartRole.VIEW));
        if (larger.isPresent()) {
            return larger;
        }
        Optional<PartRole> wanted = f.role.follows();
        while (wanted.isPresent()) {
            if (wanted.get() == PartRole.HEAD && f.view.isPresent()) {
                return f.view;
            }
            Optional<LayerReading.Found> parent = find(wanted.get(), f.side, f.view);
            if (parent.isEmpty()) {
                parent = find(wanted.get(), Side.NONE, f.view);
            }
            if (parent.isPresent() && parent.get() != f) {
                return parent;
            }
            wanted = wanted.get().follows();
        }
        // what a view has no other place for hangs on the view itself
        return f.view;
    }

    /** An earring, a scar: what lies on the face or the hair goes where the head goes; what lies on something else, where that goes. */
    private Optional<LayerReading.Found> neighbour(LayerReading.Found f) {
        if (aboutTheHead == null) {
            aboutTheHead = reading.found.stream()
                    .filter(o -> o.role == PartRole.FACE || o.role == PartRole.EAR || o.role == PartRole.FRINGE)
                    .flatMap(o -> boundsOf(o).stream())
                    .reduce(Box::union);
        }
        Optional<Box> own = boundsOf(f);
        if (own.isEmpty()) {
            return Optional.empty();
        }
        if (aboutTheHead.filter(head -> head.contains(own.get().centre())).isPresent()) {
            return ear(own.get()).or(() -> find(PartRole.HEAD, Side.NONE, Optional.empty()));
        }
        Optional<LayerReading.Found> ear = ear(own.get());
        if (ear.isPresent()) {
            return ear;
        }
        return reading.found.stream()
                .filter(o -> o.role != PartRole.OTHER && share(own.get(), o) >= LYING_ON)
                .max(Comparator.comparingDouble(o -> share(own.get(), o)))
                .flatMap(o -> o.role.belongsTo(PartRole.HEAD)
                        ? find(PartRole.HEAD, Side.NONE, Optional.empty())
                        : Optional.of(o));
    }

    /** The ear that something smaller hangs on: it touches it, or as good as. */
    private Optional<LayerReading.Found> ear(Box thing) {
        double near = Math.max(thing.width(), thing.height()) / 2;
        Box round = new Box(thing.minX() - near, thing.minY() - near, thing.maxX() + near, thing.maxY() + near);
        boolean onFace = find(PartRole.FACE, Side.NONE, Optional.empty())
                .filter(face -> share(thing, face) > LYING_ON)
                .isPresent();
        return reading.found.stream()
                .filter(o -> o.role == PartRole.EAR && !onFace)
                .filter(o -> boundsOf(o)
                        .filter(e -> e.intersection(round).isPresent()
                                && thing.width() * thing.height() < e.width() * e.height())
                        .isPresent())
                .findFirst();
    }

    /** How much of a box another part covers, 0 to 1. */
    private static double share(Box box, LayerReading.Found part) {
        double area = box.width() * box.height();
        return boundsOf(part)
                .flatMap(box::intersection)
                .filter(common -> area > 0)
                .map(common -> common.width() * common.height() / area)
                .orElse(0.0);
    }

    private void listUnrecognised() {
        for (LayerReading.Found f : reading.found) {
            if (f.role == PartRole.OTHER) {
                String follows = parentOf(f).map(p -> p.name).orElse("nothing");
                notes.add(new Note(
                        "layer-not-recognised",
                        f.name,
                        "'" + f.name + "' was not recognised; it is kept, drawn in its place, and follows " + follows
                                + "."));
            }
        }
    }

    private MouthChart chart(List<Part> parts) {
        Optional<Part> mouth = parts.stream()
                .filter(p -> p.role() == PartRole.MOUTH && !p.drawings().isEmpty())
                .findFirst();
        if (mouth.isEmpty()) {
            notes.add(
                    new Note("no-mouth", "mouth", "No layer is named as a mouth, so this character cannot talk yet."));
            return MouthChart.EMPTY;
        }
        MouthChart chart = MouthNames.chart(mouth.get());
        for (Drawing d : mouth.get().drawings()) {
            if (!chart.drawn().containsValue(d.id())
                    && MouthNames.read(d.name()).isEmpty()
                    && mouth.get().drawings().size() > 1) {
                notes.add(new Note(
                        "mouth-without-sound",
                        d.name(),
                        "The mouth '" + d.name() + "' names no sound; it can be picked by hand and given one."));
            }
        }
        MouthNames.twice(mouth.get()).forEach(notes::add);
        return chart;
    }

    /** Where a part's drawings lie on the canvas; empty for groups. */
    static Optional<Box> boundsOf(LayerReading.Found f) {
        Map<String, Box> boxes = new HashMap<>();
        f.drawings.forEach(d -> d.art().bounds().ifPresent(b -> boxes.put(d.id(), b)));
        return boxes.values().stream().reduce(Box::union);
    }
}
