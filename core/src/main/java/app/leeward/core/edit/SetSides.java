package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Mirror;
import app.leeward.core.rig.MirrorLink;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Side;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * Says which parts are on the character's left and which on its right; names follow. Made for the whole file at once: see
 * {@link app.leeward.core.intake.SideCheck}.
 */
public record SetSides(Map<String, Side> sides) implements PartEdit {
    public SetSides {
        sides = Collections.unmodifiableMap(new LinkedHashMap<>(sides));
        sides.values().forEach(side -> Objects.requireNonNull(side, "side"));
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Put " + sides.size() + (sides.size() == 1 ? " part" : " parts") + " on the other side by name";
    }

    @Override
    public Outcome on(Character before) {
        var gone = Edits.missing(before, List.copyOf(sides.keySet()));
        if (gone.isPresent()) {
            return Edits.noPart(gone.get());
        }
        List<Part> parts = before.rig().parts().stream()
                .map(p -> sides.containsKey(p.id()) ? sided(p, sides.get(p.id())) : p)
                .toList();
        Character now = before.withRig(rig -> rig.withParts(parts));
        List<MirrorLink> links = before.rig().links().stream()
                .map(l ->
                        now.part(l.left()).orElseThrow().side() == Side.RIGHT ? new MirrorLink(l.right(), l.left()) : l)
                .toList();
        return new Outcome.Done(now.withRig(rig -> rig.withLinks(links)));
    }

    private static Part sided(Part p, Side side) {
        if (p.side() == side) {
            return p;
        }
        String name = p.side() == Side.NONE || side == Side.NONE
                ? side.prefix() + bare(p.name())
                : Mirror.otherSide(p.name());
        return p.withRole(p.role(), side).withName(name);
    }

    private static String bare(String name) {
        String bare = name.replaceAll("(?i)\\b(left|right)\\b", "")
                .replaceAll("\\s+", " ")
                .strip();
        return bare.isEmpty() ? name : bare;
    }
}
