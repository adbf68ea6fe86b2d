package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;

/** Where a layer hangs of which nobody knows what it is: an earring, a scar, a badge. */
final class Neighbours {
    /** The least share of a part nobody knows that lies over what it follows; a rule of thumb. */
    private static final double LYING_ON = 0.1;
    /** How much of it lies on a hat that is sewn to it. By eye. */
    private static final double WORN = 0.6;

    private static final Set<PartRole> HAT = Set.of(PartRole.CAP, PartRole.CAP_BAND, PartRole.CAP_PEAK);

    private final LayerReading reading;
    /** Where face, ears and fringe lie; null until somebody asks. */
    private Optional<Box> aboutTheHead;

    Neighbours(LayerReading reading) {
        this.reading = reading;
    }

    /** What lies on the face or the hair goes where the head goes; what lies on something else, where that goes. */
    Optional<LayerReading.Found> of(LayerReading.Found f) {
        Optional<LayerReading.Found> hat = hat(f);
        if (hat.isPresent()) {
            return hat;
        }
        if (aboutTheHead == null) {
            aboutTheHead = reading.found.stream()
                    .filter(o -> o.role == PartRole.FACE || o.role == PartRole.EAR || o.role == PartRole.FRINGE)
                    .flatMap(o -> Assembler.boundsOf(o).stream())
                    .reduce(Box::union);
        }
        Optional<Box> own = Assembler.boundsOf(f);
        if (own.isEmpty()) {
            return Optional.empty();
        }
        if (aboutTheHead.filter(head -> head.contains(own.get().centre())).isPresent()) {
            return ear(own.get()).or(() -> reading.find(PartRole.HEAD, Side.NONE, Optional.empty()));
        }
        Optional<LayerReading.Found> ear = ear(own.get());
        if (ear.isPresent()) {
            return ear;
        }
        return reading.found.stream()
                .filter(o -> o.role != PartRole.OTHER && share(own.get(), o) >= LYING_ON)
                .max(Comparator.comparingDouble(o -> share(own.get(), o)))
                .flatMap(o -> o.role.belongsTo(PartRole.HEAD)
                        ? reading.find(PartRole.HEAD, Side.NONE, Optional.empty())
                        : Optional.of(o));
    }

    /** The ear that something smaller hangs on: it touches it, or as good as. */
    private Optional<LayerReading.Found> ear(Box thing) {
        double near = Math.max(thing.width(), thing.height()) / 2;
        Box round = new Box(thing.minX() - near, thing.minY() - near, thing.maxX() + near, thing.maxY() + near);
        boolean onFace = reading.find(PartRole.FACE, Side.NONE, Optional.empty())
                .filter(face -> share(thing, face) > LYING_ON)
                .isPresent();
        return reading.found.stream()
                .filter(o -> o.role == PartRole.EAR && !onFace)
                .filter(o -> Assembler.boundsOf(o)
                        .filter(e -> e.intersection(round).isPresent()
                                && thing.width() * thing.height() < e.width() * e.height())
                        .isPresent())
                .findFirst();
    }

    /** How much of a box another part covers, 0 to 1. */
    private static double share(Box box, LayerReading.Found part) {
        double area = box.width() * box.height();
        return Assembler.boundsOf(part)
                .flatMap(box::intersection)
                .filter(common -> area > 0)
                .map(common -> common.width() * common.height() / area)
                .orElse(0.0);
    }

    /** The piece of a hat that something lies on which is drawn later: the uppermost, as a badge is sewn to the band and not to the crown. */
    private Optional<LayerReading.Found> hat(LayerReading.Found f) {
        Optional<Box> own = Assembler.boundsOf(f);
        int at = reading.found.indexOf(f);
        return reading.found.subList(0, Math.max(0, at)).stream()
                .filter(o -> HAT.contains(o.role) && o.view.equals(f.view))
                .filter(o -> own.isPresent() && share(own.get(), o) >= WORN)
                .filter(o -> o.drawings.stream()
                        .flatMap(d -> d.art().shapes().stream())
                        .anyMatch(h -> !h.fill().equals(Paint.NONE)
                                && Regions.holds(h.path(), own.get().centre())))
                .reduce((under, over) -> over);
    }
}
