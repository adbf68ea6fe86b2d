package app.leeward.e2e;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.MakeDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eye.ReadyMade;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.demo.DemoFiles;
import app.leeward.faces.Face;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A face that was read and rigged by one click after the other. */
record RiggedFace(Character character, ImageShelf images) {
    /** A seeded one; empty for the few that have too little to hang. */
    static Optional<RiggedFace> of(long seed) throws Exception {
        return of(Face.of(seed).svg().getBytes(StandardCharsets.UTF_8));
    }

    static Optional<RiggedFace> of(byte[] file) {
        LayeredArt read = ArtReader.read(file);
        IntakeResult result = read.assembled("face", 24);
        if (!(result instanceof IntakeResult.Hung hung)) {
            return Optional.empty();
        }
        Character c = hung.character();
        List<Edit> edits = new ArrayList<>(List.of(new BuildEyes(), MakeTurn.of(Optional.empty()), new MakeBrows()));
        for (ReadyMade dial : ReadyMade.values()) {
            edits.add(new MakeDial(dial));
        }
        edits.addAll(List.of(new MakeLooks(), new MakeCues()));
        for (Edit e : edits) {
            // what lacks what an edit needs does without
            c = Edits.apply(c, e) instanceof Outcome.Done done ? done.character() : c;
        }
        return Optional.of(new RiggedFace(c, hash -> read.images().get(hash)));
    }

    /**
     * What is tried elsewhere: the files named by {@code -Dfaces=a,b}, else the demo, the file of every feature and some seeded ones.
     */
    static List<RiggedFace> tried(long first, int seeded) throws Exception {
        List<RiggedFace> faces = new ArrayList<>();
        String more = System.getProperty("faces");
        if (more != null) {
            for (String file : more.split(",")) {
                faces.add(of(Files.readAllBytes(Path.of(file))).orElseThrow());
            }
            return faces;
        }
        faces.add(of(DemoFiles.maren()).orElseThrow());
        faces.add(of(Files.readAllBytes(Path.of("src/test/resources/art/features.svg")))
                .orElseThrow());
        for (long seed = first; seed < first + seeded; seed++) {
            of(seed).ifPresent(faces::add);
        }
        return faces;
    }
}
