package app.leeward.core.eye;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.locationtech.jts.geom.Geometry;

/**
 * Goes through the ends of every pair of dials and keeps the poses in which the eyes come off worst: most white seen while
 * they are shut, and least of a pupil left in its window while they look.
 */
public final class WorstCases {
    /** What is measured. */
    public enum Kind {
        /** Square units of white seen at full blink. */
        WHITE,
        /** Share of a pupil left in its window, at full blink or not. */
        PUPIL
    }

    /**
     * One pose.
     *
     * @param eye id of the eye it happens to
     * @param amount square units of white, or the share of the pupil that is left, 0 to 1
     * @param dials dial values away from rest
     */
    public record Case(Kind kind, String eye, double amount, Map<String, Double> dials) {}

    /** Square units of white that nobody sees. */
    private static final double SPECK = 0.05;
    /** Amounts this near to each other, absolute or as a share, are the same. */
    private static final double ALIKE = 0.01;

    private WorstCases() {}

    /** @param most how many of each kind at most; the worst first */
    public static List<Case> of(Character c, int most) {
        Evaluator evaluator = new Evaluator(c);
        Fills fills = new Fills(c);
        List<EyePieces> eyes = EyePieces.of(c);
        Map<EyePieces, ShutEye> shutEyes = new HashMap<>();
        eyes.forEach(e -> ShutEye.of(e, fills).ifPresent(x -> shutEyes.put(e, x)));
        Map<String, Double> shut = new TreeMap<>();
        c.controls().dials().stream().filter(d -> d.purpose() == Purpose.BLINK).forEach(d -> shut.put(d.id(), d.to()));
        List<Case> white = new ArrayList<>();
        List<Case> pupil = new ArrayList<>();
        for (Map<String, Double> pose : pairs(c)) {
            Frame open = evaluator.frame(Pose.of(pose));
            Map<String, Double> closing = new HashMap<>(pose);
            closing.putAll(shut);
            Frame closed = evaluator.frame(Pose.of(closing));
            for (EyePieces eye : eyes) {
                kept(eye, open, fills)
                        .ifPresent(share ->
                                pupil.add(new Case(Kind.PUPIL, eye.eye().id(), share, pose)));
                if (!shut.isEmpty()) {
                    Optional.ofNullable(shutEyes.get(eye))
                            .map(x -> x.open(closed).getArea())
                            .filter(area -> area > SPECK)
                            .ifPresent(area ->
                                    white.add(new Case(Kind.WHITE, eye.eye().id(), area, closing)));
                }
            }
        }
        List<Case> worst = new ArrayList<>();
        worst.addAll(first(white, most, Comparator.comparingDouble((Case x) -> -x.amount)));
        worst.addAll(first(pupil, most, Comparator.comparingDouble((Case x) -> x.amount)));
        return worst;
    }

    /** Of both eyes in one pose the worse speaks; a second dial that makes nothing worse is not worth a picture. */
    private static List<Case> first(List<Case> cases, int most, Comparator<Case> order) {
        List<Case> out = new ArrayList<>();
        cases.stream().sorted(order).forEach(x -> {
            if (out.size() < most && out.stream().noneMatch(o -> saysAsMuch(o, x))) {
                out.add(x);
            }
        });
        return out;
    }

    private static boolean saysAsMuch(Case known, Case next) {
        boolean same = Math.abs(known.amount - next.amount) <= ALIKE * Math.max(1, Math.abs(known.amount));
        return known.dials.equals(next.dials)
                || same
                        && (next.dials.entrySet().containsAll(known.dials.entrySet())
                                || known.dials.entrySet().containsAll(next.dials.entrySet()));
    }

    /** The ends of every dial alone and of every two together; the blink, which is always looked at, apart. */
    private static List<Map<String, Double>> pairs(Character c) {
        List<Map.Entry<String, Double>> ends = new ArrayList<>();
        for (Dial d : c.controls().dials()) {
            for (double end : List.of(d.from(), d.to())) {
                if (d.purpose() != Purpose.BLINK && end != d.rest()) {
                    ends.add(Map.entry(d.id(), end));
                }
            }
        }
        List<Map<String, Double>> out = new ArrayList<>();
        out.add(Map.of());
        for (int i = 0; i < ends.size(); i++) {
            out.add(Map.ofEntries(ends.get(i)));
            for (int j = i + 1; j < ends.size(); j++) {
                if (!ends.get(i).getKey().equals(ends.get(j).getKey())) {
                    out.add(new TreeMap<>(Map.ofEntries(ends.get(i), ends.get(j))));
                }
            }
        }
        return out;
    }

    private static Optional<Double> kept(EyePieces eye, Frame frame, Fills fills) {
        Optional<Geometry> window = eye.piece(PartRole.WHITE).flatMap(w -> fills.in(frame, w.id()));
        Optional<Geometry> pupil = eye.pupil().flatMap(p -> fills.in(frame, p.id()));
        return window.isPresent() && pupil.isPresent() && pupil.get().getArea() > 1e-3
                ? Optional.of(new Overlap(window.get(), pupil.get()).kept(0, 0))
                : Optional.empty();
    }
}
