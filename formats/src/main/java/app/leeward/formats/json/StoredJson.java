package app.leeward.formats.json;

import app.leeward.core.art.Artwork;
import app.leeward.core.edit.Edit;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Tracks;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.deser.DeserializationProblemHandler;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/**
 * Reads and writes what is stored: characters, lines, and the edits of both. What is written carries the number {@link #SCHEMA}
 * beside it; what an earlier version wrote is read as its tree, taken through every {@link Upgrade} since, and only then made
 * into values. A property nobody knows is told, never dropped in silence.
 *
 * <p>To change the stored form: raise {@link #SCHEMA}, add an {@link Upgrade} at the end of {@link #UPGRADES}, and commit the new
 * listing of the form beside the old ones. {@code docs/formats.md} says it step by step.
 */
public final class StoredJson {
    /** The form that is written now. */
    public static final int SCHEMA = 19;

    /** From 1 to 2, from 2 to 3, and so on. */
    private static final List<Upgrade> UPGRADES = List.of(
            new SparseOffsets(),
            new FactsWithTheirOwners(),
            new GroupedCharacter(),
            new NoteMessages(),
            new HeadShapes(),
            new DrawnHeads(),
            new ActedShots(),
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {},
            new Upgrade() {});

    /** Kinds of edits that hold another edit, and where. */
    private static final Map<String, String> EDITS_INSIDE =
            Map.of("record", "pose", "record-corner", "pose", "mend-all", "mends");

    /** Kinds of edits that hold a character, and where. */
    private static final Map<String, String> CHARACTERS_INSIDE =
            Map.of("adopt", "character", "take-version", "read", "take-from", "other");

    /** Kinds of edits of a line that hold a line, and where. */
    private static final Map<String, String> SHOTS_INSIDE = Map.of("record", "shot");

    /** The first form in which the keys of a dial may lie apart. */
    private static final int KEYS_APART = 19;

    private static final ObjectMapper KEYS = LeewardJson.configure(new ObjectMapper());

    private final ObjectMapper json;
    private final KeyStore keys;
    private final int schema;
    private final List<Upgrade> upgrades;

    /**
     * For what holds all keys in itself.
     *
     * @param shelf where artwork lies
     * @param unknown told each property that stored data has and this version does not know, as {@code Type.property}
     */
    public StoredJson(ArtworkStore shelf, Consumer<String> unknown) {
        this(shelf, KeyStore.none(), unknown);
    }

    /**
     * @param shelf where artwork lies
     * @param keys where long tracks of keys lie
     * @param unknown told each property that stored data has and this version does not know, as {@code Type.property}
     */
    public StoredJson(ArtworkStore shelf, KeyStore keys, Consumer<String> unknown) {
        this(shelf, keys, unknown, UPGRADES);
    }

    StoredJson(ArtworkStore shelf, KeyStore keys, Consumer<String> unknown, List<Upgrade> upgrades) {
        this.keys = keys;
        this.upgrades = List.copyOf(upgrades);
        this.schema = 1 + upgrades.size();
        json = LeewardJson.mapper(shelf).addMixIn(Tracks.class, KeptKeys.Form.class);
        json.addHandler(new DeserializationProblemHandler() {
            @Override
            public boolean handleUnknownProperty(
                    DeserializationContext c, JsonParser in, JsonDeserializer<?> d, Object bean, String property)
                    throws IOException {
                Class<?> owner = bean instanceof Class<?> type ? type : bean.getClass();
                unknown.accept(owner.getSimpleName() + "." + property);
                in.skipChildren();
                return true;
            }
        });
    }

    /**
     * @param schema the number stored beside {@code text}
     * @param type one of Character, Edit, Shot, ShotEdit
     * @throws NewerSchema when a later version wrote it
     * @throws IllegalStateException when it cannot be read
     */
    public <T> T read(int schema, String text, Class<T> type) {
        if (schema > this.schema) {
            throw new NewerSchema(schema);
        }
        try {
            if (schema == this.schema) {
                return json.readerFor(type).withAttribute(KeyStore.class, keys).readValue(text);
            }
            ObjectNode tree = (ObjectNode) json.readTree(text);
            if (schema >= KEYS_APART) {
                KeptKeys.putBack(tree, json, keys);
            }
            for (Upgrade step : upgrades.subList(schema - 1, upgrades.size())) {
                tree = upgraded(step, tree, type);
            }
            return json.treeToValue(tree, type);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("stored " + type.getSimpleName() + " cannot be read", e);
        }
    }

    private static ObjectNode upgraded(Upgrade step, ObjectNode tree, Class<?> type) {
        if (type == Character.class) {
            return step.character(tree);
        }
        if (type == Shot.class) {
            return step.shot(tree);
        }
        String kind = tree.path("kind").asText();
        if (type == Edit.class) {
            inside(tree, EDITS_INSIDE.get(kind), held -> upgraded(step, held, Edit.class));
            inside(tree, CHARACTERS_INSIDE.get(kind), step::character);
            return step.edit(tree);
        }
        if (type == ShotEdit.class) {
            inside(tree, SHOTS_INSIDE.get(kind), step::shot);
            return step.shotEdit(tree);
        }
        throw new IllegalArgumentException(type + " is not stored");
    }

    /** What lies under a property: a thing, or a list of such. */
    private static void inside(ObjectNode tree, String property, UnaryOperator<ObjectNode> step) {
        if (property != null && tree.get(property) instanceof ObjectNode held) {
            tree.set(property, step.apply(held));
        } else if (property != null && tree.get(property) instanceof ArrayNode list) {
            for (int i = 0; i < list.size(); i++) {
                if (list.get(i) instanceof ObjectNode held) {
                    list.set(i, step.apply(held));
                }
            }
        }
    }

    /**
     * In the form of {@link #SCHEMA}.
     *
     * @param type one of Character, Edit, Shot, ShotEdit
     */
    public <T> String write(Class<T> type, T value) {
        try {
            return json.writerFor(type).withAttribute(KeyStore.class, keys).writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Keys of a dial as they were put into a {@link KeyStore}, in the form that is written now. */
    public static List<DialKey> keys(String text) {
        return KeptKeys.read(KEYS, text);
    }

    /** A shelf for readers that do not look at outlines: every artwork is empty. */
    public static ArtworkStore withoutArt() {
        return new ArtworkStore() {
            @Override
            public void put(Artwork art, String hash, String text) {
                throw new IllegalStateException("no artwork is kept here");
            }

            @Override
            public Artwork get(String hash) {
                return new Artwork(List.of());
            }
        };
    }
}
