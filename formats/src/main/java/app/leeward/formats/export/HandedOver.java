package app.leeward.formats.export;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.shot.Shot;
import app.leeward.formats.art.Sha256;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Several formats in one ZIP, with {@code manifest.json}: every file with its format, length and SHA-256, and every format that could
 * not be made with the reason.
 */
public final class HandedOver {
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private HandedOver() {}

    /**
     * @param chosen options by their ids, for whichever format has them
     * @throws IOException only from {@code out}
     */
    public static void write(
            List<Exporter> exporters, ExportSource source, Map<String, Double> chosen, OutputStream out)
            throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out);
        ObjectNode manifest =
                JSON.createObjectNode().put("character", source.character().name());
        source.shot().ifPresent(s -> manifest.put("shot", s.name()));
        ArrayNode files = manifest.putArray("files");
        ArrayNode leftOut = manifest.putArray("leftOut");
        Set<String> taken = new HashSet<>(Set.of("manifest.json"));
        for (int i = 0; i < exporters.size(); i++) {
            Exporter e = exporters.get(i);
            ExportWork part = source.work().part(i, exporters.size());
            part.reached(0);
            ByteArrayOutputStream file = new ByteArrayOutputStream();
            try {
                e.write(source.withWork(part), Choices.among(e.options(), chosen), file);
            } catch (Refusal r) {
                leftOut.addObject().put("format", e.format().id()).put("reason", r.getMessage());
                continue;
            }
            String name = name(e.format(), source);
            if (!taken.add(name)) {
                name = e.format().id() + "-" + name;
                taken.add(name);
            }
            byte[] bytes = file.toByteArray();
            zip.putNextEntry(new ZipEntry(name));
            zip.write(bytes);
            zip.closeEntry();
            files.addObject()
                    .put("file", name)
                    .put("format", e.format().id())
                    .put("bytes", bytes.length)
                    .put("sha256", Sha256.of(bytes));
        }
        zip.putNextEntry(new ZipEntry("manifest.json"));
        zip.write(JSON.writeValueAsBytes(manifest));
        zip.closeEntry();
        zip.finish();
    }

    /** What a file of a format is called: after the shot or the character it is of, so that what belongs together sorts together. */
    public static String name(Format format, ExportSource source) {
        return stem(format, source) + what(format) + "." + format.extension();
    }

    /**
     * The same for a file that is made alone, with the version it is of, so that later ones sort behind.
     *
     * @param frame the frame of the shot that is shown; null for none
     * @param version of what it is called after
     */
    public static String name(Format format, ExportSource source, Integer frame, int version) {
        boolean moment = format.scope() == Scope.POSE && source.shot().isPresent() && frame != null;
        return stem(format, source) + what(format) + version(version)
                + (moment ? String.format(Locale.ROOT, "-%05d", frame + 1) : "") + "." + format.extension();
    }

    /** What the archive is called. */
    public static String name(ExportSource source, int version) {
        return FileName.stem(
                        source.shot().map(Shot::name).orElse(source.character().name())) + "-hand-over"
                + version(version) + ".zip";
    }

    private static String version(int version) {
        return String.format(Locale.ROOT, "-v%04d", version);
    }

    private static String stem(Format format, ExportSource source) {
        String character = source.character().name();
        return FileName.stem(
                format.scope() == Scope.SHOT ? source.shot().map(Shot::name).orElse(character) : character);
    }

    private static String what(Format format) {
        return switch (format.family()) {
            case PAGES -> "-" + format.id().replaceAll("-[a-z]+$", "");
            case TIMING -> format.id().startsWith("exposure") ? "-exposure" : "";
            default -> "";
        };
    }
}
