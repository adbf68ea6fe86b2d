package app.leeward.formats.timing;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * A shot frame by frame for programs: what is said and when, the value of every dial that moves, and what every part shows that shows
 * more than one drawing. What is held for several frames is written for each.
 */
public final class ShotJson extends TextExporter {
    private static final Format FORMAT = new Format(
            "shot-json",
            "JSON",
            "application/json",
            "json",
            Scope.SHOT,
            Family.TIMING,
            "words, sounds, dials and drawings frame by frame, for programs");
    private static final ObjectMapper JSON = new ObjectMapper();
    /** More digits than any picture shows. */
    private static final double DIGITS = 1e4;

    public ShotJson() {
        super(FORMAT);
    }

    @Override
    public List<String> losses(ExportSource source) {
        return List.of("How dials come from key to key: it has their values, frame by frame.");
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        Playhead playhead = source.playhead().orElseThrow();
        Shot shot = playhead.shot();
        ObjectNode out = JSON.createObjectNode()
                .put("format", "leeward-shot")
                .put("version", 1)
                .put("name", shot.name())
                .put("character", source.character().name())
                .put("frames", shot.frames())
                .put("frameRate", shot.rules().frameRate())
                .put("exposure", shot.rules().exposure());
        out.set("words", spans(Timing.words(shot)));
        out.set("sounds", spans(Timing.phones(shot)));
        frames(playhead, out.putObject("dials"), out.putObject("drawings"));
        return out + "\n";
    }

    private static ArrayNode spans(List<Timing.Span> all) {
        ArrayNode out = JSON.createArrayNode();
        all.forEach(s -> out.addObject()
                .put("text", s.text())
                .put("start", rounded(s.start()))
                .put("end", rounded(s.end())));
        return out;
    }

    private static double rounded(double value) {
        return Math.round(value * DIGITS) / DIGITS;
    }

    private static void frames(Playhead playhead, ObjectNode dials, ObjectNode drawings) {
        Character c = playhead.evaluator().character();
        int frames = playhead.shot().frames();
        double[][] values = new double[c.controls().dials().size()][frames];
        String[][] shown = new String[c.rig().parts().size()][frames];
        for (int f = 0; f < frames; f++) {
            Pose pose = playhead.poseAt(f, Pose.REST);
            Frame frame = playhead.evaluator().frame(pose);
            for (int d = 0; d < values.length; d++) {
                values[d][f] = rounded(
                        playhead.evaluator().setting(c.controls().dials().get(d).id(), pose));
            }
            for (int p = 0; p < shown.length; p++) {
                shown[p][f] = frame.of(c.rig().parts().get(p).id())
                        .map(Frame.Placed::drawing)
                        .orElse(Part.NOTHING);
            }
        }
        for (int d = 0; d < values.length; d++) {
            Dial dial = c.controls().dials().get(d);
            double rest = rounded(dial.rest());
            boolean moves = false;
            for (double v : values[d]) {
                moves |= v != rest;
            }
            if (moves) {
                ArrayNode all = dials.putArray(dial.id());
                for (double v : values[d]) {
                    all.add(v);
                }
            }
        }
        for (int p = 0; p < shown.length; p++) {
            Set<String> different = new HashSet<>(List.of(shown[p]));
            if (different.size() > 1) {
                ArrayNode all = drawings.putArray(c.rig().parts().get(p).id());
                for (String d : shown[p]) {
                    all.add(d);
                }
            }
        }
    }
}
