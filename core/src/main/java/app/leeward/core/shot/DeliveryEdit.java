package app.leeward.core.shot;

import app.leeward.core.edit.Facet;
import app.leeward.core.edit.Touch;
import app.leeward.core.mouth.MoodSpan;
import app.leeward.core.mouth.TimingSpan;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** How a stretch of a shot is said. It takes the place of what was said of its frames before. */
public sealed interface DeliveryEdit extends ShotEdit {
    /** Says a stretch with another row of mouths. */
    record FeelAlong(MoodSpan span) implements DeliveryEdit {
        @Override
        public Shot apply(Shot shot) {
            requireWithin(shot, span.from(), span.to());
            Track track = Track.of(Track.Sort.MOODS);
            Tracks room = Cutting.clear(shot.tracks(), List.of(track), span.from(), span.to());
            List<MoodSpan> all = new ArrayList<>(room.moods());
            all.add(span);
            return shot.withTracks(Lane.joined(track, room.withMoods(all)));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.MOOD.all());
        }

        @Override
        public String describe() {
            return (span.mood().isEmpty() ? "Said with the neutral mouths" : "Said in the mood '" + span.mood() + "'")
                    + frames(span.from(), span.to());
        }
    }

    /** Lets mouths run ahead of the sound, and hold, by other numbers for a stretch. */
    record TimeAlong(TimingSpan span) implements DeliveryEdit {
        @Override
        public Shot apply(Shot shot) {
            requireWithin(shot, span.from(), span.to());
            Track track = Track.of(Track.Sort.TIMINGS);
            Tracks room = Cutting.clear(shot.tracks(), List.of(track), span.from(), span.to());
            List<TimingSpan> all = new ArrayList<>(room.timings());
            all.add(span);
            return shot.withTracks(Lane.joined(track, room.withTimings(all)));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.RULES.all());
        }

        @Override
        public String describe() {
            return "Mouths lead by " + span.lead() + ", held at least " + span.minimumHold()
                    + frames(span.from(), span.to());
        }
    }

    private static String frames(int from, int to) {
        return to == from + 1 ? " at frame " + to : " from frame " + (from + 1) + " to " + to;
    }

    private static void requireWithin(Shot shot, int from, int to) {
        if (to > shot.frames()) {
            throw new Refusal(
                    RefusalCode.BEYOND_SHOT,
                    "Frames " + (from + 1) + " to " + to + " do not lie within the shot, which has " + shot.frames()
                            + " frames.");
        }
    }
}
