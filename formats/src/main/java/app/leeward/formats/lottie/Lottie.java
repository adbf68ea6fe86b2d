package app.leeward.formats.lottie;

import app.leeward.core.art.Drawing;
import app.leeward.core.motion.Motion;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Scope;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;

/** A shot as a Lottie animation. */
public final class Lottie implements Exporter {
    private static final Format FORMAT = new Format(
            "lottie",
            "Lottie",
            "application/json",
            "json",
            Scope.SHOT,
            Family.ANIMATION,
            "masks kept, palette as slots");
    private static final ObjectMapper JSON = new ObjectMapper().disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public List<String> losses(ExportSource source) {
        List<String> all = new ArrayList<>(Losses.sound(source));
        for (Part p : source.character().rig().parts()) {
            for (Drawing d : p.drawings()) {
                if (d.art().shapes().stream().anyMatch(Repeated::cannotBeSaid)) {
                    all.add("The repeated gradient about a focus in “" + d.name() + "” ends in its last colour.");
                }
            }
        }
        return all;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        Shot shot = source.shot().orElseThrow();
        JSON.writeValue(
                out,
                LottieWriter.write(
                        source.character(),
                        shot.name(),
                        Motion.of(source.playhead().orElseThrow()),
                        source.images(),
                        shot.rules().exposure() > 1));
    }
}
