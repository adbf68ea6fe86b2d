package app.leeward.formats.live;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.FileName;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.PlainZip;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The rig alive outside: a custom element, the character as one file for it, its lines' sound, and a page that shows how. */
public final class LiveFace implements Exporter {
    /** Where the page's build leaves the element, on the class path. */
    static final String ELEMENT = "/live/leeward-face.js";

    private static final Format FORMAT = new Format(
            "live-face",
            "Live face",
            "application/zip",
            "face.zip",
            Scope.CHARACTER,
            Family.LIVE,
            "one element and one file for any page, with every dial, look and line");
    /** The files of the page that shows how. */
    private static final List<String> PAGE = List.of("index.html", "page.css", "page.js");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public List<String> losses(ExportSource source) {
        return List.of("What it is edited with: a bundle goes on elsewhere, a live face is only played.");
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        Character c = source.character();
        ExportSource.Everything all = source.everything().get();
        String stem = FileName.stem(c.name());
        Map<String, Shot> lines = new LinkedHashMap<>();
        Map<String, String> sounds = new LinkedHashMap<>();
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (Shot s : all.shots()) {
            String name = free(FileName.stem(s.name()), lines);
            lines.put(name, s);
            Optional<byte[]> heard = all.sounds().apply(s);
            heard.ifPresent(wav -> {
                sounds.put(name, name + ".wav");
                files.put(name + ".wav", wav);
            });
        }
        PlainZip zip = new PlainZip(out);
        for (String file : PAGE) {
            zip.put(file, filled(new String(resource(file), StandardCharsets.UTF_8), c, stem));
        }
        zip.put("leeward-face.js", resource(ELEMENT));
        zip.put(stem + ".face", FaceFile.write(c, lines, sounds, source.images()));
        for (Map.Entry<String, byte[]> f : files.entrySet()) {
            zip.put(f.getKey(), f.getValue());
        }
        zip.finish();
    }

    private static String free(String name, Map<String, Shot> taken) {
        String free = name;
        for (int n = 2; taken.containsKey(free); n++) {
            free = name + "-" + n;
        }
        return free;
    }

    private static byte[] filled(String page, Character c, String stem) {
        return page.replace("{{face}}", stem + ".face")
                .replace("{{name}}", escaped(c.name()))
                .getBytes(StandardCharsets.UTF_8);
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }

    private static byte[] resource(String path) throws IOException {
        try (InputStream in = LiveFace.class.getResourceAsStream(path)) {
            if (in == null) {
                throw new IllegalStateException("this program was built without " + path);
            }
            return in.readAllBytes();
        }
    }
}
