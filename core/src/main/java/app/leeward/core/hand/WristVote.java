package app.leeward.core.hand;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Wrist;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Where the drawings of one hand were cut from their arm: the outline beside the cut end is much the same in all of them, so each speaks for
 * the chords of the others that look like its own likely ones. Three rounds, as in the method that was measured on three sheets of hands.
 */
final class WristVote {
    private static final int ROUNDS = 3;
    /** What the others' word counts. */
    private static final double AGREE = 4;
    /** So far apart, widths, two flanks are hardly the same any more. */
    private static final double APART = 0.1;

    private WristVote() {}

    /** For each drawing where it was cut; empty for those for which that stays uncertain. */
    static List<Optional<Wrist>> of(List<Artwork> drawings) {
        List<List<WristSearch.Candidate>> own =
                drawings.stream().map(WristSearch::of).toList();
        List<double[]> scores = own.stream()
                .map(all ->
                        all.stream().mapToDouble(WristSearch.Candidate::score).toArray())
                .toList();
        for (int round = 0; round < ROUNDS; round++) {
            List<double[]> likely = scores.stream().map(WristVote::softmax).toList();
            List<double[]> next = new ArrayList<>();
            for (int d = 0; d < own.size(); d++) {
                double[] voted = new double[own.get(d).size()];
                for (int c = 0; c < voted.length; c++) {
                    WristSearch.Candidate candidate = own.get(d).get(c);
                    voted[c] = candidate.score() + AGREE * agreed(candidate, d, own, likely);
                }
                next.add(voted);
            }
            scores = next;
        }
        List<Optional<Wrist>> out = new ArrayList<>();
        for (int d = 0; d < own.size(); d++) {
            List<WristSearch.Candidate> voted = new ArrayList<>();
            for (int c = 0; c < own.get(d).size(); c++) {
                WristSearch.Candidate candidate = own.get(d).get(c);
                voted.add(new WristSearch.Candidate(candidate.wrist(), scores.get(d)[c], candidate.flanks()));
            }
            voted.sort(Comparator.comparingDouble(WristSearch.Candidate::score).reversed());
            out.add(WristSearch.sure(voted));
        }
        return out;
    }

    private static double agreed(
            WristSearch.Candidate candidate,
            int drawing,
            List<List<WristSearch.Candidate>> own,
            List<double[]> likely) {
        double sum = 0;
        int others = 0;
        for (int d = 0; d < own.size(); d++) {
            if (d != drawing && !own.get(d).isEmpty()) {
                double most = 0;
                for (int k = 0; k < own.get(d).size(); k++) {
                    double apart = candidate.flanks().apart(own.get(d).get(k).flanks()) / APART;
                    most = Math.max(most, likely.get(d)[k] * Math.exp(-apart * apart / 2));
                }
                sum += most;
                others++;
            }
        }
        return others == 0 ? 0 : sum / others;
    }

    private static double[] softmax(double[] scores) {
        double most = Double.NEGATIVE_INFINITY;
        for (double s : scores) {
            most = Math.max(most, s);
        }
        double sum = 0;
        double[] out = new double[scores.length];
        for (int i = 0; i < scores.length; i++) {
            out[i] = Math.exp(scores[i] - most);
            sum += out[i];
        }
        for (int i = 0; i < scores.length; i++) {
            out[i] /= sum;
        }
        return out;
    }
}
