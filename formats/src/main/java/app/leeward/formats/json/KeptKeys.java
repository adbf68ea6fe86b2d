package app.leeward.formats.json;

import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Tracks;
import app.leeward.formats.art.Sha256;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.JsonSerializer;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.annotation.JsonDeserialize;
import com.fasterxml.jackson.databind.annotation.JsonSerialize;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The keys of a dial among the tracks of what is stored: in full, or their hash where they lie in a {@link KeyStore}. */
final class KeptKeys {
    private static final TypeReference<List<DialKey>> KEYS = new TypeReference<>() {};

    private KeptKeys() {}

    /** Mixed into {@link Tracks}. */
    abstract static class Form {
        @JsonSerialize(contentUsing = Writer.class)
        @JsonDeserialize(contentUsing = Reader.class)
        abstract Map<String, List<DialKey>> dials();
    }

    private static KeyStore store(Object attribute) {
        return attribute instanceof KeyStore store ? store : KeyStore.none();
    }

    static final class Writer extends JsonSerializer<List<DialKey>> {
        @Override
        public void serialize(List<DialKey> keys, JsonGenerator out, SerializerProvider p) throws IOException {
            KeyStore store = store(p.getAttribute(KeyStore.class));
            if (!store.keeps() || keys.size() < KeyStore.FEWEST) {
                out.writeStartArray();
                for (DialKey key : keys) {
                    p.defaultSerializeValue(key, out);
                }
                out.writeEndArray();
                return;
            }
            Optional<String> known = store.known(keys);
            if (known.isPresent()) {
                out.writeString(known.get());
                return;
            }
            String json = ((ObjectMapper) out.getCodec()).writeValueAsString(keys);
            String hash = Sha256.of(json);
            store.put(keys, hash, json);
            out.writeString(hash);
        }
    }

    static final class Reader extends JsonDeserializer<List<DialKey>> {
        @Override
        public List<DialKey> deserialize(JsonParser in, DeserializationContext c) throws IOException {
            if (in.currentToken() == JsonToken.VALUE_STRING) {
                return store(c.getAttribute(KeyStore.class)).get(in.getText());
            }
            return in.readValueAs(KEYS);
        }
    }

    /** Reads what a {@link Writer} put apart. */
    static List<DialKey> read(ObjectMapper json, String text) {
        try {
            return Tracks.inOrder(json.readValue(text, KEYS));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("stored keys cannot be read", e);
        }
    }

    /** Puts keys that lie apart where their hash stands, anywhere in a tree: they are in the form of what says their hash. */
    static void putBack(JsonNode tree, ObjectMapper json, KeyStore store) throws JsonProcessingException {
        if (tree.get("dials") instanceof ObjectNode dials) {
            for (Map.Entry<String, JsonNode> one : dials.properties()) {
                if (one.getValue().isTextual()) {
                    one.setValue(json.readTree(store.text(one.getValue().asText())));
                }
            }
        }
        for (JsonNode inside : tree) {
            putBack(inside, json, store);
        }
    }
}
