package app.leeward.server.api;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Offset;
import app.leeward.formats.json.Kinds;
import app.leeward.formats.json.LeewardJson;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.converter.ResolvedSchema;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Describes core's values in OpenAPI as {@link LeewardJson} writes them. */
@Configuration
class OpenApiForms {
    static {
        Schema<?> numbers = new ArraySchema().items(new NumberSchema());
        SpringDocUtils.getConfig()
                .replaceWithSchema(Offset.class, offset())
                .replaceWithSchema(Path.class, new StringSchema().description("SVG path data, absolute"))
                .replaceWithSchema(Artwork.class, new StringSchema().description("SHA-256 of the artwork"))
                .replaceWithSchema(Matrix.class, numbers)
                .replaceWithSchema(Point.class, numbers);
    }

    private static Schema<?> offset() {
        Schema<?> offset = new ObjectSchema().description("the numbers that change something");
        Channel.STANDARD.forEach(c -> offset.addProperty(c.id(), new NumberSchema().description(c.words())));
        return offset;
    }

    @Bean
    OpenAPI leewardApi() {
        return new OpenAPI()
                .servers(List.of(new io.swagger.v3.oas.models.servers.Server().url("/")))
                .info(new Info().title("Leeward").version("1"));
    }

    @Bean
    OptionalComponents optionalComponents(ObjectMapper json) {
        return new OptionalComponents(json);
    }

    @Bean
    OpenApiCustomizer choices(OptionalComponents optional) {
        return api -> {
            Kinds.ALL.forEach(k -> choice(api, k, optional));
            Kinds.ALL.forEach(k -> useChoices(api, k));
            required(api, optional);
        };
    }

    /** A sealed interface is one of its records, told apart by {@code kind}. */
    private static void choice(OpenAPI api, Kinds<?> choice, OptionalComponents optional) {
        Class<?> sealed = choice.sealed();
        Schema<Object> one = new Schema<>();
        Discriminator kinds = new Discriminator().propertyName("kind");
        choice.options().forEach((kind, option) -> {
            String name = sealed.getSimpleName() + option.getSimpleName();
            optional.note(name, option);
            ResolvedSchema resolved = ModelConverters.getInstance(true)
                    .resolveAsResolvedSchema(new AnnotatedType(option).resolveAsRef(false));
            resolved.referencedSchemas.forEach((key, schema) -> {
                if (!api.getComponents().getSchemas().containsKey(key) && !key.equals(option.getSimpleName())) {
                    api.getComponents().addSchemas(key, schema);
                }
            });
            Schema<?> schema = new Schema<>();
            schema.addType("object");
            Map<String, Schema> properties = resolved.schema.getProperties();
            schema.addProperty("kind", new StringSchema()._enum(List.of(kind)));
            if (properties != null) {
                properties.forEach(schema::addProperty);
            }
            api.getComponents().addSchemas(name, schema);
            one.addOneOfItem(new Schema<>().$ref("#/components/schemas/" + name));
            kinds.mapping(kind, "#/components/schemas/" + name);
        });
        api.getComponents().addSchemas(sealed.getSimpleName(), one.discriminator(kinds));
    }

    /** Where the generator wrote the options out without their kind, refers to the choice instead. */
    private static void useChoices(OpenAPI api, Kinds<?> choice) {
        Class<?> sealed = choice.sealed();
        // the generator also knows the families that options come in
        Set<Class<?>> known = new HashSet<>(choice.options().values());
        Arrays.stream(sealed.getPermittedSubclasses()).filter(Class::isSealed).forEach(known::add);
        Set<String> raw = known.stream()
                .map(o -> "#/components/schemas/" + o.getSimpleName())
                .collect(Collectors.toSet());
        Map<String, Schema> all = api.getComponents().getSchemas();
        for (Schema<?> schema : all.values()) {
            if (schema.getProperties() != null) {
                schema.getProperties().replaceAll((name, property) -> chosen((Schema<?>) property, raw, sealed));
            }
        }
        known.forEach(option -> all.remove(option.getSimpleName()));
    }

    /** The choice in place of its options written out, also where there is a list of them. */
    private static Schema<?> chosen(Schema<?> property, Set<String> raw, Class<?> sealed) {
        if (isRaw(property, raw)) {
            return new Schema<>().$ref("#/components/schemas/" + sealed.getSimpleName());
        }
        if (property.getItems() != null && isRaw(property.getItems(), raw)) {
            return new ArraySchema().items(new Schema<>().$ref("#/components/schemas/" + sealed.getSimpleName()));
        }
        return property;
    }

    private static boolean isRaw(Schema<?> property, Set<String> raw) {
        return property.getOneOf() != null
                && property.getOneOf().stream().allMatch(o -> raw.contains(((Schema<?>) o).get$ref()));
    }

    /** Records always carry all their components, except in what is sent to us. */
    private static void required(OpenAPI api, OptionalComponents optional) {
        api.getComponents().getSchemas().forEach((name, schema) -> {
            boolean sent = name.endsWith("Body") || name.equals("Moment");
            if (!sent && schema.getProperties() != null) {
                List<String> all = new ArrayList<>(((Map<String, ?>) schema.getProperties()).keySet());
                schema.setRequired(
                        all.stream().filter(p -> !optional.of(name).contains(p)).toList());
            }
        });
    }
}
