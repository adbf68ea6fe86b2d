package app.leeward.core.rig;

import app.leeward.core.art.Swatch;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Pad;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.speech.Lexicon;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A cut-out character as it stands at one revision. Immutable; changed only by {@link Edit}s.
 *
 * @param frameRate frames a second
 * @param order part ids back to front, independent of who follows whom; exactly the ids of {@code parts}
 * @param notes what the reader of the art had to say
 */
public record Character(
        String name,
        Canvas canvas,
        int frameRate,
        List<Swatch> palette,
        List<Part> parts,
        List<String> order,
        List<Window> windows,
        List<Dial> dials,
        List<Pad> pads,
        MouthChart mouths,
        Lexicon lexicon,
        List<Note> notes) {
    public Character {
        palette = List.copyOf(palette);
        parts = List.copyOf(parts);
        order = List.copyOf(order);
        windows = List.copyOf(windows);
        dials = List.copyOf(dials);
        pads = List.copyOf(pads);
        notes = List.copyOf(notes);
        if (name.isBlank()) {
            throw new IllegalArgumentException("a character needs a name");
        }
        if (frameRate < 1 || frameRate > 120) {
            throw new IllegalArgumentException("frame rate must be 1 to 120, not " + frameRate);
        }
        requireSoundTree(parts, order);
    }

    private static void requireSoundTree(List<Part> parts, List<String> order) {
        Map<String, Part> byId = new HashMap<>();
        for (Part p : parts) {
            if (byId.put(p.id(), p) != null) {
                throw new IllegalArgumentException("two parts have the id '" + p.id() + "'");
            }
        }
        if (order.size() != parts.size() || !byId.keySet().equals(new HashSet<>(order))) {
            throw new IllegalArgumentException("the stacking order must name every part once");
        }
        for (Part p : parts) {
            Set<String> seen = new HashSet<>();
            Part at = p;
            while (at.parent().isPresent()) {
                if (!seen.add(at.id())) {
                    throw new IllegalArgumentException("'" + p.name() + "' would follow itself");
                }
                String parent = at.parent().get();
                at = byId.get(parent);
                if (at == null) {
                    throw new IllegalArgumentException(
                            "'" + p.name() + "' follows '" + parent + "', which is not there");
                }
            }
        }
    }

    public Optional<Part> part(String id) {
        return parts.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** The first part in this role and on this side. */
    public Optional<Part> part(PartRole role, Side side) {
        return parts.stream().filter(p -> p.role() == role && p.side() == side).findFirst();
    }

    /** The first part in this role, whatever its side. */
    public Optional<Part> part(PartRole role) {
        return parts.stream().filter(p -> p.role() == role).findFirst();
    }

    public Optional<Dial> dial(String id) {
        return dials.stream().filter(d -> d.id().equals(id)).findFirst();
    }

    public List<Part> childrenOf(String id) {
        return parts.stream().filter(p -> p.parent().equals(Optional.of(id))).toList();
    }

    public Character withName(String newName) {
        return new Character(
                newName, canvas, frameRate, palette, parts, order, windows, dials, pads, mouths, lexicon, notes);
    }

    public Character withPart(String id, UnaryOperator<Part> change) {
        List<Part> changed =
                parts.stream().map(p -> p.id().equals(id) ? change.apply(p) : p).toList();
        return new Character(
                name, canvas, frameRate, palette, changed, order, windows, dials, pads, mouths, lexicon, notes);
    }

    public Character withDials(List<Dial> newDials, List<Pad> newPads) {
        return new Character(
                name, canvas, frameRate, palette, parts, order, windows, newDials, newPads, mouths, lexicon, notes);
    }

    public Character withMouths(MouthChart chart) {
        return new Character(
                name, canvas, frameRate, palette, parts, order, windows, dials, pads, chart, lexicon, notes);
    }

    public Character withLexicon(Lexicon newLexicon) {
        return new Character(
                name, canvas, frameRate, palette, parts, order, windows, dials, pads, mouths, newLexicon, notes);
    }

    public Character withNotes(List<Note> newNotes) {
        return new Character(
                name, canvas, frameRate, palette, parts, order, windows, dials, pads, mouths, lexicon, newNotes);
    }
}
