package app.leeward.bench;

import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.util.List;

/** The faces that figures are taken of. */
final class Faces {
    private Faces() {}

    /** Maren as she is hung when her drawing is dropped. */
    static Character maren() {
        LayeredArt art = ArtReader.read(DemoFiles.maren());
        return ((IntakeResult.Hung) art.assembled("Maren", 24)).character();
    }

    static Character after(Character c, List<Edit> edits) {
        Character now = c;
        for (Edit e : edits) {
            now = ((Outcome.Done) Edits.apply(now, e)).character();
        }
        return now;
    }
}
