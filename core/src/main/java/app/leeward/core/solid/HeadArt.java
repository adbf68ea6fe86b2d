package app.leeward.core.solid;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Regions;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.SolidKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygonal;

/**
 * What a head is drawn as: its pieces at rest, which of them is its skin, and what kind each is.
 *
 * @param skinPiece the piece whose outline it is
 * @param skin the area inside the outline of the head
 * @param axis x it is drawn about, canvas units
 * @param half half its width without what sticks out, canvas units
 * @param guesses what each piece would be taken for if nobody had said anything
 * @param kinds what each is taken for
 * @param pieces what follows the head and shows something or groups others, by part id
 */
record HeadArt(
        String skinPiece,
        Geometry skin,
        double axis,
        double half,
        Map<String, HeadPiece> pieces,
        Map<String, SolidKind> guesses,
        Map<String, SolidKind> kinds) {
    /** How far the character's axis may lie from the middle of the head, in half widths, to be the head's. */
    private static final double SAME_AXIS = 0.1;

    private static final double FLATTENED = 1e-9;

    /** How many points of a head are led round it one by one: three times as many as a large one has. */
    private static final int POINTS = 60_000;

    static Optional<HeadArt> of(Character c) {
        Optional<Part> head = c.part(PartRole.HEAD);
        if (head.isEmpty()) {
            return Optional.empty();
        }
        Evaluator evaluator = new Evaluator(c);
        Map<String, HeadPiece> pieces = new LinkedHashMap<>();
        Set<String> crowded = crowded(c, head.get());
        List<String> order = c.rig().order();
        for (int i = 0; i < order.size(); i++) {
            String id = order.get(i);
            if (c.rig().follows(id, head.get().id())) {
                Part part = c.rig().part(id).orElseThrow();
                Matrix rest = evaluator.atRest(Optional.of(id));
                // what is flattened onto a line shows nothing and cannot be placed
                if (Math.abs(rest.determinant()) > FLATTENED) {
                    pieces.put(id, new HeadPiece(part, rest, i, crowded.contains(id)));
                }
            }
        }
        Optional<HeadPiece> skin = skin(pieces);
        Geometry area = skin.map(HeadArt::solid).orElse(null);
        if (area == null || area.getArea() <= 0) {
            return Optional.empty();
        }
        Envelope box = area.getEnvelopeInternal();
        double axis = c.sheet().model().axis();
        double half = Skull.halfWidth(area, axis);
        if (Math.abs(axis - box.centre().x) > SAME_AXIS * half) {
            axis = box.centre().x;
        }
        SolidGuess guess = new SolidGuess(
                p -> p.part().parent().equals(Optional.of(head.get().id())),
                pieces,
                area,
                axis,
                half,
                skin.get().order(),
                hatTop(pieces));
        Map<String, SolidKind> guesses = new LinkedHashMap<>();
        Map<String, SolidKind> kinds = new LinkedHashMap<>();
        pieces.forEach((id, p) -> {
            SolidKind guessed = guess.of(p);
            guesses.put(id, guessed);
            kinds.put(id, p.part().solid().flatMap(Solid::kind).orElse(guessed));
        });
        return Optional.of(new HeadArt(skin.get().part().id(), area, axis, half, pieces, guesses, kinds));
    }

    /**
     * Ids of the pieces that go as one, so that no more than {@link #POINTS} are led round the head one by one: those whose drawings have the
     * most.
     */
    private static Set<String> crowded(Character c, Part head) {
        List<Part> byPoints = c.rig().parts().stream()
                .filter(p -> c.rig().follows(p.id(), head.id()))
                .sorted(Comparator.comparingInt(p -> points(p).max().orElse(0)))
                .toList();
        Set<String> crowded = new HashSet<>();
        long all = 0;
        for (Part part : byPoints) {
            all += points(part).sum();
            if (all > POINTS) {
                crowded.add(part.id());
            }
        }
        return crowded;
    }

    /** How many points each of its drawings has. */
    private static IntStream points(Part part) {
        return part.drawings().stream().mapToInt(d -> d.art().shapes().stream()
                .mapToInt(s -> s.path().points().size())
                .sum());
    }

    /** The skin: the piece said to be it, else the largest that is not a hat, hair or behind everything. */
    private static Optional<HeadPiece> skin(Map<String, HeadPiece> pieces) {
        for (PartRole role :
                List.of(PartRole.FACE, PartRole.HEAD, PartRole.FACE_LINE, PartRole.MUZZLE, PartRole.OTHER)) {
            Optional<HeadPiece> largest = pieces.values().stream()
                    .filter(p -> p.part().role() == role && solid(p).getArea() > 0)
                    .max((a, b) -> Double.compare(solid(a).getArea(), solid(b).getArea()));
            if (largest.isPresent()) {
                return largest;
            }
        }
        return Optional.empty();
    }

    private static double hatTop(Map<String, HeadPiece> pieces) {
        return pieces.values().stream()
                .filter(p -> p.part().role() == PartRole.CAP && !p.area().isEmpty())
                .mapToDouble(p -> p.area().getEnvelopeInternal().getMinY())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    private static Geometry solid(HeadPiece p) {
        Geometry area = p.area();
        return area instanceof Polygonal ? area : Regions.of(Path.of());
    }

    /** The piece it moves with as one: itself or what it follows, when that keeps its drawing; empty when its points go by themselves. */
    Optional<String> carriedBy(String id) {
        List<String> line = new ArrayList<>();
        Optional<String> at = Optional.of(id);
        while (at.isPresent() && pieces.containsKey(at.get())) {
            line.add(at.get());
            at = pieces.get(at.get()).part().parent();
        }
        for (int i = line.size() - 1; i >= 0; i--) {
            SolidKind kind = kinds.get(line.get(i));
            boolean group = pieces.get(line.get(i)).part().role() != PartRole.HEAD;
            boolean stiff = kind == SolidKind.DECAL
                    || kind == SolidKind.PLATE
                    || kind == SolidKind.EAR
                    || kind == SolidKind.AXIS;
            if (stiff && group) {
                return Optional.of(line.get(i));
            }
        }
        return Optional.empty();
    }

    /** What a piece and all that goes with it show, for pieces that move as one. */
    List<HeadPiece> carried(String id) {
        if (!carriedBy(id).equals(Optional.of(id))) {
            return List.of();
        }
        return pieces.keySet().stream()
                .filter(p -> carriedBy(p).equals(Optional.of(id)))
                .map(pieces::get)
                .toList();
    }
}
