package app.leeward.formats.timing;

import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotNote;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.FileName;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/**
 * A shot as an OpenTimelineIO timeline: a clip of its film, a clip of its sound, a marker for each caption and note. The files are the
 * ones that are handed over beside it.
 */
public final class Timeline implements Exporter {
    private static final Format FORMAT = new Format(
            "timeline-otio",
            "OpenTimelineIO",
            "application/vnd.pixar.opentimelineio+json",
            "otio",
            Scope.SHOT,
            Family.TIMING,
            "film and sound as clips, captions and notes as markers");
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final ObjectMapper WRITER = new ObjectMapper().disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public List<String> losses(ExportSource source) {
        String stem = FileName.stem(source.shot().map(Shot::name).orElse(""));
        return List.of("It refers to " + stem + ".webm and " + stem + ".wav, which are handed over beside it.");
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        WRITER.writerWithDefaultPrettyPrinter()
                .writeValue(out, of(source.playhead().orElseThrow()));
    }

    static ObjectNode of(Playhead playhead) {
        Shot shot = playhead.shot();
        String stem = FileName.stem(shot.name());
        ObjectNode stack = item("Stack.1", "tracks");
        ArrayNode tracks = stack.putArray("children");
        ObjectNode picture = clip(shot, stem + ".webm");
        ArrayNode markers = JSON.arrayNode();
        for (ShotNote n : shot.tracks().notes()) {
            markers.add(marker(shot, n.text(), n.from(), Math.min(shot.frames(), n.to()), "RED"));
        }
        picture.set("markers", markers);
        tracks.add(track("Video", picture));
        if (!shot.lines().isEmpty()) {
            ObjectNode sound = clip(shot, stem + ".wav");
            ArrayNode said = JSON.arrayNode();
            int rate = shot.rules().frameRate();
            for (Timing.Span c : Captions.of(shot)) {
                int from = (int) Math.floor(c.start() * rate + 1e-6);
                said.add(marker(shot, c.text().replace('\n', ' '), from, (int) Math.ceil(c.end() * rate), "GREEN"));
            }
            sound.set("markers", said);
            tracks.add(track("Audio", sound));
        }
        ObjectNode timeline = JSON.objectNode().put("OTIO_SCHEMA", "Timeline.1");
        timeline.putObject("metadata")
                .putObject("leeward")
                .put("character", playhead.evaluator().character().name());
        timeline.put("name", shot.name()).putNull("global_start_time").set("tracks", stack);
        return timeline;
    }

    private static ObjectNode item(String schema, String name) {
        ObjectNode out = JSON.objectNode().put("OTIO_SCHEMA", schema);
        out.putObject("metadata");
        out.put("name", name).putNull("source_range");
        out.putArray("effects");
        out.putArray("markers");
        return out.put("enabled", true);
    }

    private static ObjectNode track(String kind, ObjectNode clip) {
        ObjectNode track = item("Track.1", kind).put("kind", kind);
        track.putArray("children").add(clip);
        return track;
    }

    private static ObjectNode clip(Shot shot, String file) {
        ObjectNode clip = item("Clip.1", shot.name());
        clip.set("source_range", range(shot, 0, shot.frames()));
        ObjectNode media = clip.putObject("media_reference").put("OTIO_SCHEMA", "ExternalReference.1");
        media.putObject("metadata");
        media.put("name", "").set("available_range", range(shot, 0, shot.frames()));
        media.put("target_url", file);
        return clip;
    }

    private static ObjectNode marker(Shot shot, String name, int from, int to, String colour) {
        ObjectNode marker = JSON.objectNode().put("OTIO_SCHEMA", "Marker.2");
        marker.putObject("metadata");
        marker.put("name", name).put("color", colour);
        marker.set("marked_range", range(shot, from, Math.max(from, to)));
        return marker;
    }

    private static ObjectNode range(Shot shot, int from, int to) {
        ObjectNode range = JSON.objectNode().put("OTIO_SCHEMA", "TimeRange.1");
        range.set("start_time", time(shot, from));
        range.set("duration", time(shot, to - from));
        return range;
    }

    private static ObjectNode time(Shot shot, int frames) {
        return JSON.objectNode()
                .put("OTIO_SCHEMA", "RationalTime.1")
                .put("rate", (double) shot.rules().frameRate())
                .put("value", (double) frames);
    }
}
