package app.leeward.core.shotcheck;

import java.util.List;

/** Looks along the whole shot for what no single exposure shows. */
interface Review {
    /** @param shown what each part that is given drawings over time shows */
    List<ShotFinding> of(ShownDrawings shown);

    /** What may mend what it found, the likeliest first. */
    default List<Remedy> remedies(ShotFinding finding) {
        return List.of();
    }
}
