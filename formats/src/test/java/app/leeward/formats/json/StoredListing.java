package app.leeward.formats.json;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Offset;
import app.leeward.core.edit.Edit;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.introspect.BeanPropertyDefinition;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Every place of the stored form with what stands there, as one sorted text: properties, kinds, words of enums. Names of classes
 * are not stored and not in it.
 */
final class StoredListing {
    private static final Map<Class<?>, String> ROOTS = Map.of(
            Character.class, "character",
            Edit.class, "edit",
            Shot.class, "shot",
            ShotEdit.class, "shot-edit",
            Shape.class, "shape");
    private static final Map<Class<?>, String> PLAIN = Map.of(
            Artwork.class,
            "hash",
            Matrix.class,
            "6 numbers",
            Path.class,
            "SVG path",
            Point.class,
            "2 numbers",
            Offset.class,
            "some of " + Channel.STANDARD.stream().map(Channel::id).collect(Collectors.joining(" ")));

    private final ObjectMapper json = LeewardJson.mapper(StoredJson.withoutArt());
    private final Set<String> lines = new TreeSet<>();

    static String now() {
        StoredListing listing = new StoredListing();
        ROOTS.forEach((type, place) -> listing.object(place, type));
        return String.join("\n", listing.lines) + "\n";
    }

    private void value(String place, JavaType type) {
        Class<?> raw = type.getRawClass();
        if (ROOTS.containsKey(raw)) {
            lines.add(place + ": " + ROOTS.get(raw));
        } else if (PLAIN.containsKey(raw)) {
            lines.add(place + ": " + PLAIN.get(raw));
        } else if (raw == Optional.class) {
            value(place + "?", type.getReferencedType());
        } else if (type.isMapLikeType()) {
            value(place + "{" + words(type.getKeyType().getRawClass()) + "}", type.getContentType());
        } else if (type.isCollectionLikeType() || type.isArrayType()) {
            value(place + "[]", type.getContentType());
        } else if (raw.isPrimitive() || raw.isEnum() || raw.getName().startsWith("java.lang.")) {
            lines.add(place + ": " + words(raw));
        } else {
            object(place, raw);
        }
    }

    private static String words(Class<?> raw) {
        return raw.isEnum()
                ? Arrays.stream(raw.getEnumConstants())
                        .map(e -> ((Enum<?>) e).name())
                        .collect(Collectors.joining(" "))
                : raw.getSimpleName().toLowerCase(Locale.ROOT);
    }

    private void object(String place, Class<?> raw) {
        Optional<Kinds<?>> choice =
                Kinds.ALL.stream().filter(k -> k.sealed() == raw).findFirst();
        if (choice.isPresent()) {
            new TreeMap<>(choice.get().options()).forEach((kind, option) -> {
                lines.add(place + " " + kind);
                properties(place + " " + kind, option);
            });
        } else {
            properties(place, raw);
        }
    }

    private void properties(String place, Class<?> raw) {
        for (BeanPropertyDefinition p : json.getSerializationConfig()
                .introspect(json.constructType(raw))
                .findProperties()) {
            value(place + "." + p.getName(), p.getPrimaryType());
        }
    }
}
