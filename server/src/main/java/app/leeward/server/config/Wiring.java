package app.leeward.server.config;

import app.leeward.core.art.Artwork;
import app.leeward.formats.json.LeewardJson;
import app.leeward.formats.json.StoredJson;
import app.leeward.server.studio.StoredArt;
import app.leeward.server.studio.StoredKeys;
import app.leeward.speech.LineReader;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.JsonSerializer;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import java.time.Clock;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

@Configuration
class Wiring {
    private static final Logger LOG = LoggerFactory.getLogger(Wiring.class);

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    LineReader lineReader() {
        return new LineReader();
    }

    @Bean
    StoredJson storedJson(StoredArt shelf, StoredKeys keys) {
        Set<String> told = ConcurrentHashMap.newKeySet();
        return new StoredJson(shelf, keys, property -> {
            if (told.add(property)) {
                LOG.warn(
                        "Stored data has {}, which this version does not know; it is kept as long as nobody edits it",
                        property);
            }
        });
    }

    /** Answers carry artwork by its hash; the page fetches the shapes once. */
    @Bean
    Jackson2ObjectMapperBuilderCustomizer coreForms(StoredArt shelf) {
        SimpleModule art = new SimpleModule("artwork-hash");
        art.addSerializer(Artwork.class, new JsonSerializer<>() {
            @Override
            public void serialize(Artwork value, JsonGenerator out, SerializerProvider p) throws IOException {
                out.writeString(shelf.hashOf(value));
            }
        });
        return builder ->
                builder.postConfigurer(mapper -> LeewardJson.configure(mapper).registerModule(art));
    }
}
