package app.leeward.core.look;

import app.leeward.core.cue.Cue;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eye.ReadyMade;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Small cues of the eyes, built from the dials a character has. Values are shares of the way from a dial's rest to its upper
 * end (below 0: to its lower end); five to ten frames a stretch is common practice, no source.
 */
public enum ReadyCue {
    /** Eyes go to one side, then to the other, then home. */
    LOOK_ROUND("cue-look-round", "Look round") {
        @Override
        void build(Tracks t) {
            t.gaze(0, 0, 0)
                    .gaze(4, -0.85, 0)
                    .gaze(12, -0.85, 0)
                    .gaze(17, 0.85, 0.05)
                    .gaze(25, 0.85, 0.05);
            t.gaze(29, 0, 0);
        }
    },
    /** Eyes go up and round. */
    ROLL("cue-roll", "Roll the eyes") {
        @Override
        void build(Tracks t) {
            t.gaze(0, 0, 0)
                    .gaze(3, -0.65, -0.35)
                    .gaze(6, -0.45, -0.8)
                    .gaze(9, 0, -0.95)
                    .gaze(12, 0.45, -0.8);
            t.gaze(15, 0.65, -0.35).gaze(20, 0, 0);
        }
    },
    /** A glance, a blink, and a second look with wide eyes. */
    DOUBLE_TAKE("cue-double-take", "Double take") {
        @Override
        void build(Tracks t) {
            t.gaze(0, 0, 0)
                    .gaze(3, 0.9, 0)
                    .gaze(6, 0.9, 0)
                    .gaze(9, 0, 0)
                    .gaze(13, 0, 0)
                    .gaze(15, 0.95, 0);
            t.gaze(27, 0.95, 0).gaze(32, 0, 0);
            t.blink(9, 0).blink(11, 1).blink(12, 1).blink(15, 0);
            t.squint(13, 0).squint(16, -1).squint(27, -1).squint(32, 0);
        }
    },
    /** Eyes narrow, wait and open. */
    SQUINT("cue-squint", "Squint") {
        @Override
        void build(Tracks t) {
            t.squint(0, 0).squint(4, 0.75).squint(16, 0.75).squint(20, 0);
        }
    };

    private final String id;
    private final String words;

    ReadyCue(String id, String words) {
        this.id = id;
        this.words = words;
    }

    public String id() {
        return id;
    }

    abstract void build(Tracks t);

    /** Gathers keys on those of the wanted dials that are there. */
    private static final class Tracks {
        private final Character c;
        private final Map<String, List<Key>> tracks = new TreeMap<>();

        private Tracks(Character c) {
            this.c = c;
        }

        Tracks gaze(int frame, double across, double down) {
            key(Purpose.GAZE_ACROSS, frame, across);
            key(Purpose.GAZE_DOWN, frame, down);
            return this;
        }

        Tracks blink(int frame, double shut) {
            key(Purpose.BLINK, frame, shut);
            return this;
        }

        Tracks squint(int frame, double share) {
            c.dial(ReadyMade.SQUINT.id()).ifPresent(d -> key(d, frame, share));
            return this;
        }

        private void key(Purpose purpose, int frame, double share) {
            c.controls().dials().stream().filter(d -> d.purpose() == purpose).forEach(d -> key(d, frame, share));
        }

        private void key(Dial d, int frame, double share) {
            double by = share < 0 ? -share * (d.from() - d.rest()) : share * (d.to() - d.rest());
            tracks.computeIfAbsent(d.id(), k -> new ArrayList<>()).add(new Key(frame, by));
        }
    }

    /** The character with those cues it has dials for; a cue of an earlier making is made anew. Empty when there is none. */
    public static Optional<Character> addTo(Character c) {
        List<Cue> made = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (ReadyCue r : values()) {
            Tracks t = new Tracks(c);
            r.build(t);
            if (!t.tracks.isEmpty()) {
                made.add(new Cue(r.id, r.words, t.tracks));
                ids.add(r.id);
            }
        }
        if (made.isEmpty()) {
            return Optional.empty();
        }
        c.library().cues().stream().filter(q -> !ids.contains(q.id())).forEach(made::add);
        return Optional.of(c.withLibrary(library -> library.withCues(made)));
    }
}
