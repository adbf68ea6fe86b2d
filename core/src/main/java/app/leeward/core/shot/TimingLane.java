package app.leeward.core.shot;

import app.leeward.core.mouth.TimingSpan;
import java.util.List;

/** Stretches in which mouths lead and are held otherwise. */
final class TimingLane extends JoiningLane<TimingSpan> {
    @Override
    List<TimingSpan> on(Tracks tracks) {
        return tracks.timings();
    }

    @Override
    Tracks with(Tracks tracks, List<TimingSpan> items) {
        return tracks.withTimings(joined(items));
    }

    @Override
    int from(TimingSpan item) {
        return item.from();
    }

    @Override
    int to(TimingSpan item) {
        return item.to();
    }

    @Override
    TimingSpan over(TimingSpan item, int from, int to) {
        return new TimingSpan(from, to, item.lead(), item.minimumHold());
    }
}
