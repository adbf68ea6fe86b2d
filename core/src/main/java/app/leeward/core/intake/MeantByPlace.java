package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Optional;

/** What a name leaves open and the place of its layer says: a head that is drawn, hair behind the face, a hood, a visor. */
final class MeantByPlace {
    private final LayerReading reading;
    private final List<Note> notes;

    MeantByPlace(LayerReading reading, List<Note> notes) {
        this.reading = reading;
        this.notes = notes;
    }

    void settle() {
        emblems();
        drawnHeads();
        wornOnHead();
        visors();
        StandIns.take(reading.found);
        hairBehind();
    }

    /** A skull or a little face on a hat or a shirt is no skin where a head is drawn that has the eyes on it. */
    private void emblems() {
        for (LayerReading.Found f : List.copyOf(reading.found)) {
            boolean face = f.role == PartRole.FACE && f.view.isEmpty() && holds(f) == 0;
            boolean other = face
                    && reading.found.stream()
                            .anyMatch(o -> o != f
                                    && (o.role == PartRole.HEAD || o.role == PartRole.FACE)
                                    && o.firstVisible != null
                                    && holds(o) > 0);
            if (other) {
                reading.found.set(
                        reading.found.indexOf(f),
                        f.as(PartRole.OTHER, f.drawings.get(0).name()));
            }
        }
    }

    /** How many eyes and mouths have their middle within what is drawn. */
    private long holds(LayerReading.Found f) {
        Optional<Box> own = Assembler.boundsOf(f);
        return reading.found.stream()
                .filter(o -> o.role.belongsTo(PartRole.EYE) || o.role == PartRole.MOUTH)
                .flatMap(o -> Assembler.boundsOf(o).stream())
                .filter(b -> own.filter(w -> w.contains(b.centre())).isPresent())
                .count();
    }

    /** The head is what all of it follows; what is drawn under that name, or loose in the group of that name, is the skin. */
    private void drawnHeads() {
        for (LayerReading.Found f : List.copyOf(reading.found)) {
            boolean drawn = (f.role == PartRole.HEAD || looseInHead(f)) && f.firstVisible != null;
            if (drawn && reading.find(PartRole.FACE, f.side, f.view).isEmpty()) {
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
                    f.role == PartRole.COLLAR ? reading.find(PartRole.FACE, Side.NONE, f.view) : Optional.empty();
            boolean high = face.flatMap(Assembler::boundsOf)
                    .filter(b -> Assembler.boundsOf(f)
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
                    ? reading.find(PartRole.FACE, Side.NONE, f.view)
                    : Optional.empty();
            int at = reading.found.indexOf(f);
            if (face.isPresent()
                    && at < reading.found.indexOf(face.get())
                    && f.drawings.stream()
                            .noneMatch(d -> PartNames.words(d.name()).stream().anyMatch(PartNames.FRINGES::contains))
                    && reading.find(PartRole.BACK_HAIR, Side.NONE, f.view).isEmpty()) {
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
                    && reading.find(PartRole.CAP, Side.NONE, f.view).isEmpty();
            Optional<Box> own = Assembler.boundsOf(f);
            boolean onFace = bare
                    && own.isPresent()
                    && reading.find(PartRole.FACE, Side.NONE, f.view)
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
        Optional<Box> own = Assembler.boundsOf(f);
        return f.loose && f.within.filter(w -> w.role == PartRole.HEAD).isPresent() && holds(f) > 0;
    }
}
