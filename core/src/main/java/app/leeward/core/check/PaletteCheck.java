package app.leeward.core.check;

import app.leeward.core.edit.MergeColours;
import app.leeward.core.intake.NearColours;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Colours: no two that are so near that one of them is likely a slip. */
final class PaletteCheck implements Check {
    @Override
    public String id() {
        return "palette";
    }

    @Override
    public Harm harm(String code) {
        return Harm.UNTIDY;
    }

    @Override
    public Stream<Fault> find(Character c) {
        List<NearColours> near = NearColours.in(c.sheet().palette());
        if (near.isEmpty()) {
            return Stream.empty();
        }
        Map<String, String> into = near.stream()
                .collect(Collectors.toMap(n -> n.merge().colour(), n -> n.keep().colour(), (first, second) -> first));
        String message = near.size() == 1
                ? "Two colours can hardly be told apart: " + near.get(0).keep().name() + " and "
                        + near.get(0).merge().name() + "."
                : near.size() + " pairs of colours can hardly be told apart.";
        return Stream.of(new Fault("near", Subject.WHOLE, new Measure(near.size(), Unit.COUNT), message)
                .trying("Merge them", new MergeColours(into)));
    }
}
