package app.leeward.core.acting;

import app.leeward.core.cue.Blink;
import app.leeward.core.cue.BlinkPlan;
import app.leeward.core.cue.Laid;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eye.ReadyMade;
import app.leeward.core.mouth.Mood;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.GazeShifts;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.Tracks;
import app.leeward.core.shot.Way;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;

/**
 * The acting a line asks for, as ordinary keys with their reasons. Which movement goes with what in speech is published, all of it
 * from memory: heads nod and brows rise on words that are stressed (Hadar, Steiner, Grant and Rose, Language and Speech 26, 1983,
 * 117–129; Cavé et al., ICSLP 1996), speakers look away as they begin and back as they end (Kendon, Acta Psychologica 26, 1967,
 * 22–63), heads settle where sentences end (Hadar et al.), lids fall with gaze shifts and turns (Evinger et al., Experimental Brain
 * Research 100, 1994, 337–344) and in pauses (Nakano and Kitazawa, Experimental Brain Research 205, 2010, 577–581). How far and how
 * long each movement goes is a rule of thumb, no source.
 */
public final class FirstPass {
    /** How prominent a word must be to be acted at all. */
    private static final double STANDS_OUT = 0.5;
    /** Seconds a nod takes down to the beat and back up. */
    private static final double NOD_DOWN = 0.17;

    private static final double NOD_UP = 0.25;
    /** Share of the dial's way from rest that a usual nod takes. */
    private static final double NOD_SIZE = 0.32;
    /** Seconds brows take to rise to the beat, stay and fall. */
    private static final double BROW_RISES = 0.13;

    private static final double BROW_STAYS = 0.15;
    private static final double BROW_FALLS = 0.25;
    private static final double BROW_SIZE = 0.5;
    /** Seconds eyes take to jump. */
    private static final double JUMP = 0.07;
    /** Shortest sentence, seconds, that one looks away from. */
    private static final double WORTH_A_LOOK = 0.9;

    private static final double AWAY = 0.42;
    /** Share of the way from straight ahead that a head drifts while it speaks. */
    private static final double DRIFT = 0.16;
    /** Shortest pause, seconds, that one breathes in. */
    private static final double BREATH = 0.3;

    private static final double BREATH_SIZE = 0.14;
    /** Frames a look takes to come and to go, seconds. */
    private static final double LOOK_COMES = 0.25;

    private final Character character;
    private final Shot shot;
    private final List<Spoken> words;
    private final Temperament temperament;
    private final double strength;
    private final long seed;
    private final LaidKeys keys;
    private final int rate;

    private FirstPass(
            Character character, Shot shot, List<Spoken> words, Temperament temperament, double strength, long seed) {
        this.character = character;
        this.shot = shot;
        this.words = words;
        this.temperament = temperament;
        this.strength = strength;
        this.seed = seed;
        keys = new LaidKeys(shot);
        rate = shot.rules().frameRate();
    }

    /**
     * Proposes acting of some kinds. What a hand made is left alone, and so is what was laid of other kinds.
     *
     * @param words of the whole shot, in order
     * @param strength 0 for nothing, 1 for the usual, 2 at the most
     * @param seed the same seed proposes the same
     * @throws Refusal for no kind, or a strength out of bounds
     */
    public static ActingEdit.LayActing propose(
            Character character,
            Shot shot,
            List<Spoken> words,
            Temperament temperament,
            double strength,
            long seed,
            Set<Laid.Kind> kinds) {
        if (!(strength >= 0 && strength <= 2)) {
            throw new Refusal(
                    RefusalCode.BAD_RANGE, "A first pass is laid at a strength of 0 to 2, not " + strength + ".");
        }
        Shot own = new ActingEdit.LayActing(List.copyOf(kinds), Tracks.EMPTY).apply(shot);
        FirstPass pass = new FirstPass(character, own, words, temperament, strength, seed);
        Set<Laid.Kind> asked = EnumSet.copyOf(kinds);
        return new ActingEdit.LayActing(List.copyOf(asked), strength == 0 ? Tracks.EMPTY : pass.laid(asked));
    }

    private Tracks laid(Set<Laid.Kind> kinds) {
        // what moves furthest first: it is given the room
        if (kinds.contains(Laid.Kind.GAZE)) {
            gaze();
        }
        if (kinds.contains(Laid.Kind.SETTLING)) {
            settling();
        }
        if (kinds.contains(Laid.Kind.NODS)) {
            nods();
        }
        if (kinds.contains(Laid.Kind.BROWS)) {
            brows();
        }
        if (kinds.contains(Laid.Kind.BREATH)) {
            breath();
        }
        Tracks tracks = keys.over(Tracks.EMPTY);
        if (kinds.contains(Laid.Kind.LOOKS)) {
            tracks = tracks.withLooks(looks());
        }
        return kinds.contains(Laid.Kind.BLINKS) ? tracks.withBlinks(blinks(tracks)) : tracks;
    }

    /** Every word that stands out, the most prominent first, and of those the share that this temperament acts. */
    private List<Spoken> acted(double share, long salt) {
        List<Spoken> standing = words.stream()
                .filter(w -> w.prominence() >= STANDS_OUT)
                .sorted(Comparator.comparingDouble((Spoken w) -> -w.prominence())
                        .thenComparingDouble(Spoken::start))
                .toList();
        SplittableRandom random = new SplittableRandom(seed * 31 + salt);
        long most = Math.round(Math.min(1, share * Math.sqrt(strength)) * standing.size());
        // one in so many is passed over, so that another seed acts other words
        return standing.stream()
                .filter(w -> random.nextDouble() < 0.5 + w.prominence() / 2)
                .limit(most)
                .toList();
    }

    private void nods() {
        Optional<Dial> nod = dial(Purpose.NOD);
        if (nod.isEmpty()) {
            return;
        }
        double way = nod.get().to() - nod.get().rest();
        for (Spoken w : acted(temperament.nods, 1)) {
            double down = NOD_SIZE * way * temperament.size * strength * (0.5 + w.prominence() / 2);
            keys.add(
                    nod.get(),
                    new Laid(Laid.Kind.NODS, "nod: “" + w.text() + "” is stressed"),
                    List.of(
                            step(w.beat() - NOD_DOWN, 0, Way.SMOOTH),
                            step(w.beat(), down, Way.SMOOTH),
                            step(w.beat() + NOD_UP, 0, Way.HOLD)));
        }
    }

    private void brows() {
        Optional<Dial> raise = character.dial(ReadyMade.BROW_RAISE.id());
        if (raise.isEmpty()) {
            return;
        }
        double way = raise.get().to() - raise.get().rest();
        for (Spoken w : acted(temperament.brows, 2)) {
            double up = BROW_SIZE * way * Math.min(1.6, strength) * (0.5 + w.prominence() / 2);
            keys.add(
                    raise.get(),
                    new Laid(Laid.Kind.BROWS, "brows: “" + w.text() + "” is stressed"),
                    List.of(
                            step(w.beat() - BROW_RISES, 0, Way.SMOOTH),
                            step(w.beat(), up, Way.HOLD),
                            step(w.beat() + BROW_STAYS, up, Way.SMOOTH),
                            step(w.beat() + BROW_STAYS + BROW_FALLS, 0, Way.HOLD)));
        }
    }

    /** From the first to the last word of each sentence. */
    private List<List<Spoken>> sentences() {
        List<List<Spoken>> all = new ArrayList<>();
        for (Spoken w : words) {
            if (all.isEmpty() || w.opens()) {
                all.add(new ArrayList<>());
            }
            all.get(all.size() - 1).add(w);
        }
        return all;
    }

    private void gaze() {
        Optional<Dial> across = dial(Purpose.GAZE_ACROSS);
        Optional<Dial> down = dial(Purpose.GAZE_DOWN);
        SplittableRandom random = new SplittableRandom(seed * 31 + 3);
        for (List<Spoken> s : sentences()) {
            double from = s.get(0).start();
            double to = s.get(s.size() - 1).end();
            boolean looks = random.nextDouble() < temperament.away;
            double side = random.nextBoolean() ? 1 : -1;
            double up = random.nextDouble();
            if (!looks || to - from < WORTH_A_LOOK || across.isEmpty()) {
                continue;
            }
            // away as the thought begins, back before it ends
            double away = Math.max(0, from - JUMP);
            double back = from + Math.min(0.55 * (to - from), 1.6);
            Laid why =
                    new Laid(Laid.Kind.GAZE, "gaze: away as “" + s.get(0).text() + " …” begins, back before it ends");
            double far = AWAY * Math.min(1.4, strength);
            look(
                    across.get(),
                    why,
                    away,
                    back,
                    side * far * (across.get().to() - across.get().rest()));
            if (down.isPresent()) {
                // up in thought, down in doubt
                double by = (up < 0.65 ? -0.5 : 0.4)
                        * far
                        * (down.get().to() - down.get().rest());
                look(down.get(), why, away, back, by);
            }
        }
    }

    private void look(Dial dial, Laid why, double away, double back, double by) {
        keys.add(
                dial,
                why,
                List.of(
                        step(away, 0, Way.EVEN),
                        step(away + JUMP, by, Way.HOLD),
                        step(back, by, Way.EVEN),
                        step(back + JUMP, 0, Way.HOLD)));
    }

    /** The head turns a little while it speaks, and settles where the sentence ends. */
    private void settling() {
        // a head that turns by exchanging whole views does not drift: a little of its dial is nothing, a little more
        // another face
        Optional<Dial> turn =
                dial(Purpose.TURN).filter(d -> character.controls().views().isEmpty());
        SplittableRandom random = new SplittableRandom(seed * 31 + 4);
        double before = random.nextBoolean() ? 1 : -1;
        for (List<Spoken> s : sentences()) {
            double from = s.get(0).start();
            double to = s.get(s.size() - 1).end();
            double share = 0.6 + 0.4 * random.nextDouble();
            before = -before;
            if (turn.isEmpty() || to - from < WORTH_A_LOOK) {
                continue;
            }
            double by = before
                    * share
                    * DRIFT
                    * temperament.drift
                    * strength
                    * (turn.get().to() - turn.get().rest());
            keys.add(
                    turn.get(),
                    new Laid(
                            Laid.Kind.SETTLING,
                            "head: turns as “" + s.get(0).text() + " …” begins and settles where it ends"),
                    List.of(
                            step(Math.max(0, from - 0.1), 0, Way.SMOOTH),
                            step(from + 0.35, by, Way.SMOOTH),
                            step(Math.max(from + 0.45, to - 0.35), 0.7 * by, Way.SMOOTH),
                            step(to + 0.2, 0, Way.HOLD)));
        }
    }

    private void breath() {
        Optional<Dial> nod = dial(Purpose.NOD);
        List<List<Spoken>> all = sentences();
        for (int i = 0; i < all.size() && nod.isPresent(); i++) {
            double begins = all.get(i).get(0).start();
            double pause = i == 0
                    ? begins
                    : begins - all.get(i - 1).get(all.get(i - 1).size() - 1).end();
            if (pause < BREATH) {
                continue;
            }
            double length = Math.min(pause, 0.6);
            double by = -BREATH_SIZE
                    * temperament.size
                    * strength
                    * (nod.get().rest() - nod.get().from());
            keys.add(
                    nod.get(),
                    new Laid(
                            Laid.Kind.BREATH,
                            "breath before “" + all.get(i).get(0).text() + " …”"),
                    List.of(
                            step(begins - length, 0, Way.SMOOTH),
                            step(begins - length / 3, by, Way.SMOOTH),
                            step(begins + 0.12, 0, Way.HOLD)));
        }
    }

    /** The looks that are called as the moods are, each over what is said in its mood. */
    private List<LookSpan> looks() {
        List<LookSpan> out = new ArrayList<>();
        for (int i = 0; i < words.size(); ) {
            String mood = shot.moodAt(frame(words.get(i).start()));
            int first = i;
            while (i < words.size() && shot.moodAt(frame(words.get(i).start())).equals(mood)) {
                i++;
            }
            int last = i - 1;
            character
                    .voice()
                    .mouths()
                    .mood(mood)
                    .map(Mood::name)
                    .flatMap(n -> look(n, first, last))
                    .ifPresent(out::add);
        }
        return out;
    }

    private Optional<LookSpan> look(String mood, int first, int last) {
        int comes = Math.max(1, (int) Math.round(LOOK_COMES * rate));
        int from = Math.max(0, frame(words.get(first).start()) - comes);
        int to = Math.min(shot.frames(), frame(words.get(last).end()) + 2 * comes);
        String what = first == 0 && last == words.size() - 1
                ? "the line is"
                : "“" + words.get(first).text()
                        + (first == last ? "" : " … " + words.get(last).text()) + "” is";
        String name = mood.toLowerCase(Locale.ROOT);
        return character.library().looks().stream()
                .filter(l -> alike(l.name().toLowerCase(Locale.ROOT), name))
                .findFirst()
                .filter(l -> to - from > 2 * comes)
                .map(l -> new LookSpan(
                        from,
                        to,
                        l.id(),
                        comes,
                        comes,
                        Math.min(1, 0.55 * strength),
                        Optional.of(new Laid(Laid.Kind.LOOKS, what + " said in the mood “" + name + "”"))));
    }

    /** Whether a look and a mood are called alike: happiness and happy. */
    private static boolean alike(String look, String mood) {
        String stem = mood.length() > 4 ? mood.substring(0, 4) : mood;
        return look.startsWith(stem);
    }

    private List<Blink> blinks(Tracks laid) {
        if (character.controls().dials().stream().noneMatch(d -> d.purpose() == Purpose.BLINK)) {
            return List.of();
        }
        Shot acted = shot.withTracks(laid.dials().entrySet().stream()
                .reduce(
                        shot.tracks(),
                        (t, e) -> t.withKeys(e.getKey(), merged(t.dials().getOrDefault(e.getKey(), List.of()), e)),
                        (a, b) -> b));
        List<Integer> shifts = new ArrayList<>(GazeShifts.of(acted, character));
        List<Integer> pauses = words.stream()
                .filter(Spoken::closes)
                .map(w -> frame(w.end() + 0.08))
                .filter(f -> f < shot.frames())
                .toList();
        List<Integer> all = new ArrayList<>(shifts);
        all.addAll(pauses);
        double perMinute = Math.max(1, Math.min(60, temperament.blinks * (0.5 + strength / 2)));
        return BlinkPlan.photographed(
                        BlinkPlan.lay(shot.frames(), rate, perMinute, all, seed),
                        shot.rules().exposure(),
                        shot.frames())
                .stream()
                .map(b -> new Blink(
                        b.frame(),
                        b.down(),
                        b.hold(),
                        b.up(),
                        Optional.of(new Laid(Laid.Kind.BLINKS, why(b, shifts, pauses)))))
                .toList();
    }

    private static List<DialKey> merged(List<DialKey> hand, Map.Entry<String, List<DialKey>> laid) {
        List<DialKey> all = new ArrayList<>(hand);
        laid.getValue().stream()
                .filter(k -> hand.stream().noneMatch(h -> h.frame() == k.frame()))
                .forEach(all::add);
        return all;
    }

    private String why(Blink blink, List<Integer> shifts, List<Integer> pauses) {
        // it may have been moved by less than an exposure
        int near = shot.rules().exposure();
        Optional<Integer> shift = shifts.stream()
                .filter(f -> Math.abs(f - 1 - blink.frame()) < near)
                .findFirst();
        if (shift.isPresent()) {
            return "blink: with the gaze or the turn at frame " + (shift.get() + 1);
        }
        return pauses.stream().anyMatch(f -> Math.abs(f - 1 - blink.frame()) < near)
                ? "blink: in the pause"
                : "blink: " + Math.round(temperament.blinks) + " a minute, as people do";
    }

    private Optional<Dial> dial(Purpose purpose) {
        return character.controls().dials().stream()
                .filter(d -> d.purpose() == purpose)
                .findFirst();
    }

    private LaidKeys.Step step(double seconds, double by, Way way) {
        return new LaidKeys.Step(frame(seconds), by, way);
    }

    /** The frame at a moment, on an exposure of its own. */
    private int frame(double seconds) {
        int exposure = shot.rules().exposure();
        return (int) Math.round(seconds * rate / exposure) * exposure;
    }
}
