package app.leeward.core.shot;

import app.leeward.core.cue.CuePlacement;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Contribution;
import app.leeward.core.eval.DelayLine;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.Reason;
import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.rig.Blend;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a shot looks like at any frame: the one evaluation that the screen, the renderer and exports share. Immutable.
 */
public final class Playhead {
    private final Evaluator evaluator;
    private final Shot shot;
    private final Optional<MouthTrack> mouths;
    private final DelayLine trails;
    /** Dials that are keyed and there, in the order of their ids. */
    private final Map<String, KeyedDial> keyed = new TreeMap<>();

    public Playhead(Evaluator evaluator, Shot shot) {
        this.evaluator = evaluator;
        this.shot = shot;
        this.trails = new DelayLine(evaluator);
        compile(Map.of());
        boolean talks = evaluator.character().voice().mouths().part().isPresent()
                && !evaluator.character().voice().mouths().drawn().isEmpty();
        this.mouths =
                talks ? Optional.of(shot.mouths(evaluator.character().voice().mouths())) : Optional.empty();
    }

    private Playhead(
            Evaluator evaluator,
            Shot shot,
            Optional<MouthTrack> mouths,
            DelayLine trails,
            Map<String, KeyedDial> before) {
        this.evaluator = evaluator;
        this.shot = shot;
        this.mouths = mouths;
        this.trails = trails;
        compile(before);
    }

    /** @param before dials of another state: one whose keys are the very same list is taken over */
    private void compile(Map<String, KeyedDial> before) {
        shot.tracks().dials().forEach((dial, keys) -> {
            if (evaluator.character().dial(dial).isPresent()) {
                KeyedDial known = before.get(dial);
                keyed.put(dial, known != null && known.keys() == keys ? known : new KeyedDial(keys));
            }
        });
    }

    /** The same shot over a character that speaks with the same mouths; with others it is solved anew. */
    public Playhead with(Evaluator other) {
        return other.character().voice().mouths()
                        == evaluator.character().voice().mouths()
                ? new Playhead(other, shot, mouths, new DelayLine(other), keyed)
                : new Playhead(other, shot);
    }

    /** Another state of the same shot; its mouths are solved anew only where they could be others. */
    public Playhead of(Shot other) {
        return other.speaksLike(shot)
                ? new Playhead(evaluator, other, mouths, trails, keyed)
                : new Playhead(evaluator, other);
    }

    public Shot shot() {
        return shot;
    }

    /** What turns its poses into pictures. */
    public Evaluator evaluator() {
        return evaluator;
    }

    /** The mouth track; empty for a character without a mouth set. */
    public Optional<MouthTrack> mouths() {
        return mouths;
    }

    /** {@code frame} rounded down to the exposure it is photographed in, and held inside the shot. */
    public int exposed(int frame) {
        int held = Math.max(0, Math.min(shot.frames() - 1, frame));
        return held - held % shot.rules().exposure();
    }

    /**
     * The pose at a frame: what is keyed, held and mixed in there, with the line's mouth, the blinks, the cues and the runs added.
     * Dials, drawings and looks in {@code live}, which the hand holds, stand in place of those keyed; a run is the pick of its part
     * while it plays.
     */
    public Pose poseAt(int frame, Pose live) {
        if (trails.reach() == 0) {
            return without(frame, live);
        }
        List<Pose> poses = new ArrayList<>();
        for (int f = Math.max(0, frame - trails.reach()); f <= frame; f++) {
            poses.add(without(f, live));
        }
        List<Pose> all = trails.over(poses);
        return all.get(all.size() - 1);
    }

    /** The pose at a frame that knows nothing of those before it. */
    private Pose without(int frame, Pose live) {
        int at = exposed(frame);
        Pose cued = acted(at, live).withCues(cuesAt(at)).withPicks(gesturesAt(at));
        if (mouths.isEmpty()) {
            return cued;
        }
        String part = evaluator.character().voice().mouths().part().orElseThrow();
        Pose speaking = cued.saying(part, mouths.get().at(at));
        String pin = shot.tracks().pins().get(at);
        return pin == null ? speaking : comingOver(speaking.withPins(Map.of(part, pin)), part, pin, at);
    }

    /** A pinned mouth on its way from the one that is shown before it. */
    private Pose comingOver(Pose pose, String part, String pin, int at) {
        Map<Integer, String> pins = shot.tracks().pins();
        int begins = at;
        while (!shot.tracks().pinsOver().containsKey(begins) && pin.equals(pins.get(begins - 1))) {
            begins--;
        }
        int in = shot.tracks().pinsOver().getOrDefault(begins, 0);
        double left = new HeldDrawing(begins, at + 1, pin, in).left(at);
        if (left == 0 || begins == 0) {
            return pose;
        }
        Map<String, Blend> blends = new HashMap<>(pose.blends());
        blends.put(part, new Blend(mouthAt(begins - 1), pin, left));
        return pose.withBlends(blends);
    }

    private String mouthAt(int frame) {
        int at = exposed(frame);
        String pin = shot.tracks().pins().get(at);
        return pin != null ? pin : mouths.orElseThrow().at(at);
    }

    private Pose acted(int frame, Pose live) {
        Tracks tracks = shot.tracks();
        if (keyed.isEmpty()
                && tracks.drawings().isEmpty()
                && tracks.looks().isEmpty()
                && tracks.kits().isEmpty()) {
            return live;
        }
        Map<String, Double> dials = keyedAt(frame);
        dials.putAll(live.dials());
        Map<String, String> picks = heldAt(frame);
        picks.putAll(live.picks());
        Map<String, Double> looks = looksAt(frame);
        looks.putAll(live.looks());
        return new Pose(dials, picks, live.pins(), live.speech(), looks, live.cues(), live.earlier())
                .withBlends(blendsAt(frame, live));
    }

    /** Where the keys of a shot put each keyed dial at a frame. */
    public Map<String, Double> keyedAt(int frame) {
        int at = exposed(frame);
        Map<String, Double> dials = new HashMap<>();
        keyed.forEach((dial, keys) -> dials.put(dial, keys.at(at)));
        return dials;
    }

    /** The drawing each part is given along the shot, where it is given one. */
    private Map<String, String> heldAt(int frame) {
        Map<String, String> picks = wornAt(frame);
        shot.tracks().drawings().forEach((part, held) -> held.stream()
                .filter(h -> h.from() <= frame && frame < h.to())
                .findFirst()
                .ifPresent(h -> picks.put(part, h.drawing())));
        return picks;
    }

    /** What the kits choose that are worn at a frame: of one set the one that begins last, of several sets likewise for each part. */
    private Map<String, String> wornAt(int frame) {
        Map<String, String> picks = new HashMap<>();
        List<Kit> worn = new ArrayList<>();
        for (KitSpan k : shot.tracks().kits()) {
            if (k.from() <= frame && frame < k.to()) {
                kit(k.kit()).ifPresent(kit -> {
                    worn.removeIf(w -> !w.set().isEmpty() && w.set().equals(kit.set()));
                    worn.add(kit);
                });
            }
        }
        worn.forEach(kit -> picks.putAll(kit.choices()));
        return picks;
    }

    private Optional<Kit> kit(String id) {
        return evaluator.character().library().kits().stream()
                .filter(k -> k.id().equals(id))
                .findFirst();
    }

    /** The held drawings that are still coming over, and from what: what the shot, or else the character, showed before. */
    private Map<String, Blend> blendsAt(int frame, Pose live) {
        Map<String, Blend> blends = new HashMap<>();
        shot.tracks().drawings().forEach((part, held) -> {
            for (HeldDrawing h : held) {
                double left = live.picks().containsKey(part) ? 0 : h.left(frame);
                if (left > 0) {
                    before(part, h.from()).ifPresent(from -> blends.put(part, new Blend(from, h.drawing(), left)));
                }
            }
        });
        return blends;
    }

    /** What a part shows before a drawing that is held, or a mouth that is pinned, from a frame on; empty where nothing is before it. */
    public Optional<String> shownBefore(String part, int frame) {
        boolean spoken = mouths.isPresent()
                && evaluator
                        .character()
                        .voice()
                        .mouths()
                        .part()
                        .filter(part::equals)
                        .isPresent();
        return spoken ? Optional.of(frame - 1).filter(f -> f >= 0).map(this::mouthAt) : before(part, frame);
    }

    private Optional<String> before(String part, int frame) {
        String held = frame == 0 ? null : heldAt(frame - 1).get(part);
        return held != null
                ? Optional.of(held)
                : evaluator.character().part(part).map(Part::shown);
    }

    /** How strong each look is; of two stretches of one look the stronger counts. */
    private Map<String, Double> looksAt(int frame) {
        Map<String, Double> looks = new HashMap<>();
        for (LookSpan l : shot.tracks().looks()) {
            double strength = l.at(frame);
            if (strength != 0) {
                looks.merge(l.look(), strength, (a, b) -> Math.abs(a) >= Math.abs(b) ? a : b);
            }
        }
        return looks;
    }

    /**
     * Where a keyed dial stands at each frame, whatever the exposures.
     *
     * @return one value a frame; empty for a dial without keys
     */
    public double[] valuesOf(String dial) {
        KeyedDial keys = keyed.get(dial);
        double[] values = new double[keys == null ? 0 : shot.frames()];
        for (int f = 0; f < values.length; f++) {
            values[f] = keys.at(f);
        }
        return values;
    }

    /** Why a part looks as it does at a frame: what the evaluation says, with the track behind each that is acted. */
    public List<Reason> why(int frame, String part, Pose live) {
        int at = exposed(frame);
        return evaluator.why(part, poseAt(frame, live)).stream()
                .map(r -> new Reason(
                        r.channel(),
                        r.words(),
                        r.value(),
                        r.amount(),
                        withTracks(r.heard(), at, part, live),
                        withTracks(r.overruled(), at, part, live)))
                .toList();
    }

    private List<Contribution> withTracks(List<Contribution> all, int frame, String part, Pose live) {
        return all.stream()
                .map(c -> new Contribution(c.kind(), c.by(), c.amount(), c.message() + trackOf(c, frame, part, live)))
                .toList();
    }

    private String trackOf(Contribution c, int frame, String part, Pose live) {
        return switch (c.kind()) {
            case PICK ->
                live.picks().containsKey(part)
                        ? ""
                        : spans(Stream.concat(
                                shot.tracks().drawings().getOrDefault(part, List.of()).stream()
                                        .filter(h -> h.from() <= frame && frame < h.to())
                                        .map(h -> "held from frame " + (h.from() + 1) + " to " + h.to()),
                                wornBy(part, frame)));
            case LOOK ->
                live.looks().containsKey(c.by())
                        ? ""
                        : spans(shot.tracks().looks().stream()
                                .filter(l -> l.look().equals(c.by()) && l.at(frame) != 0)
                                .map(l -> "it shows from frame " + (l.from() + 1) + " to " + l.to()));
            default ->
                live.dials().containsKey(c.by()) || !keyed.containsKey(c.by()) ? "" : keysAt(keyed.get(c.by()), frame);
        };
    }

    /** Kits that are worn at a frame and choose for a part, unless a drawing of it is held. */
    private Stream<String> wornBy(String part, int frame) {
        boolean held = shot.tracks().drawings().getOrDefault(part, List.of()).stream()
                .anyMatch(h -> h.from() <= frame && frame < h.to());
        return held
                ? Stream.empty()
                : shot.tracks().kits().stream()
                        .filter(k -> k.from() <= frame && frame < k.to())
                        .flatMap(k -> kit(k.kit())
                                .filter(kit -> kit.choices().containsKey(part))
                                .map(kit ->
                                        "kit " + kit.name() + " worn from frame " + (k.from() + 1) + " to " + k.to())
                                .stream());
    }

    private static String spans(Stream<String> told) {
        return told.map(t -> ", " + t).collect(Collectors.joining());
    }

    private static String keysAt(KeyedDial dial, int frame) {
        int i = dial.deciding(frame);
        int from = dial.keys().get(i).frame();
        return i + 1 == dial.keys().size() || frame < from
                ? ", keyed at frame " + (from + 1)
                : ", keyed at frames " + (from + 1) + " to "
                        + (dial.keys().get(i + 1).frame() + 1);
    }

    /** What the runs along the shot show; of two on one part the later in the list. */
    private Map<String, String> gesturesAt(int frame) {
        Map<String, String> picks = new HashMap<>();
        for (Gesture g : shot.tracks().gestures()) {
            evaluator.character().rig().runs().stream()
                    .filter(r -> r.id().equals(g.run()))
                    .findFirst()
                    .ifPresent(r -> g.at(frame, r).ifPresent(drawing -> evaluator
                            .character()
                            .rig()
                            .playedBy(r.id())
                            .ifPresent(p -> picks.put(p.id(), drawing))));
        }
        return picks;
    }

    /** How far blinks and cues take each dial. */
    private Map<String, Double> cuesAt(int frame) {
        Map<String, Double> adds = new HashMap<>();
        double shut = shot.tracks().blinks().stream()
                .mapToDouble(b -> b.shut(frame))
                .max()
                .orElse(0);
        if (shut > 0) {
            evaluator.character().controls().dials().stream()
                    .filter(d -> d.purpose() == Purpose.BLINK)
                    .forEach(d -> adds.put(d.id(), shut * (d.to() - d.rest())));
        }
        for (CuePlacement d : shot.tracks().cues()) {
            evaluator.character().cue(d.cue()).ifPresent(q -> d.at(
                            frame, q, evaluator.character().controls().straightDials())
                    .forEach((dial, by) -> adds.merge(dial, by, Double::sum)));
        }
        return adds;
    }

    public Frame frameAt(int frame, Pose live) {
        return evaluator.frame(poseAt(frame, live));
    }
}
