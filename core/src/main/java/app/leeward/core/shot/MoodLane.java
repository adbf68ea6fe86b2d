package app.leeward.core.shot;

import app.leeward.core.mouth.MoodSpan;
import java.util.List;

/** Stretches that are said with another row of mouths. */
final class MoodLane extends JoiningLane<MoodSpan> {
    @Override
    List<MoodSpan> on(Tracks tracks) {
        return tracks.moods();
    }

    @Override
    Tracks with(Tracks tracks, List<MoodSpan> items) {
        return tracks.withMoods(joined(items));
    }

    @Override
    int from(MoodSpan item) {
        return item.from();
    }

    @Override
    int to(MoodSpan item) {
        return item.to();
    }

    @Override
    MoodSpan over(MoodSpan item, int from, int to) {
        return new MoodSpan(from, to, item.mood());
    }
}
