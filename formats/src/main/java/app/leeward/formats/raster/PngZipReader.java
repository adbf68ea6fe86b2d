package app.leeward.formats.raster;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Note;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Reads a ZIP of PNG files, one a layer, named as the layer; folders are groups. Pictures are laid on each other at their top
 * left corners. Where every name begins with a number, the numbers say what lies behind what; otherwise roles do.
 */
final class PngZipReader {
    private final Pixels pixels = new Pixels();
    private final List<Note> notes = new ArrayList<>();
    private double width = 1;
    private double height = 1;

    private PngZipReader() {}

    static LayeredArt read(Archive files) {
        return new PngZipReader().art(files);
    }

    private static final class Folder {
        final Map<String, Folder> folders = new LinkedHashMap<>();
        final Map<String, Layer> layers = new LinkedHashMap<>();
    }

    private LayeredArt art(Archive files) {
        Set<String> pictures = new TreeSet<>();
        files.names().forEach(name -> {
            boolean junk = name.startsWith("__MACOSX") || stem(name).startsWith(".");
            if (!junk && name.toLowerCase(Locale.ROOT).endsWith(".png")) {
                pictures.add(name);
            } else if (!junk) {
                notes.add(new Note(
                        "file-not-read", name, "'" + name + "' in the archive is not a PNG and was left out."));
            }
        });
        if (pictures.isEmpty()) {
            throw new ArtProblem(
                    "zip-without-art",
                    "the whole file",
                    "The archive holds neither an OpenRaster stack nor PNG layers.");
        }
        boolean numbered = pictures.stream().allMatch(n -> stem(n).matches("\\d+.*"));
        Folder root = new Folder();
        pictures.forEach(name -> add(root, name, files.read(name), numbered));
        return new LayeredArt(
                Optional.empty(), new Canvas(width, height), layer("", root), notes, pixels.images(), numbered);
    }

    private void add(Folder root, String name, byte[] content, boolean numbered) {
        int[] size = pixels.size(content, name);
        width = Math.max(width, size[0]);
        height = Math.max(height, size[1]);
        Folder at = root;
        String[] path = name.split("/");
        for (int i = 0; i < path.length - 1; i++) {
            at = at.folders.computeIfAbsent(path[i], k -> new Folder());
        }
        String label = numbered ? stem(name).replaceFirst("^\\d+[\\s_.-]*", "") : stem(name);
        Optional<Shape> shape = pixels.shape(content, name, "", Matrix.IDENTITY, 1);
        List<Layer.Node> nodes =
                shape.map(s -> List.<Layer.Node>of(new Layer.Leaf(s))).orElse(List.of());
        at.layers.put(name, new Layer(label.isBlank() ? stem(name) : label, false, nodes));
    }

    private static Layer layer(String name, Folder folder) {
        List<Layer.Node> nodes = new ArrayList<>();
        folder.folders.forEach((n, f) -> nodes.add(new Layer.Group(layer(n, f))));
        folder.layers.values().forEach(l -> nodes.add(new Layer.Group(l)));
        return new Layer(name, false, nodes);
    }

    private static String stem(String name) {
        return name.replaceAll(".*/", "").replaceAll("(?i)\\.png$", "");
    }
}
