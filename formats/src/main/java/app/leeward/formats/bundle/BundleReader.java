package app.leeward.formats.bundle;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.Sha256;
import app.leeward.formats.json.ArtworkMap;
import app.leeward.formats.json.NewerSchema;
import app.leeward.formats.json.StoredJson;
import app.leeward.formats.raster.Archive;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/** Reads bundles back, from this version and from older ones. Everything is looked at before anything is given on. */
public final class BundleReader {
    /** Bytes of memory for each that a bundle unpacks to: as it is, as text, and as what is read from it. */
    private static final int COST = 4;

    private static final int LONGEST_MANIFEST = 8 * 1024 * 1024;
    private static final String HASHED = "(artwork/%1$s\\.json|images/%1$s\\.png|sounds/%1$s\\.wav)";
    private static final ObjectMapper JSON =
            new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

    private BundleReader() {}

    /** Whether a file means to be a bundle, whatever it is called. */
    public static boolean is(byte[] file) {
        if (file.length < 4 || file[0] != 'P' || file[1] != 'K') {
            return false;
        }
        try (Archive zip = Archive.open(file, Archive.MOST_OF_ANY)) {
            return zip.has(Manifest.PATH);
        } catch (ArtProblem e) {
            // what is broken is told by whoever reads it
            return false;
        }
    }

    /**
     * Bytes of memory that reading a bundle takes, about: all of it is looked at before anything is given on.
     *
     * @throws ArtProblem when it cannot be read or must not be
     */
    public static long cost(byte[] file) {
        try (Archive zip = Archive.open(file, Archive.MOST_OF_ANY)) {
            return file.length + COST * zip.unpacked();
        }
    }

    /**
     * @param unknown told each property that is not known here
     * @throws ArtProblem when something of it is missing, damaged or of a newer version
     */
    public static Bundle read(byte[] file, Consumer<String> unknown) {
        try (Archive zip = Archive.open(file, Archive.MOST_OF_ANY)) {
            Manifest manifest = manifest(zip);
            Map<String, byte[]> files = verified(zip, manifest);
            return read(manifest, files, unknown);
        }
    }

    private static Manifest manifest(Archive zip) {
        byte[] text = zip.read(Manifest.PATH);
        if (text.length > LONGEST_MANIFEST) {
            throw problem("bundle-broken", Manifest.PATH, "The bundle's table of contents is too long.");
        }
        Manifest manifest;
        try {
            manifest = JSON.readValue(text, Manifest.class);
        } catch (IOException e) {
            throw problem("bundle-broken", Manifest.PATH, "The bundle's table of contents cannot be read.");
        }
        if (!Manifest.FORMAT.equals(manifest.format())) {
            throw problem("bundle-broken", Manifest.PATH, "This is no bundle of Leeward.");
        }
        if (manifest.version() > Manifest.VERSION || manifest.schema() > StoredJson.SCHEMA) {
            throw problem(
                    "bundle-newer",
                    Manifest.PATH,
                    "A newer version of Leeward wrote this bundle. Bring this one up to date to take it in.");
        }
        if (manifest.version() < 1 || manifest.schema() < 1 || manifest.character() == null) {
            throw problem("bundle-broken", Manifest.PATH, "The bundle's table of contents is not complete.");
        }
        return manifest;
    }

    /** Every file that is listed, with the length and the hash that are listed; nothing else may be there. */
    private static Map<String, byte[]> verified(Archive zip, Manifest manifest) {
        for (String path : zip.names()) {
            if (!path.equals(Manifest.PATH) && !manifest.files().containsKey(path)) {
                throw problem(
                        "bundle-foreign", path, "The bundle holds a file that its table of contents does not know.");
            }
        }
        Map<String, byte[]> files = new HashMap<>();
        manifest.files().forEach((path, entry) -> {
            if (!zip.has(path)) {
                throw problem("bundle-incomplete", path, "A file of the bundle is missing.");
            }
            byte[] bytes = zip.read(path);
            String hash = Sha256.of(bytes);
            if (entry == null || bytes.length != entry.bytes() || !hash.equals(entry.sha256())) {
                throw problem("bundle-damaged", path, "A file of the bundle is not what was put in.");
            }
            boolean hashed = path.startsWith("artwork/") || path.startsWith("images/") || path.startsWith("sounds/");
            if (hashed && !path.matches(String.format(HASHED, hash))) {
                throw problem(
                        "bundle-damaged", path, "A file of the bundle bears a wrong name: it is kept by its hash.");
            }
            files.put(path, bytes);
        });
        return files;
    }

    private static Bundle read(Manifest manifest, Map<String, byte[]> files, Consumer<String> unknown) {
        ArtworkMap art = new ArtworkMap();
        Map<String, byte[]> images = new HashMap<>();
        Map<String, byte[]> sounds = new HashMap<>();
        files.forEach((path, bytes) -> {
            String stem = path.replaceAll("^.*/|\\.[a-z]+$", "");
            if (path.startsWith("artwork/")) {
                art.put(stem, new String(bytes, StandardCharsets.UTF_8));
            } else if (path.startsWith("images/")) {
                images.put(stem, bytes);
            } else if (path.startsWith("sounds/")) {
                sounds.put(stem, bytes);
            }
        });
        StoredJson stored = new StoredJson(art, unknown);
        Character character = document(stored, manifest, files, manifest.character(), Character.class);
        List<Shot> shots = new ArrayList<>();
        for (String path : manifest.shots()) {
            shots.add(document(stored, manifest, files, path, Shot.class));
        }
        Bundle bundle = new Bundle(character, shots, images, sounds);
        requireWhole(bundle, art.images());
        return bundle;
    }

    private static <T> T document(
            StoredJson stored, Manifest manifest, Map<String, byte[]> files, String path, Class<T> type) {
        byte[] text = files.get(path);
        if (text == null) {
            throw problem("bundle-incomplete", path, "A file of the bundle is missing.");
        }
        try {
            return stored.read(manifest.schema(), new String(text, StandardCharsets.UTF_8), type);
        } catch (NewerSchema e) {
            throw problem("bundle-newer", path, e.getMessage());
        } catch (RuntimeException e) {
            throw problem("bundle-broken", path, "A file of the bundle cannot be read: " + reason(e));
        }
    }

    private static String reason(Throwable e) {
        Throwable root = e;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        String told = root.getMessage() == null ? root.getClass().getSimpleName() : root.getMessage();
        String line = told.lines().findFirst().orElse("");
        return line.length() > 200 ? line.substring(0, 200) + "…" : line;
    }

    /** What drawings and lines refer to must be there: it would be missed only when it is shown. */
    private static void requireWhole(Bundle bundle, Set<String> pictures) {
        for (String hash : pictures) {
            if (!bundle.images().containsKey(hash)) {
                throw problem(
                        "bundle-incomplete",
                        "images/" + hash + ".png",
                        "A picture that a drawing is made of is missing.");
            }
        }
        bundle.shots().forEach(s -> s.lines().forEach(l -> {
            if (!bundle.recordings().containsKey(l.line().sound())) {
                throw problem(
                        "bundle-incomplete",
                        "sounds/" + l.line().sound() + ".wav",
                        "The recording of a line in '" + s.name() + "' is missing.");
            }
        }));
    }

    private static ArtProblem problem(String code, String place, String message) {
        return new ArtProblem(code, place, message);
    }
}
