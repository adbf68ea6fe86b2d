package app.leeward.core.intake;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.Comparator;
import java.util.List;

/** Everything a talking head has a place for, what of it is there, and what each gap costs. */
public final class SlotBoard {
    private SlotBoard() {}

    public record Group(String name, List<Slot> slots) {}

    /** @param shown whether there is a place for it while nothing fills it: not for what most heads do without */
    private record Place(PartRole role, String name, String cost, boolean paired, boolean shown) {}

    private static Place one(PartRole role, String name, String cost) {
        return new Place(role, name, cost, false, true);
    }

    private static Place pair(PartRole role, String name, String cost) {
        return new Place(role, name, cost, true, true);
    }

    /** What a head may have besides. */
    private static Place also(PartRole role, boolean paired) {
        return new Place(role, role.words(), "", paired, false);
    }

    private record Shelf(String name, List<Place> places) {}

    private static final List<Shelf> SHELVES = List.of(
            new Shelf(
                    "Face",
                    List.of(
                            one(
                                    PartRole.FACE,
                                    "face skin",
                                    "features are not cut off at the edge of the face, and the head cannot turn"),
                            one(PartRole.NOSE, "nose", "the turn has no nose to lead it"),
                            one(PartRole.MOUTH, "mouth", "the character cannot talk"),
                            pair(PartRole.EAR, "ear", ""),
                            also(PartRole.INNER_EAR, true),
                            also(PartRole.FACE_LINE, false),
                            also(PartRole.MUZZLE, false),
                            also(PartRole.WHISKERS, true),
                            also(PartRole.BEARD, false),
                            also(PartRole.MOUSTACHE, false),
                            pair(PartRole.CHEEK, "cheek", ""),
                            one(PartRole.FRECKLES, "freckles", ""),
                            one(PartRole.VIEW, "views", ""))),
            new Shelf(
                    "Eyes and brows",
                    List.of(
                            pair(PartRole.WHITE, "white", "pupils and lids are not masked"),
                            pair(PartRole.IRIS, "iris", ""),
                            pair(PartRole.PUPIL, "pupil", "the eyes cannot look anywhere"),
                            pair(PartRole.HIGHLIGHT, "highlight", ""),
                            pair(PartRole.UPPER_LID, "upper lid", "the blink squashes the eye"),
                            pair(PartRole.LOWER_LID, "lower lid", "the blink uses the upper lid alone"),
                            pair(PartRole.EYE_OUTLINE, "outline", ""),
                            also(PartRole.LASHES, true),
                            also(PartRole.BLINK, true),
                            pair(PartRole.BROW, "brow", "no frown and no surprise"))),
            new Shelf(
                    "Hair and hat",
                    List.of(
                            one(PartRole.FRINGE, "fringe", ""),
                            one(PartRole.BACK_HAIR, "back hair", ""),
                            one(PartRole.EXTRA_HAIR, "extra hair", "the turned head may look bald on the near side"),
                            also(PartRole.SIDE_HAIR, true),
                            one(PartRole.CAP, "cap", ""),
                            also(PartRole.CAP_BAND, false),
                            also(PartRole.CAP_PEAK, false),
                            also(PartRole.CAP_BADGE, false),
                            also(PartRole.GLASSES, false),
                            also(PartRole.LENS, true),
                            also(PartRole.HORN, true),
                            also(PartRole.ANTENNA, false))),
            new Shelf(
                    "Body",
                    List.of(
                            one(PartRole.NECK, "neck", ""),
                            one(PartRole.TORSO, "torso", ""),
                            one(PartRole.COLLAR, "collar", ""),
                            pair(PartRole.UPPER_ARM, "upper arm", ""),
                            pair(PartRole.FOREARM, "forearm", ""),
                            pair(PartRole.HAND, "hand", ""),
                            also(PartRole.HIPS, false),
                            also(PartRole.THIGH, true),
                            also(PartRole.SHIN, true),
                            also(PartRole.FOOT, true),
                            also(PartRole.TAIL, false),
                            also(PartRole.PROP, false))));

    public static List<Group> of(Character c) {
        return SHELVES.stream()
                .map(s -> new Group(
                        s.name,
                        s.places.stream()
                                .filter(p -> p.shown
                                        || c.mainParts().stream()
                                                .anyMatch(q -> q.role() == p.role
                                                        && !q.drawings().isEmpty()))
                                .map(p -> slot(c, p))
                                .toList()))
                .toList();
    }

    private static Slot slot(Character c, Place place) {
        boolean views = place.role == PartRole.VIEW;
        List<String> parts = (views ? c.rig().parts() : c.mainParts())
                .stream()
                        .filter(p -> p.role() == place.role
                                && (views || !p.drawings().isEmpty()))
                        .sorted(Comparator.comparingInt(p -> switch (p.side()) {
                            case RIGHT -> 0;
                            case NONE -> 1;
                            case LEFT -> 2;
                        }))
                        .map(Part::id)
                        .toList();
        int wanted = place.paired ? 2 : 1;
        // a head that is exchanged brings its own hair with every view, and one without hair is bald already
        boolean hairless =
                c.part(PartRole.BACK_HAIR).isEmpty() && c.part(PartRole.FRINGE).isEmpty();
        // eyes look with irises that have their pupils drawn in them
        boolean irises = c.mainParts().stream()
                        .filter(p -> p.role() == PartRole.IRIS && !p.drawings().isEmpty())
                        .count()
                >= wanted;
        boolean needless = place.role == PartRole.EXTRA_HAIR
                        && (hairless || c.controls().views().isPresent())
                || place.role == PartRole.PUPIL && irises;
        String missing = needless || place.cost.isEmpty() || parts.size() >= wanted
                ? ""
                : parts.isEmpty() ? place.cost : "on one side only: " + place.cost + " there";
        return new Slot(place.role, place.name, place.cost, place.paired, parts, missing);
    }
}
