package app.leeward.core.rig;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** The default order of a talking head, back to front; common practice of the trade, no source. */
public final class StackingOrder {
    private static final List<PartRole> BACK_TO_FRONT = List.of(
            PartRole.BACK_HAIR,
            PartRole.UPPER_ARM,
            PartRole.TORSO,
            PartRole.NECK,
            PartRole.COLLAR,
            PartRole.HEAD,
            PartRole.HORN,
            PartRole.ANTENNA,
            PartRole.EAR,
            PartRole.INNER_EAR,
            PartRole.FACE,
            PartRole.FACE_LINE,
            PartRole.CHEEK,
            PartRole.FRECKLES,
            PartRole.MUZZLE,
            PartRole.WHISKERS,
            PartRole.EYE,
            PartRole.WHITE,
            PartRole.IRIS,
            PartRole.PUPIL,
            PartRole.HIGHLIGHT,
            PartRole.LOWER_LID,
            PartRole.UPPER_LID,
            PartRole.EYE_OUTLINE,
            PartRole.LASHES,
            PartRole.BLINK,
            PartRole.BEARD,
            PartRole.MOUTH,
            PartRole.MOUSTACHE,
            PartRole.NOSE,
            PartRole.SIDE_HAIR,
            PartRole.EXTRA_HAIR,
            PartRole.FRINGE,
            PartRole.BROW,
            PartRole.LENS,
            PartRole.GLASSES,
            PartRole.CAP,
            PartRole.CAP_BAND,
            PartRole.CAP_BADGE,
            PartRole.CAP_PEAK,
            PartRole.FOREARM,
            PartRole.HAND);

    private StackingOrder() {}

    /** Parts of one role keep their order; a part without a role stays in front of the part it lay in front of. */
    public static List<String> byRole(Character c) {
        Map<PartRole, Integer> rank = new EnumMap<>(PartRole.class);
        BACK_TO_FRONT.forEach(r -> rank.put(r, rank.size()));
        record Ranked(String id, int rank) {}
        List<Ranked> all = new ArrayList<>();
        int last = -1;
        for (String id : c.rig().order()) {
            PartRole role = c.part(id).orElseThrow().role();
            last = rank.getOrDefault(role, last);
            all.add(new Ranked(id, last));
        }
        all.sort(Comparator.comparingInt(Ranked::rank));
        return all.stream().map(Ranked::id).toList();
    }
}
