package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Model;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.Map;
import java.util.Optional;

/** Reads the first model lines off the art: they are dragged to where they belong afterwards. */
final class ModelLines {
    private ModelLines() {}

    static Model readOff(Character c) {
        Model model = c.sheet().model();
        Optional<Part> skin = c.part(PartRole.FACE).or(() -> c.part(PartRole.HEAD));
        Optional<Box> face = skin.flatMap(Part::bounds);
        Map<String, String> views = c.rig().views();
        Optional<String> view = skin.map(p -> views.get(p.id()));
        Optional<Double> top = c.rig().parts().stream()
                // other views of the head may be drawn to another size
                .filter(p -> view.equals(Optional.ofNullable(views.get(p.id()))))
                .filter(p -> p.role() == PartRole.FACE || p.role() == PartRole.FRINGE || p.role() == PartRole.BACK_HAIR)
                .flatMap(p -> p.bounds().stream())
                .map(Box::minY)
                .reduce(Math::min);
        if (top.isPresent()) {
            model = model.with(new ModelLine(ModelLine.TOP, top.get()));
        }
        if (face.isPresent()) {
            model = model.with(new ModelLine(ModelLine.CHIN, face.get().maxY()));
        }
        return model;
    }
}
