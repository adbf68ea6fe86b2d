package app.leeward.page.codec;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Redrawn;
import app.leeward.core.eval.Reason;
import app.leeward.core.live.LiveSettings;
import app.leeward.core.live.LiveTake;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Joint;
import app.leeward.core.rig.Part;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Strip;
import app.leeward.core.shot.Track;
import app.leeward.formats.json.Kinds;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Writes {@code app.leeward.page.json.Codec}: for every record that a character, a shot, an edit, a frame, a joint or a reason
 * is made of, one method that reads it and one that writes it, in the form {@link app.leeward.formats.json.LeewardJson} gives it.
 */
public final class CodecSource {
    private static final List<Class<?>> ROOTS = List.of(
            Character.class,
            Shape.class,
            Shot.class,
            ShotEdit.class,
            Strip.class,
            Track.class,
            LiveTake.class,
            LiveSettings.class,
            Edit.class,
            Redrawn.class,
            Frame.class,
            Joint.class,
            Reason.class);

    /** What has a form of its own, written by hand in {@code Forms}. */
    private static final Map<Class<?>, String> OWN_FORM =
            Map.of(Path.class, "Path", Matrix.class, "Matrix", Point.class, "Point", Offset.class, "Offset");

    private static final Map<Class<?>, Kinds<?>> CHOICES =
            Kinds.ALL.stream().collect(Collectors.toMap(Kinds::sealed, k -> k));

    /** What is left out when it is empty, as in the frames the server sends. */
    private static final Map<Class<?>, Set<String>> LEFT_OUT =
            Map.of(Frame.Placed.class, Set.of("outlines", "outside", "behind"));

    /** What most edits leave as it was, and costs most to read. */
    private static final Set<Class<?>> KEPT = Set.of(Part.class, Dial.class);

    private final Map<String, Class<?>> types = new LinkedHashMap<>();
    private final Deque<Class<?>> waiting = new ArrayDeque<>();
    private final StringBuilder out = new StringBuilder();
    private int lambdas;

    /** Kinds of edits that are written out; empty for all of them. */
    private final Set<String> edits;

    private CodecSource(Set<String> edits) {
        this.edits = edits;
    }

    /** @param args the folder that generated sources lie in, and behind it the kinds of edits that are wanted */
    public static void main(String[] args) throws IOException {
        java.nio.file.Path folder = java.nio.file.Path.of(args[0], "app", "leeward", "page", "json");
        java.nio.file.Path file = folder.resolve("Codec.java");
        Set<String> edits = Stream.of(args).skip(1).collect(Collectors.toCollection(TreeSet::new));
        edits.stream()
                .filter(k -> !Kinds.EDITS.options().containsKey(k)
                        && !Kinds.SHOT_EDITS.options().containsKey(k))
                .findFirst()
                .ifPresent(k -> {
                    throw new IllegalArgumentException("'" + k + "' is no kind of edit");
                });
        String source = new CodecSource(edits).source();
        if (!Files.exists(file) || !Files.readString(file).equals(source)) {
            Files.createDirectories(folder);
            Files.writeString(file, source);
        }
    }

    private String source() throws IOException {
        ROOTS.forEach(this::method);
        StringBuilder methods = new StringBuilder();
        while (!waiting.isEmpty()) {
            out.setLength(0);
            Class<?> type = waiting.poll();
            if (CHOICES.containsKey(type)) {
                choice(CHOICES.get(type));
            } else if (type.isRecord()) {
                record(type);
            } else {
                throw new IllegalStateException(type + " is neither a record nor a choice with kinds");
            }
            methods.append(out);
        }
        return """
                package app.leeward.page.json;

                /** Generated from core's records. Reads and writes them as JSON, in the form the server gives them. */
                @SuppressWarnings("all")
                public final class Codec {
                    /** Digest of the sources of core. */
                    public static final String SOURCES = "%s";

                    /** The kinds of edits it knows. */
                    public static final java.util.Set<String> EDITS = java.util.Set.of(%s);

                    /** The kinds of edits of a shot it knows. */
                    public static final java.util.Set<String> SHOT_EDITS = java.util.Set.of(%s);

                    private final Shelf shelf;

                    /** @param shelf where what is read once lies */
                    public Codec(Shelf shelf) {
                        this.shelf = shelf;
                    }
                """
                        .formatted(sources(), wanted(Kinds.EDITS), wanted(Kinds.SHOT_EDITS))
                + methods + "}\n";
    }

    private String wanted(Kinds<?> kinds) {
        return kinds.options().keySet().stream()
                .filter(k -> edits.isEmpty() || edits.contains(k))
                .map(k -> '"' + k + '"')
                .collect(Collectors.joining(", "));
    }

    /** As core's build wrote it down. */
    private static String sources() throws IOException {
        try (InputStream in = Character.class.getResourceAsStream("/app/leeward/core/sources.sha256")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).strip();
        }
    }

    /** The name that a type's two methods share; the methods will be written. */
    private String method(Class<?> type) {
        String name = "";
        for (Class<?> c = type; c != null; c = c.getEnclosingClass()) {
            name = c.getSimpleName() + name;
        }
        Class<?> known = types.putIfAbsent(name, type);
        if (known == null) {
            waiting.add(type);
        } else if (known != type) {
            throw new IllegalStateException(known + " and " + type + " would share a method");
        }
        return name;
    }

    private void line(String text, Object... args) {
        out.append("    ")
                .append(args.length == 0 ? text : text.formatted(args))
                .append('\n');
    }

    private void record(Class<?> type) {
        String name = method(type);
        String java = type.getCanonicalName();
        RecordComponent[] parts = type.getRecordComponents();
        line("");
        line("public %s read%s(JsonValue in) {", java, name);
        line("    if (in == null) return null;");
        boolean kept = KEPT.contains(type);
        line(kept ? "    return shelf.kept(in, () -> new %s(" : "    return new %s(", java);
        for (int i = 0; i < parts.length; i++) {
            String value = read(parts[i].getGenericType(), "in.get(\"" + parts[i].getName() + "\")");
            line("            %s%s", value, i < parts.length - 1 ? "," : "");
        }
        line(kept ? "    ));" : "    );");
        line("}");
        line("");
        line("public void write%s(%s v, JsonSink out) {", name, java);
        line("    if (v == null) { out.nothing(); return; }");
        line("    out.begin();");
        properties(type, "v");
        line("    out.end();");
        line("}");
    }

    private void properties(Class<?> type, String value) {
        for (RecordComponent c : type.getRecordComponents()) {
            String held = value + "." + c.getName() + "()";
            boolean leftOut = LEFT_OUT.getOrDefault(type, Set.of()).contains(c.getName());
            line(
                    "    %sout.name(\"%s\"); %s%s",
                    leftOut ? "if (!" + held + ".isEmpty()) { " : "",
                    c.getName(),
                    write(c.getGenericType(), held),
                    leftOut ? " }" : "");
        }
    }

    private void choice(Kinds<?> kinds) {
        String name = method(kinds.sealed());
        String java = kinds.sealed().getCanonicalName();
        Map<String, Class<?>> options = new LinkedHashMap<>(kinds.options());
        boolean chosen = (kinds == Kinds.EDITS || kinds == Kinds.SHOT_EDITS) && !edits.isEmpty();
        options.keySet().removeIf(k -> chosen && !edits.contains(k));
        line("");
        line("public %s read%s(JsonValue in) {", java, name);
        line("    if (in == null) return null;");
        line("    String kind = Forms.text(in.get(\"kind\"));");
        line("    if (kind == null) throw new IllegalArgumentException(\"%s has no kind\");", name);
        line("    switch (kind) {");
        options.forEach((kind, option) -> line("        case \"%s\": return read%s(in);", kind, method(option)));
        line("        default: throw new IllegalArgumentException(\"'\" + kind + \"' is no kind of %s\");", name);
        line("    }");
        line("}");
        line("");
        line("public void write%s(%s v, JsonSink out) {", name, java);
        line("    if (v == null) { out.nothing(); return; }");
        line("    out.begin();");
        options.forEach((kind, option) -> {
            line("    if (v instanceof %s o) {", option.getCanonicalName());
            line("        out.name(\"kind\"); out.text(\"%s\");", kind);
            properties(option, "o");
            line("    }");
        });
        line("    out.end();");
        line("}");
    }

    /** An expression that is the value of a type, read from the expression {@code in}, which may be null. */
    private String read(Type type, String in) {
        if (type instanceof ParameterizedType p) {
            Type[] of = p.getActualTypeArguments();
            String x = "x" + lambdas++;
            if (p.getRawType() == Optional.class) {
                return "Forms.optional(%s, %s -> %s)".formatted(in, x, read(of[0], x));
            }
            if (p.getRawType() == List.class) {
                return "Forms.list(%s, %s -> %s)".formatted(in, x, read(of[0], x));
            }
            if (p.getRawType() == Set.class) {
                return "Forms.set(%s, %s -> %s)".formatted(in, x, read(of[0], x));
            }
            if (p.getRawType() == Map.class) {
                String key = "k" + lambdas;
                return "Forms.map(%s, %s -> %s, %s -> %s)".formatted(in, key, key(of[0], key), x, read(of[1], x));
            }
        }
        if (type instanceof Class<?> c) {
            if (c == double.class || c == int.class || c == long.class) {
                return c == double.class ? "Forms.number(" + in + ")" : "(" + c + ") Forms.number(" + in + ")";
            }
            if (c == boolean.class) {
                return "Forms.truth(" + in + ")";
            }
            if (c == Double.class || c == Integer.class) {
                String value = c == Double.class ? "numberOrNull" : "countOrNull";
                return "Forms." + value + "(" + in + ")";
            }
            if (c == Boolean.class) {
                return "Forms.truthOrNull(" + in + ")";
            }
            if (c == String.class) {
                return "Forms.text(" + in + ")";
            }
            if (c == double[].class) {
                return "Forms.numbers(" + in + ")";
            }
            if (c == Artwork.class) {
                return "shelf.get(Forms.text(" + in + "))";
            }
            if (OWN_FORM.containsKey(c)) {
                return "Forms.read" + OWN_FORM.get(c) + "(" + in + ")";
            }
            if (c.isEnum()) {
                String x = "x" + lambdas++;
                return "Forms.word(%s, %s -> %s.valueOf(%s))".formatted(in, x, c.getCanonicalName(), x);
            }
            return "read" + method(c) + "(" + in + ")";
        }
        throw new IllegalStateException("no form for " + type);
    }

    /** An expression that makes a map's key out of its text. */
    private static String key(Type type, String text) {
        if (type == String.class) {
            return text;
        }
        if (type == Integer.class) {
            return "Integer.valueOf(" + text + ")";
        }
        if (type instanceof Class<?> c && c.isEnum()) {
            return c.getCanonicalName() + ".valueOf(" + text + ")";
        }
        throw new IllegalStateException("no form for a key of " + type);
    }

    /** A statement that writes the expression {@code v}. */
    private String write(Type type, String v) {
        if (type instanceof ParameterizedType p) {
            Type[] of = p.getActualTypeArguments();
            String x = "x" + lambdas++;
            if (p.getRawType() == Optional.class) {
                return "Forms.writeOptional(out, %s, %s -> { %s });".formatted(v, x, write(of[0], x));
            }
            if (p.getRawType() == List.class || p.getRawType() == Set.class) {
                return "Forms.writeAll(out, %s, %s -> { %s });".formatted(v, x, write(of[0], x));
            }
            if (p.getRawType() == Map.class) {
                String key = "k" + lambdas;
                String name = of[0] == String.class
                        ? key
                        : ((Class<?>) of[0]).isEnum() ? key + ".name()" : key + ".toString()";
                return "Forms.writeMap(out, %s, %s -> %s, %s -> { %s });".formatted(v, key, name, x, write(of[1], x));
            }
        }
        if (type instanceof Class<?> c) {
            if (c == double.class || c == int.class || c == long.class) {
                return "out.number(" + v + ");";
            }
            if (c == boolean.class) {
                return "out.truth(" + v + ");";
            }
            if (c == Double.class || c == Integer.class) {
                return "Forms.writeNumber(out, " + v + ");";
            }
            if (c == Boolean.class) {
                return "Forms.writeTruth(out, " + v + ");";
            }
            if (c == String.class) {
                return "Forms.writeText(out, " + v + ");";
            }
            if (c == double[].class) {
                return "Forms.writeNumbers(out, " + v + ");";
            }
            if (c == Artwork.class) {
                return "out.text(shelf.hashOf(" + v + "));";
            }
            if (OWN_FORM.containsKey(c)) {
                return "Forms.write" + OWN_FORM.get(c) + "(out, " + v + ");";
            }
            if (c.isEnum()) {
                return "Forms.writeText(out, %s == null ? null : %s.name());".formatted(v, v);
            }
            return "write" + method(c) + "(" + v + ", out);";
        }
        throw new IllegalStateException("no form for " + type);
    }
}
