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
    private final LayerReading reading;
    private final List<Note> notes = new ArrayList<>();
    private final Neighbours neighbours;

    private final Map<LayerReading.Found, String> ids = new LinkedHashMap<>();

    private final Function<Shape, List<Shape>> seen;

    private Assembler(LayerReading reading, Function<Shape, List<Shape>> seen) {
        this.reading = reading;
        neighbours = new Neighbours(reading);
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
        new MeantByPlace(reading, notes).settle();
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

    /** A head for what follows a head, an eye for the pieces of one. */
    private void addMissingGroups() {
        if (reading.found.stream().noneMatch(f -> f.role == PartRole.HEAD)) {
            reading.found.add(0, new LayerReading.Found(PartRole.HEAD, Side.NONE, "head", Optional.empty()));
        }
        record Missing(Side side, Optional<LayerReading.Found> view) {}
        Set<Missing> missing = new LinkedHashSet<>();
        for (LayerReading.Found f : reading.found) {
            boolean piece = f.role.follows().equals(Optional.of(PartRole.EYE));
            if (piece && reading.find(PartRole.EYE, f.side, f.view).isEmpty()) {
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
                    .flatMap(white -> reading.find(PartRole.EYE, white.side, white.view))
                    .or(() -> f.whole)
                    .or(() -> f.within)
                    .or(() -> neighbours.of(f));
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
            Optional<LayerReading.Found> parent = reading.find(wanted.get(), f.side, f.view);
            if (parent.isEmpty()) {
                parent = reading.find(wanted.get(), Side.NONE, f.view);
            }
            if (parent.isPresent() && parent.get() != f) {
                return parent;
            }
            wanted = wanted.get().follows();
        }
        // what a view has no other place for hangs on the view itself
        return f.view;
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
