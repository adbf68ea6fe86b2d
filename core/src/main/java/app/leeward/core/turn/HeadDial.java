package app.leeward.core.turn;

import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Driver;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Dials around the whole head, made from its pieces on request. */
public enum HeadDial {
    NOD("Nod") {
        @Override
        Optional<Dial> made(Character c) {
            return Optional.empty();
        }
    },
    TILT("Tilt") {
        @Override
        Optional<Dial> made(Character c) {
            return c.part(PartRole.HEAD)
                    .map(head -> dial(
                            -15,
                            15,
                            "°",
                            List.of(
                                    new Stop(-15, Map.of(head.id(), turned(-15))),
                                    new Stop(15, Map.of(head.id(), turned(15))))));
        }
    },
    /** Narrower as it grows taller, so that the area stays. */
    SQUASH("Squash and stretch") {
        @Override
        Optional<Dial> made(Character c) {
            return c.part(PartRole.HEAD).map(head -> {
                List<Stop> stops = new ArrayList<>();
                for (int i = -STEPS; i <= STEPS; i++) {
                    double tall = Math.pow(TALLEST, i / (double) STEPS);
                    if (i != 0) {
                        stops.add(new Stop(
                                i / (double) STEPS, Map.of(head.id(), Offset.placed(0, 0, 0, 1 / tall, tall, 0, 1))));
                    }
                }
                return dial(-1, 1, "", stops);
            });
        }
    },
    /** The chin goes down, and the mouth half the way with it. */
    JAW("Jaw drop") {
        @Override
        Optional<Dial> made(Character c) {
            Optional<Part> face = c.part(PartRole.FACE);
            Optional<Box> box = face.flatMap(Part::bounds).filter(b -> b.width() > 0 && b.height() > 0);
            if (box.isEmpty()) {
                return Optional.empty();
            }
            double half = box.get().height() / 2;
            double drop = 0.16 * half;
            Stop open = new Stop(1, Map.of());
            var drawing = face.get().drawing(face.get().shown());
            for (int i = 0;
                    drawing.isPresent() && i < drawing.get().art().shapes().size();
                    i++) {
                Shape s = drawing.get().art().shapes().get(i);
                Path down = s.path().map(p -> {
                    double v = (p.y() - box.get().centre().y()) / half;
                    double t = Math.max(0, Math.min(1, (v - 0.3) / 0.7));
                    return new Point(p.x(), p.y() + drop * t * t * (3 - 2 * t));
                });
                open = open.with(
                        face.get().id(), PointDeltas.between(drawing.get().id(), i, s.path(), down));
            }
            Optional<Part> mouth = c.part(PartRole.MOUTH);
            if (mouth.isPresent()) {
                open = open.with(mouth.get().id(), Offset.shift(0, drop / 2));
            }
            return open.empty() ? Optional.empty() : Optional.of(dial(0, 1, "", List.of(open)));
        }
    },
    /** Back hair and what hangs at the sides swing after the turn. */
    HAIR_DRAG("Hair drag") {
        @Override
        Optional<Dial> made(Character c) {
            Map<String, Offset> left = new java.util.HashMap<>();
            Map<String, Offset> right = new java.util.HashMap<>();
            for (Part p : c.rig().parts()) {
                if (p.role() == PartRole.BACK_HAIR || p.role() == PartRole.SIDE_HAIR) {
                    left.put(p.id(), Offset.placed(0, 0, 0, 1, 1, -SWING, 1));
                    right.put(p.id(), Offset.placed(0, 0, 0, 1, 1, SWING, 1));
                }
            }
            if (left.isEmpty() || c.dial(TurnMaker.DIAL).isEmpty()) {
                return Optional.empty();
            }
            Dial drag = dial(-1, 1, "", List.of(new Stop(-1, left), new Stop(1, right)));
            // where the turn was some frames ago less where it is: nothing while the head is still
            return Optional.of(drag.withFollows(
                    List.of(new Driver(TurnMaker.DIAL, 1, -1, 0), new Driver(TurnMaker.DIAL, -1, 1, LATER))));
        }
    };

    private static final int STEPS = 4;
    private static final double TALLEST = 1.15;
    /** Degrees of slant; by eye. */
    private static final double SWING = 9;

    private static final int LATER = 4;

    private final String words;

    HeadDial(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** The id of the dial it makes. */
    public String id() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    abstract Optional<Dial> made(Character c);

    Dial dial(double from, double to, String unit, List<Stop> stops) {
        return new Dial(id(), words, Purpose.OWN, from, to, 0, unit, stops, List.of());
    }

    static Offset turned(double degrees) {
        return Offset.placed(0, 0, degrees, 1, 1, 0, 1);
    }

    /** The character with this dial, made anew where it stood; empty when the pieces for it are not there. */
    public Optional<Character> addTo(Character c) {
        if (this == NOD) {
            return c.controls().turn().isEmpty() ? Optional.empty() : Optional.of(NodMaker.addTo(c));
        }
        return made(c).map(dial -> {
            List<Dial> dials = new ArrayList<>(c.controls().dials());
            int at = c.dial(dial.id()).map(dials::indexOf).orElse(-1);
            if (at < 0) {
                dials.add(dial);
            } else {
                dials.set(at, dial);
            }
            return c.withDials(dials, c.controls().pads());
        });
    }
}
