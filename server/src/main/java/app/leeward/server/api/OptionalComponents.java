package app.leeward.server.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.introspect.BeanPropertyDefinition;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.media.Schema;
import java.util.Iterator;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * Which components of the described records may be left out: those of type {@link Optional}, and those the mapper writes only when
 * there is something in them. The generator looks at every type in turn, and this one looks over its shoulder.
 */
final class OptionalComponents implements ModelConverter {
    private final ObjectMapper json;
    private final Map<String, Set<String>> bySchema = new ConcurrentHashMap<>();

    OptionalComponents(ObjectMapper json) {
        this.json = json;
    }

    @Override
    public Schema<?> resolve(AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> others) {
        if (type.getType() != null) {
            Class<?> raw = json.constructType(type.getType()).getRawClass();
            if (raw.isRecord()) {
                note(raw.getSimpleName(), raw);
            }
        }
        return others.hasNext() ? others.next().resolve(type, context, others) : null;
    }

    /** Learns a record that is described under a name. */
    void note(String schema, Class<?> described) {
        bySchema.computeIfAbsent(schema, name -> {
            JavaType type = json.constructType(described);
            return json.getSerializationConfig().introspect(type).findProperties().stream()
                    .filter(OptionalComponents::optional)
                    .map(BeanPropertyDefinition::getName)
                    .collect(Collectors.toUnmodifiableSet());
        });
    }

    private static boolean optional(BeanPropertyDefinition p) {
        return p.getRawPrimaryType() == Optional.class
                || p.findInclusion().getValueInclusion() == JsonInclude.Include.NON_EMPTY;
    }

    /** The components of a schema that may be left out. */
    Set<String> of(String schema) {
        return bySchema.getOrDefault(schema, Set.of());
    }
}
