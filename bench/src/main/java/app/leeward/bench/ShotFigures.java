package app.leeward.bench;

import app.leeward.core.cue.Blink;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Track;
import app.leeward.core.shot.Way;
import app.leeward.core.shotcheck.ShotCheck;
import app.leeward.core.shotcheck.ShotFinding;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.formats.json.StoredJson;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Supplier;

/** What a shot costs: a minute of it checked, and the edits of one of 10,000 frames with 60 tracks. */
final class ShotFigures {
    private static final int ROUNDS = 9;
    private static final int LONG = 10_000;

    private ShotFigures() {}

    public static void main(String[] args) {
        Character c = Faces.after(Faces.maren(), rigged());
        Random r = new Random(1);
        Shot minute = acted(c, talking(1440, r), 12, r);
        for (int exposure : new int[] {1, 2}) {
            Shot shot = new ShotEdit.Expose(exposure, 1, 2).apply(minute);
            Playhead playhead = new Playhead(new Evaluator(c), shot);
            List<ShotFinding> found = ShotCheck.of(playhead);
            long mends = found.stream().filter(f -> !f.mends().isEmpty()).count();
            told(
                    String.format(
                            Locale.ROOT,
                            "shot check, a minute on %s, %d parts, 12 dials keyed: %d findings, %d with mends",
                            exposure == 1 ? "ones" : "twos",
                            c.rig().parts().size(),
                            found.size(),
                            mends),
                    () -> ShotCheck.of(playhead));
        }
        Shot large = acted(c, Shot.silent("long", TrackRules.at(24), LONG), 60, r);
        Playhead before = new Playhead(new Evaluator(c), large);
        ActingEdit.SetKeys key = new ActingEdit.SetKeys(Map.of("turn", List.of(new DialKey(LONG / 2, 3, Way.SMOOTH))));
        String what = String.format(
                Locale.ROOT,
                "%d frames, %d tracks, %d keys",
                LONG,
                large.tracks().dials().size(),
                large.tracks().dials().values().stream().mapToInt(List::size).sum());
        told(what + ": a key set and the shot ready to be played", () -> before.of(key.apply(large)));
        ActingEdit.InsertFrames room = new ActingEdit.InsertFrames(
                large.tracks().dials().keySet().stream().map(Track::dial).toList(), 100, 10);
        told(what + ": frames put in on all tracks", () -> room.apply(large));
        StoredJson json = new StoredJson(StoredJson.withoutArt(), unknown -> {});
        String stored = json.write(Shot.class, large);
        told(
                String.format(Locale.ROOT, "%s: written, %d KB", what, stored.length() / 1000),
                () -> json.write(Shot.class, large));
    }

    private static List<Edit> rigged() {
        return List.of(
                new MakeMouths("", null, null, true, List.of(Viseme.values())),
                new MakeBrows(),
                new MakeLooks(),
                new MakeCues(),
                MakeTurn.of(Optional.empty()));
    }

    /** Sounds one behind the other, as fast as people talk. */
    private static Shot talking(int frames, Random r) {
        double seconds = frames / 24.0;
        List<TimedPhone> phones = new ArrayList<>();
        Phone[] all = Phone.values();
        for (double at = 0.2; at < seconds - 1; ) {
            double long_ = 0.05 + 0.1 * r.nextDouble();
            phones.add(new TimedPhone(all[r.nextInt(all.length)], at, at + long_));
            at += long_ + (r.nextInt(12) == 0 ? 0.4 : 0);
        }
        return new Shot(
                "a minute",
                new DialogueLine("", "hash", seconds, List.of(), phones, List.of(), 0),
                TrackRules.at(24),
                Map.of());
    }

    /** Keys on so many tracks, ten frames apart, and a blink every three seconds. */
    private static Shot acted(Character c, Shot shot, int tracks, Random r) {
        List<Dial> dials = c.controls().dials();
        Map<String, List<DialKey>> keys = new HashMap<>();
        for (int t = 0; t < tracks; t++) {
            // more tracks than the face has dials: the others belong to nothing, and are as much work
            Optional<Dial> d = t < dials.size() ? Optional.of(dials.get(t)) : Optional.empty();
            double from = d.map(Dial::from).orElse(-1.0);
            double to = d.map(Dial::to).orElse(1.0);
            boolean blink = d.filter(x -> x.purpose() == Purpose.BLINK).isPresent();
            List<DialKey> own = new ArrayList<>();
            for (int f = t % 7; f < shot.frames() && !blink; f += 10) {
                own.add(new DialKey(f, from + (to - from) * (0.3 + 0.4 * r.nextDouble()), Way.SMOOTH));
            }
            if (!own.isEmpty()) {
                keys.put(d.map(Dial::id).orElse("track-" + t), own);
            }
        }
        List<Blink> blinks = new ArrayList<>();
        for (int f = 30; f + 8 < shot.frames(); f += 72) {
            blinks.add(Blink.at(f));
        }
        Shot keyed = new ActingEdit.SetKeys(keys).apply(shot);
        return keyed.withTracks(keyed.tracks().withBlinks(blinks));
    }

    private static void told(String what, Supplier<?> work) {
        double[] ms = new double[ROUNDS];
        for (int i = -2; i < ROUNDS; i++) {
            long from = System.nanoTime();
            work.get();
            if (i >= 0) {
                ms[i] = (System.nanoTime() - from) / 1e6;
            }
        }
        Arrays.sort(ms);
        System.out.printf(
                Locale.ROOT,
                "%s: median %.1f ms, least %.1f, most %.1f%n",
                what,
                ms[ROUNDS / 2],
                ms[0],
                ms[ROUNDS - 1]);
    }
}
