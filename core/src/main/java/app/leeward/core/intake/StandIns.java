package app.leeward.core.intake;

import app.leeward.core.art.Drawing;
import app.leeward.core.rig.PartRole;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Layers called by what a part does or wears, or by a piece of it: a smile or a lip is the mouth, a jersey the torso. Only where no layer has the role by its own name,
 * since a mouth may have a smile among its drawings, and an arm a jersey.
 */
final class StandIns {
    private static final Map<PartRole, List<String>> WORDS = new EnumMap<>(
            Map.of(
                    PartRole.MOUTH,
                    words("smile grin smirk frown lacheln laecheln grinsen sourire sonrisa"),
                    PartRole.TORSO,
                    words(
                            "jersey jumper sweater hoodie jacket vest uniform suit blouse clothes clothing top outfit robe raincoat ribs pullover"
                                    + " jacke kleid kleidung hemd bluse veste pull chemise vetements chaqueta camisa ropa vestido")));

    private StandIns() {}

    private static List<String> words(String all) {
        return List.of(all.split(" "));
    }

    static void take(List<LayerReading.Found> found) {
        WORDS.forEach((role, words) -> {
            if (found.stream().noneMatch(f -> f.role == role)) {
                List<LayerReading.Found> may = found.stream()
                        .filter(f -> f.role == PartRole.OTHER && f.firstVisible != null && f.drawings.size() == 1)
                        .toList();
                may.stream()
                        .filter(f -> called(f.name, words))
                        .findFirst()
                        .or(() -> may.stream()
                                .filter(f -> role == PartRole.MOUTH && ShapeNames.lips(f.name))
                                .findFirst())
                        .ifPresent(f -> found.set(found.indexOf(f), as(f, role)));
            }
        });
    }

    private static boolean called(String name, List<String> words) {
        List<String> said = PartNames.words(name);
        return !said.isEmpty() && words.containsAll(said);
    }

    private static LayerReading.Found as(LayerReading.Found f, PartRole role) {
        LayerReading.Found part = f.as(role, role.words());
        if (role == PartRole.MOUTH) {
            Drawing drawn = f.drawings.get(0);
            part.drawings.set(0, LayerReading.mouth(drawn, MouthPieces.named(f)));
        }
        return part;
    }
}
