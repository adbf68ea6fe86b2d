package app.leeward.formats.bundle;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Shot;
import app.leeward.formats.art.Sha256;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.FileName;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.PlainZip;
import app.leeward.formats.export.Scope;
import app.leeward.formats.json.ArtworkMap;
import app.leeward.formats.json.StoredJson;
import app.leeward.formats.svg.DrawingSvg;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/** Writes bundles. The same content always gives the same bytes: nothing in one says when it was made. */
public final class BundleWriter implements Exporter {
    private static final Format FORMAT = new Format(
            "bundle",
            "Bundle",
            "application/zip",
            "leeward.zip",
            Scope.CHARACTER,
            Family.BUNDLE,
            "character, shots, recordings: to go on with in another Leeward");
    private static final ObjectMapper JSON = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public List<String> losses(ExportSource source) {
        return List.of("What was done so far: it holds what stands now.");
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        ExportSource.Everything all = source.everything().get();
        write(source.character(), all.shots(), source.images(), all.recordings(), out);
    }

    /** @param recordings the WAV file of a recording by its hash */
    public static void write(
            Character character,
            List<Shot> all,
            ImageShelf images,
            Function<String, byte[]> recordings,
            OutputStream out)
            throws IOException {
        ArtworkMap art = new ArtworkMap();
        StoredJson stored = new StoredJson(art, property -> {});
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("character.json", utf8(stored.write(Character.class, character)));
        List<String> shots = new ArrayList<>();
        for (Shot s : all) {
            String path = String.format("shots/%03d-%s.json", shots.size() + 1, FileName.stem(s.name()));
            files.put(path, utf8(stored.write(Shot.class, s)));
            shots.add(path);
        }
        art.texts().forEach((hash, text) -> files.put("artwork/" + hash + ".json", utf8(text)));
        art.images().forEach(hash -> files.put("images/" + hash + ".png", images.png(hash)));
        for (Shot s : all) {
            for (PlacedLine l : s.lines()) {
                String hash = l.line().sound();
                files.computeIfAbsent("sounds/" + hash + ".wav", path -> recordings.apply(hash));
            }
        }
        drawings(character, images, files);

        Map<String, Manifest.FileEntry> entries = new TreeMap<>();
        files.forEach((path, bytes) -> entries.put(path, new Manifest.FileEntry(Sha256.of(bytes), bytes.length)));
        Manifest manifest = new Manifest(
                Manifest.FORMAT,
                Manifest.VERSION,
                StoredJson.SCHEMA,
                character.name(),
                "character.json",
                shots,
                entries);
        PlainZip zip = new PlainZip(out);
        zip.put(Manifest.PATH, JSON.writeValueAsBytes(manifest));
        for (Map.Entry<String, byte[]> f : files.entrySet()) {
            zip.put(f.getKey(), f.getValue());
        }
        zip.finish();
    }

    /** Every drawing for those who have no Leeward; they are not read back. */
    private static void drawings(Character character, ImageShelf images, Map<String, byte[]> files) {
        for (Part p : character.rig().parts()) {
            for (Drawing d : p.drawings()) {
                String path = "drawings/" + FileName.stem(p.id()) + "/" + FileName.stem(d.id());
                String free = path;
                for (int n = 2; files.containsKey(free + ".svg"); n++) {
                    free = path + "-" + n;
                }
                files.put(free + ".svg", utf8(DrawingSvg.write(character, d, images)));
            }
        }
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
