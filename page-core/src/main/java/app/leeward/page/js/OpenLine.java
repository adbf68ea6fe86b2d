package app.leeward.page.js;

import app.leeward.core.art.Drawing;
import app.leeward.core.live.LiveReduction;
import app.leeward.core.morph.Crossing;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.KeptCue;
import app.leeward.core.shot.MirroredStrip;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Strip;
import app.leeward.core.shot.Track;
import app.leeward.core.shot.Tracks;
import app.leeward.page.json.Codec;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** A line being played: the same as a character, at a frame. */
public final class OpenLine {
    private final OpenCharacter character;
    private final Playhead playhead;
    private OpenLine plain;

    OpenLine(OpenCharacter character, Playhead playhead) {
        this.character = character;
        this.playhead = playhead;
    }

    @JSExport
    public JSObject frame(int at, JSObject live) {
        return character.frameOf(poseAt(at, live));
    }

    @JSExport
    public JSObject joints(int at, JSObject live) {
        return character.jointsOf(poseAt(at, live));
    }

    @JSExport
    public JSObject why(int at, String part, JSObject live) {
        return character.reasons(playhead.why(at, part, PageForms.pose(live)));
    }

    /** The same line over a character that speaks with the same mouths, such as one with a draft. */
    @JSExport
    public OpenLine with(OpenCharacter other) {
        return new OpenLine(other, playhead.with(other.evaluator()));
    }

    /** The shot without dials, drawings and looks acted along it: for benches where the hand poses. */
    @JSExport
    public OpenLine plain() {
        if (plain == null) {
            Shot rest = playhead.shot().withoutActing();
            plain = rest == playhead.shot() ? this : new OpenLine(character, playhead.of(rest));
        }
        return plain;
    }

    /** Another state of the same shot. Its mouths are solved anew only where they could be others. */
    @JSExport
    public OpenLine of(JSObject shot) {
        return new OpenLine(character, playhead.of(character.codec().readShot(new JsValue(shot))));
    }

    /**
     * The shot itself, as far as it is another one than that of an earlier state: without the keys and the drawings that have not changed.
     * A shot of an hour's work is large, and a hand moves one key of it. Keys that did change are asked for by {@link #keys} once they
     * are looked at: room that is made on all tracks changes all of them, and a sheet shows some.
     *
     * @return the shot with what else changed on its tracks, the ids of the dials and parts whose tracks are the same, and those of the
     *     dials that are keyed otherwise
     */
    @JSExport
    public JSObject changes(OpenLine before) {
        Tracks now = playhead.shot().tracks();
        Tracks then = before.playhead.shot().tracks();
        Set<String> dials = same(now.dials(), then.dials());
        Set<String> keyed = new TreeSet<>(now.dials().keySet());
        keyed.removeAll(dials);
        Set<String> drawings = same(now.drawings(), then.drawings());
        JsSink out = new JsSink();
        out.begin();
        out.name("shot");
        character
                .codec()
                .writeShot(
                        playhead.shot()
                                .withTracks(now.withDials(Map.of()).withDrawings(without(now.drawings(), drawings))),
                        out);
        names(out, "dials", dials);
        names(out, "drawings", drawings);
        names(out, "keyed", keyed);
        out.end();
        return out.whole();
    }

    /**
     * From what a held drawing, or a pinned mouth, comes over, and how much of it.
     *
     * @param frame the first one it is shown
     * @return the drawing shown before, and the counts of {@link Crossing}; null where nothing was shown before
     */
    @JSExport
    public JSObject crossing(String part, String drawing, int frame) {
        Part of = character.evaluator().character().part(part).orElse(null);
        Drawing to = of == null ? null : of.drawing(drawing).orElse(null);
        Drawing from = of == null
                ? null
                : playhead.shownBefore(part, frame).flatMap(of::drawing).orElse(null);
        if (to == null || from == null || from == to) {
            return null;
        }
        Crossing crossing = Crossing.between(from.art(), to.art());
        JsSink out = new JsSink();
        out.begin();
        out.name("from");
        out.text(from.id());
        out.name("pieces");
        out.number(crossing.pieces());
        out.name("over");
        out.number(crossing.over());
        out.name("could");
        out.number(crossing.could());
        out.end();
        return out.whole();
    }

    /** The keys of one dial. */
    @JSExport
    public JSObject keys(String dial) {
        return KeyList.of(playhead.shot().tracks().dials().getOrDefault(dial, List.of()), character.codec());
    }

    /** The frames at which some dial has a key, in rising order. */
    @JSExport
    public int[] keyFrames() {
        BitSet frames = new BitSet();
        for (List<DialKey> keys : playhead.shot().tracks().dials().values()) {
            for (DialKey k : keys) {
                frames.set(k.frame());
            }
        }
        return frames.stream().toArray();
    }

    private static void names(JsSink out, String name, Set<String> ids) {
        out.name(name);
        out.beginList();
        ids.forEach(out::text);
        out.end();
    }

    private static <T> Set<String> same(Map<String, List<T>> now, Map<String, List<T>> then) {
        Set<String> ids = new TreeSet<>();
        now.forEach((id, items) -> {
            if (then.get(id) == items) {
                ids.add(id);
            }
        });
        return ids;
    }

    private static <T> Map<String, List<T>> without(Map<String, List<T>> all, Set<String> ids) {
        Map<String, List<T>> left = new TreeMap<>(all);
        left.keySet().removeAll(ids);
        return left;
    }

    /** Whether {@link #draft} knows a kind of edit; the others only the server makes. */
    @JSExport
    public boolean drafts(String kind) {
        return Codec.SHOT_EDITS.contains(kind);
    }

    /**
     * The shot as an edit would leave it.
     *
     * @throws IllegalArgumentException for a kind of edit that only the server makes
     */
    @JSExport
    public LineDraft draft(JSObject edit) {
        try {
            ShotEdit asked = character.codec().readShotEdit(new JsValue(edit));
            return new LineDraft(new OpenLine(character, playhead.of(asked.apply(playhead.shot()))), "");
        } catch (Refusal e) {
            return new LineDraft(null, e.getMessage());
        }
    }

    /** Where each keyed dial is put at a frame, by its id. */
    @JSExport
    public JSObject keyed(int at) {
        JsSink out = new JsSink();
        out.begin();
        playhead.keyedAt(at).forEach((dial, value) -> {
            out.name(dial);
            out.number(value);
        });
        out.end();
        return out.whole();
    }

    /** Where a keyed dial stands at each frame; empty for one without keys. */
    @JSExport
    public double[] values(String dial) {
        return playhead.valuesOf(dial);
    }

    /** The mouth of each frame; empty for a character that cannot talk. */
    @JSExport
    public String[] mouths() {
        return playhead.mouths().map(m -> m.drawings().toArray(new String[0])).orElse(new String[0]);
    }

    /**
     * What was played by hand while the shot ran, as an edit that puts its keys in.
     *
     * @return the edit; a sentence when there is nothing to put in
     */
    @JSExport
    public JSObject played(JSObject take, JSObject settings) {
        Codec codec = character.codec();
        JsSink out = new JsSink();
        try {
            codec.writeShotEdit(
                    LiveReduction.edit(
                            playhead,
                            codec.readLiveTake(new JsValue(take)),
                            codec.readLiveSettings(new JsValue(settings))),
                    out);
        } catch (Refusal | IllegalArgumentException e) {
            out.text(e.getMessage());
        }
        return out.whole();
    }

    /**
     * What some tracks hold from a frame to the one behind a stretch.
     *
     * @param tracks a list of tracks
     */
    @JSExport
    public JSObject copy(JSObject tracks, int from, int to) {
        JsSink out = new JsSink();
        character.codec().writeStrip(Strip.copied(playhead.shot(), tracks(tracks), from, to), out);
        return out.whole();
    }

    /**
     * What dials do over a stretch, as a cue.
     *
     * @param tracks a list of tracks
     * @return the cue, or why it cannot be made, as text
     */
    @JSExport
    public JSObject cueOf(JSObject tracks, int from, int to, String id, String name) {
        JsSink out = new JsSink();
        try {
            character.codec().writeCue(KeptCue.of(playhead.shot(), tracks(tracks), from, to, id, name), out);
        } catch (Refusal e) {
            out.text(e.getMessage());
        }
        return out.whole();
    }

    private List<Track> tracks(JSObject asked) {
        JsValue all = new JsValue(asked);
        List<Track> tracks = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            tracks.add(character.codec().readTrack(all.at(i)));
        }
        return tracks;
    }

    /** A strip acted to the other side. */
    @JSExport
    public JSObject mirrored(JSObject strip) {
        Strip asked = character.codec().readStrip(new JsValue(strip));
        JsSink out = new JsSink();
        character.codec().writeStrip(MirroredStrip.of(character.evaluator().character(), asked), out);
        return out.whole();
    }

    private Pose poseAt(int at, JSObject live) {
        return playhead.poseAt(at, PageForms.pose(live));
    }
}
