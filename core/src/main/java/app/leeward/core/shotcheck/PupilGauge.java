package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import app.leeward.core.check.Unit;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eye.ActedEyes;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Playhead;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** A pupil that has left its window. */
final class PupilGauge implements Gauge {
    static final String CODE = "pupil-lost";

    private final ActedEyes eyes;
    private final Playhead playhead;

    PupilGauge(Playhead playhead) {
        this.playhead = playhead;
        eyes = new ActedEyes(playhead.evaluator());
    }

    @Override
    public List<Reading> read(List<Exposure> s, int i) {
        return eyes.lost(s.get(i).pose(), s.get(i).picture()).stream()
                .map(l -> new Reading(
                        CODE,
                        Subject.part(l.part()),
                        new Measure(1 - l.amount(), Unit.SHARE),
                        String.format(
                                Locale.ROOT,
                                "%s looks out of itself: %.0f %% of its pupil is seen.",
                                l.eye(),
                                100 * l.amount())))
                .toList();
    }

    /** Keys of the gaze in and about the stretch, brought nearer to rest: the furthest throw that mends it is offered. */
    @Override
    public List<Remedy> remedies(ShotFinding f) {
        List<Remedy> out = new ArrayList<>();
        for (double share : f.code().equals(CODE) ? new double[] {0.85, 0.7, 0.5} : new double[0]) {
            Map<String, List<DialKey>> keys = new TreeMap<>();
            for (Dial d : playhead.evaluator().character().controls().dials()) {
                if (d.purpose() == Purpose.GAZE_ACROSS || d.purpose() == Purpose.GAZE_DOWN) {
                    List<DialKey> nearer = nearer(d, f, share);
                    if (!nearer.isEmpty()) {
                        keys.put(d.id(), nearer);
                    }
                }
            }
            if (!keys.isEmpty()) {
                out.add(Remedy.of(
                        String.format(Locale.ROOT, "Look %.0f %% as far", 100 * share), new ActingEdit.SetKeys(keys)));
            }
        }
        return out;
    }

    private List<DialKey> nearer(Dial d, ShotFinding f, double share) {
        List<DialKey> all = playhead.shot().tracks().dials().getOrDefault(d.id(), List.of());
        List<DialKey> out = new ArrayList<>();
        for (int k = 0; k < all.size(); k++) {
            DialKey key = all.get(k);
            int until = k + 1 < all.size() ? all.get(k + 1).frame() : Integer.MAX_VALUE;
            boolean decides =
                    key.frame() < f.to() && until > f.from() || key.frame() >= f.from() && key.frame() <= f.to();
            if (decides && key.value() != d.rest()) {
                out.add(new DialKey(
                        key.frame(),
                        d.rest() + share * (key.value() - d.rest()),
                        key.way(),
                        share * key.bow(),
                        Optional.empty()));
            }
        }
        return out;
    }
}
