package app.leeward.core.shotcheck;

import java.util.List;

/**
 * Measures one thing on one exposure after the other. Holds what it has measured before, so that what stands still is measured once:
 * one thread has one of its own.
 */
interface Gauge {
    /**
     * @param s exposures in their order
     * @param i which of them is read; up to two before and one behind it are there where the shot has them
     */
    List<Reading> read(List<Exposure> s, int i);

    /** What may mend what it found, the likeliest first. */
    default List<Remedy> remedies(ShotFinding finding) {
        return List.of();
    }
}
