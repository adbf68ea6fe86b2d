package app.leeward.core.transfer;

import app.leeward.core.cue.Cue;
import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** All that one character could take from another, and what becomes of it. Neither is changed. */
public final class Transfer {
    /** The mouths of the set serve sounds that have none. */
    private static final String MOUTHS = "mouths";
    /** They serve all sounds they can. */
    private static final String MOUTHS_INSTEAD = "mouths-instead";

    private final Character from;
    private final Character to;
    /** In the order they are taken in. */
    private final Map<String, Thing> things = new LinkedHashMap<>();

    private record Thing(
            TransferItem.Kind kind,
            String what,
            Function<Taking, Taken> take,
            Function<SheetMaker, TransferSheet> sheet) {}

    /** A character in the middle of taking things. */
    private final class Taking {
        private Character now = to;
        private final Counterparts counterparts = Counterparts.between(from, to);

        Taken take(Thing thing) {
            Taken taken = thing.take.apply(this);
            now = Colouring.withPalette(from, taken.character());
            return taken;
        }
    }

    private Transfer(Character from, Character to) {
        this.from = from;
        this.to = to;
        Counterparts counterparts = Counterparts.between(from, to);
        for (Part p : PartTransfer.missing(from, to, counterparts)) {
            put(
                    "part/" + p.id(),
                    TransferItem.Kind.PART,
                    PartTransfer.name(from, p, counterparts),
                    t -> new PartTransfer(from, t.now, t.counterparts).taken(p),
                    s -> s.part(p));
        }
        if (from.voice().mouths().part().flatMap(from::part).isPresent() && MouthTransfer.speaks(from)) {
            boolean own = MouthTransfer.speaks(to);
            put(
                    MOUTHS,
                    TransferItem.Kind.MOUTHS,
                    own ? "Mouths for sounds without one" : "Mouths",
                    t -> new MouthTransfer(from, t.now, t.counterparts).taken(false),
                    SheetMaker::mouths);
            if (own) {
                put(
                        MOUTHS_INSTEAD,
                        TransferItem.Kind.MOUTHS,
                        "Mouths instead of its own",
                        t -> new MouthTransfer(from, t.now, t.counterparts).taken(true),
                        SheetMaker::mouths);
            }
        }
        for (Part p : from.mainParts()) {
            if (p.role() == PartRole.HAND && counterparts.part(p.id()).isPresent()) {
                put(
                        "hand/" + p.id(),
                        TransferItem.Kind.HAND,
                        p.name(),
                        t -> new HandTransfer(from, t.now, t.counterparts).taken(p),
                        s -> s.hand(p));
            }
        }
        for (Dial d : from.controls().dials()) {
            if (DialTransfer.taken(from, d)) {
                put(
                        "dial/" + d.id(),
                        TransferItem.Kind.DIAL,
                        d.name(),
                        t -> new DialTransfer(from, t.now, t.counterparts).of(d),
                        s -> s.of(d));
            }
        }
        for (Look l : from.library().looks()) {
            put(
                    "look/" + l.id(),
                    TransferItem.Kind.LOOK,
                    l.name(),
                    t -> new LookTransfer(from, t.now, t.counterparts).look(l),
                    s -> s.of(l));
        }
        for (Cue c : from.library().cues()) {
            put(
                    "cue/" + c.id(),
                    TransferItem.Kind.CUE,
                    c.name(),
                    t -> new LookTransfer(from, t.now, t.counterparts).cue(c),
                    s -> s.of(c));
        }
    }

    /** @param to the character that takes */
    public static Transfer between(Character from, Character to) {
        return new Transfer(from, to);
    }

    private void put(
            String key,
            TransferItem.Kind kind,
            String what,
            Function<Taking, Taken> take,
            Function<SheetMaker, TransferSheet> sheet) {
        things.put(key, new Thing(kind, what, take, sheet));
    }

    /** What could be taken, each as if it were taken alone. */
    public List<TransferItem> items() {
        List<TransferItem> all = new ArrayList<>();
        things.keySet().forEach(key -> item(key).ifPresent(all::add));
        return all;
    }

    /** One thing, as if it were taken alone. */
    public Optional<TransferItem> item(String key) {
        return Optional.ofNullable(things.get(key)).map(thing -> {
            Taken taken = new Taking().take(thing);
            return new TransferItem(key, thing.kind, thing.what, taken.fitting(), taken.facts());
        });
    }

    /** How one thing looks on both, as if it were taken alone; without pictures where it has no place. */
    public Optional<TransferSheet> sheet(String key) {
        return Optional.ofNullable(things.get(key)).map(thing -> {
            Taking taking = new Taking();
            Taken taken = taking.take(thing);
            return taken.fitting() == TransferItem.Fitting.NOTHING
                    ? new TransferSheet(to, List.of())
                    : thing.sheet.apply(new SheetMaker(from, taking.now, taking.counterparts));
        });
    }

    /** Whether there is such a thing. */
    public boolean has(String key) {
        return things.containsKey(key);
    }

    /**
     * The character with some of it, in the order of the list whatever order they are named in.
     *
     * @param keys those of things that are there
     * @return empty when nothing of it has a place
     */
    public Optional<Character> taken(Set<String> keys) {
        Taking taking = new Taking();
        boolean some = false;
        for (Map.Entry<String, Thing> e : things.entrySet()) {
            if (keys.contains(e.getKey())) {
                some |= taking.take(e.getValue()).fitting() != TransferItem.Fitting.NOTHING;
            }
        }
        return some ? Optional.of(taking.now) : Optional.empty();
    }
}
