package app.leeward.core.transfer;

import app.leeward.core.cue.Cue;
import app.leeward.core.cue.Key;
import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Look;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Looks and cues over another character's dials. Dials it has not, but could have, come along. */
final class LookTransfer {
    private final Character from;
    private final Counterparts counterparts;
    private Character to;
    private final List<String> brought = new ArrayList<>();
    private final List<String> lacking = new ArrayList<>();

    LookTransfer(Character from, Character to, Counterparts counterparts) {
        this.from = from;
        this.to = to;
        this.counterparts = counterparts;
    }

    /** The dial that stands for another, brought along when it has to be. */
    private Optional<Dial> dial(String id) {
        Optional<Dial> there = counterparts.dial(id).flatMap(to::dial);
        Optional<Dial> own = from.dial(id);
        if (there.isPresent() || own.isEmpty()) {
            return there;
        }
        if (DialTransfer.taken(from, own.get())) {
            Taken t = new DialTransfer(from, to, counterparts).of(own.get());
            if (t.fitting() != TransferItem.Fitting.NOTHING) {
                to = t.character();
                brought.add(own.get().name());
                return counterparts.dial(id).flatMap(to::dial);
            }
        }
        lacking.add(own.get().name());
        return Optional.empty();
    }

    Taken look(Look look) {
        Map<String, Double> dials = new TreeMap<>();
        look.dials().forEach((id, value) -> dial(id).ifPresent(
                        d -> dials.put(d.id(), ValueTransfer.at(from.dial(id).orElseThrow(), d, value))));
        Map<String, String> drawings = new TreeMap<>();
        look.drawings().forEach((part, drawing) -> {
            Optional<String> there = counterparts.part(part);
            Optional<String> shown = counterparts.drawing(part, drawing);
            if (there.isPresent() && shown.isPresent()) {
                drawings.put(there.get(), shown.get());
            } else {
                lacking.add("a drawing of " + Counterparts.names(from, List.of(part)));
            }
        });
        if (dials.isEmpty() && drawings.isEmpty()) {
            return Taken.nothing(
                    to,
                    "Nothing it moves is there"
                            + (lacking.isEmpty() ? "." : ": " + Counterparts.listed(lacking) + "."));
        }
        List<Look> looks = new ArrayList<>(to.library().looks());
        Optional<Look> same = looks.stream()
                .filter(l ->
                        l.name().equalsIgnoreCase(look.name()) && l.collection().equals(look.collection()))
                .findFirst();
        Set<String> ids = looks.stream().map(Look::id).collect(Collectors.toSet());
        String id = same.map(Look::id).orElseGet(() -> Ids.unused(look.id(), ids));
        Look made = new Look(id, look.name(), look.collection(), dials, drawings);
        if (same.isPresent()) {
            looks.replaceAll(l -> l.id().equals(id) ? made : l);
        } else {
            looks.add(made);
        }
        return done(to.withLibrary(l -> l.withLooks(looks)), same.isPresent());
    }

    Taken cue(Cue cue) {
        Map<String, List<Key>> tracks = new TreeMap<>();
        cue.tracks().forEach((id, keys) -> dial(id).ifPresent(d -> {
            Dial own = from.dial(id).orElseThrow();
            tracks.put(
                    d.id(),
                    keys.stream()
                            .map(k -> new Key(k.frame(), ValueTransfer.by(own, d, k.by())))
                            .toList());
        }));
        if (tracks.isEmpty()) {
            return Taken.nothing(
                    to,
                    "Nothing it moves is there"
                            + (lacking.isEmpty() ? "." : ": " + Counterparts.listed(lacking) + "."));
        }
        List<Cue> cues = new ArrayList<>(to.library().cues());
        Optional<Cue> same =
                cues.stream().filter(c -> c.name().equalsIgnoreCase(cue.name())).findFirst();
        Set<String> ids = cues.stream().map(Cue::id).collect(Collectors.toSet());
        String id = same.map(Cue::id).orElseGet(() -> Ids.unused(cue.id(), ids));
        Cue made = new Cue(id, cue.name(), tracks);
        if (same.isPresent()) {
            cues.replaceAll(c -> c.id().equals(id) ? made : c);
        } else {
            cues.add(made);
        }
        return done(to.withLibrary(l -> l.withCues(cues)), same.isPresent());
    }

    private Taken done(Character after, boolean replaces) {
        List<String> facts = new ArrayList<>();
        if (replaces) {
            facts.add("One of that name is there; this stands in its place.");
        }
        if (!brought.isEmpty()) {
            facts.add("Brings " + (brought.size() == 1 ? "the dial " : "the dials ") + Counterparts.listed(brought)
                    + ".");
        }
        if (!lacking.isEmpty()) {
            facts.add("Not there, left out: " + Counterparts.listed(lacking) + ".");
        }
        TransferItem.Fitting fitting = replaces
                ? TransferItem.Fitting.REPLACES
                : lacking.isEmpty() ? TransferItem.Fitting.WHOLE : TransferItem.Fitting.PARTLY;
        return new Taken(after, fitting, facts);
    }
}
