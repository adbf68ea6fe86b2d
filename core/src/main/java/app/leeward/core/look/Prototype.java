package app.leeward.core.look;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** The six prototype expressions by their action units: EMFACS, Ekman & Friesen; from memory. */
public enum Prototype {
    HAPPINESS(ActionUnit.AU6, ActionUnit.AU12),
    SADNESS(ActionUnit.AU1, ActionUnit.AU4, ActionUnit.AU15),
    SURPRISE(ActionUnit.AU1, ActionUnit.AU2, ActionUnit.AU5, ActionUnit.AU26),
    FEAR(
            ActionUnit.AU1,
            ActionUnit.AU2,
            ActionUnit.AU4,
            ActionUnit.AU5,
            ActionUnit.AU7,
            ActionUnit.AU20,
            ActionUnit.AU26),
    ANGER(ActionUnit.AU4, ActionUnit.AU5, ActionUnit.AU7, ActionUnit.AU23),
    DISGUST(ActionUnit.AU9, ActionUnit.AU15, ActionUnit.AU16);

    /** What the six are shown under. */
    public static final String COLLECTION = "Six prototypes";

    private final List<ActionUnit> units;

    Prototype(ActionUnit... units) {
        this.units = List.of(units);
    }

    public List<ActionUnit> units() {
        return units;
    }

    /** The look's id. */
    public String id() {
        return "look-" + name().toLowerCase(Locale.ROOT);
    }

    /** The prototype a look was made from. */
    public static Optional<Prototype> of(Look look) {
        for (Prototype p : values()) {
            if (p.id().equals(look.id())) {
                return Optional.of(p);
            }
        }
        return Optional.empty();
    }

    /** What a character lacks for it, one sentence for each action unit that is incomplete. */
    public List<String> lacks(Character c) {
        List<String> out = new ArrayList<>();
        for (ActionUnit u : units) {
            List<String> missing = u.lacks(c);
            if (!missing.isEmpty()) {
                boolean some = u.dial(c).isPresent();
                out.add("AU " + u.number() + " " + u.words() + (some ? " is only a part of itself" : " is left out")
                        + ": no " + String.join(", no ", missing) + ".");
            }
        }
        return out;
    }

    /**
     * The character with a dial for every action unit it has a piece for, and those of the six looks that move anything;
     * dials and looks of an earlier making are made anew, everything else stays. Empty when nothing can be made.
     */
    public static Optional<Character> addTo(Character c) {
        Map<ActionUnit, Dial> made = new TreeMap<>();
        for (ActionUnit u : ActionUnit.values()) {
            u.dial(c).ifPresent(d -> made.put(u, d));
        }
        if (made.isEmpty()) {
            return Optional.empty();
        }
        Set<String> ids = made.values().stream().map(Dial::id).collect(Collectors.toSet());
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        dials.removeIf(d -> ids.contains(d.id()));
        dials.addAll(made.values());
        List<Look> looks = new ArrayList<>();
        Set<String> own = new LinkedHashSet<>();
        for (Prototype p : values()) {
            Map<String, Double> values = new TreeMap<>();
            p.units.stream().filter(made::containsKey).forEach(u -> values.put(u.id(), 1.0));
            if (!values.isEmpty()) {
                String word = p.name().charAt(0) + p.name().substring(1).toLowerCase(Locale.ROOT);
                looks.add(new Look(p.id(), word, COLLECTION, values, Map.of()));
                own.add(p.id());
            }
        }
        c.library().looks().stream().filter(l -> !own.contains(l.id())).forEach(looks::add);
        return Optional.of(c.withDials(dials, c.controls().pads()).withLibrary(library -> library.withLooks(looks)));
    }
}
