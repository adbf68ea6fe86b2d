package app.leeward.server.api;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Ease;
import app.leeward.core.edit.Edit;
import app.leeward.core.shot.ShotEdit;
import app.leeward.formats.json.LeewardJson;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.converter.ResolvedSchema;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.util.ArrayList;
import java.util.Arrays;
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
                .replaceWithSchema(Path.class, new StringSchema().description("SVG path data, absolute"))
                .replaceWithSchema(Artwork.class, new StringSchema().description("SHA-256 of the artwork"))
                .replaceWithSchema(Matrix.class, numbers)
                .replaceWithSchema(Point.class, numbers);
    }

    /** Components that may be left out: something follows nothing, lies above nothing, was not found. */
    private static final Set<String> OPTIONAL = Set.of(
            "Character.source",
            "Placed.outlines",
            "Placed.outside",
            "Placed.behind",
            "EditMovePoint.mirrored",
            "EditServeSound.mood",
            "EditMakeMouths.start",
            "EditMakeMouths.rulers",
            "EditMakeMouths.own",
            "EditMakeMouths.again",
            "MouthChart.recipe",
            "SayBody.aloud",
            "ShotEditLayBlinks.shifts",
            "Offset.bend",
            "EyeView.pupil",
            "Part.parent",
            "Joint.parent",
            "EditStackDrawing.over",
            "EditShowPast.by",
            "EditHold.hand",
            "EditSetGrip.at",
            "Dial.hangsOn",
            "EditHangDial.part",
            "TurnView.offModel",
            "Dial.travel",
            "EditTravelBy.travel",
            "EditMakeTurn.ball",
            "Character.turn",
            "Character.views",
            "Edge.mends",
            "Hand.arm",
            "Hand.place",
            "Hand.wrist",
            "AtWrist.wrist",
            "EditHang.parent",
            "EditStack.above",
            "IntakeReport.axis",
            "IntakeReport.standing");

    @Bean
    OpenAPI leewardApi() {
        return new OpenAPI()
                .servers(List.of(new io.swagger.v3.oas.models.servers.Server().url("/")))
                .info(new Info().title("Leeward").version("1"));
    }

    @Bean
    OpenApiCustomizer choices() {
        return api -> {
            choice(api, Paint.class, Paint.None.class, Paint.Flat.class, Paint.Picture.class, Paint.Gradient.class);
            choice(api, Ease.class, Ease.class.getPermittedSubclasses());
            choice(api, Edit.class, Edit.class.getPermittedSubclasses());
            choice(api, ShotEdit.class, ShotEdit.class.getPermittedSubclasses());
            useChoices(api, Paint.class, Paint.None.class, Paint.Flat.class, Paint.Picture.class, Paint.Gradient.class);
            useChoices(api, Ease.class, Ease.class.getPermittedSubclasses());
            useChoices(api, Edit.class, Edit.class.getPermittedSubclasses());
            useChoices(api, ShotEdit.class, ShotEdit.class.getPermittedSubclasses());
            required(api);
        };
    }

    /** A sealed interface is one of its records, told apart by {@code kind}. */
    private static void choice(OpenAPI api, Class<?> sealed, Class<?>... options) {
        Schema<Object> one = new Schema<>();
        Discriminator kinds = new Discriminator().propertyName("kind");
        for (Class<?> option : options) {
            String name = sealed.getSimpleName() + option.getSimpleName();
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
            schema.addProperty("kind", new StringSchema()._enum(List.of(LeewardJson.kind(option))));
            if (properties != null) {
                properties.forEach(schema::addProperty);
            }
            api.getComponents().addSchemas(name, schema);
            one.addOneOfItem(new Schema<>().$ref("#/components/schemas/" + name));
            kinds.mapping(LeewardJson.kind(option), "#/components/schemas/" + name);
        }
        api.getComponents().addSchemas(sealed.getSimpleName(), one.discriminator(kinds));
    }

    /** Where the generator wrote the options out without their kind, refers to the choice instead. */
    private static void useChoices(OpenAPI api, Class<?> sealed, Class<?>... options) {
        Set<String> raw = Arrays.stream(options)
                .map(o -> "#/components/schemas/" + o.getSimpleName())
                .collect(Collectors.toSet());
        Map<String, Schema> all = api.getComponents().getSchemas();
        for (Schema<?> schema : all.values()) {
            if (schema.getProperties() != null) {
                schema.getProperties()
                        .replaceAll((name, property) -> isRaw((Schema<?>) property, raw)
                                ? new Schema<>().$ref("#/components/schemas/" + sealed.getSimpleName())
                                : property);
            }
        }
        for (Class<?> option : options) {
            all.remove(option.getSimpleName());
        }
    }

    private static boolean isRaw(Schema<?> property, Set<String> raw) {
        return property.getOneOf() != null
                && property.getOneOf().stream().allMatch(o -> raw.contains(((Schema<?>) o).get$ref()));
    }

    /** Records always carry all their components, except in what is sent to us. */
    private static void required(OpenAPI api) {
        api.getComponents().getSchemas().forEach((name, schema) -> {
            boolean sent = name.endsWith("Body") || name.equals("Moment");
            if (!sent && schema.getProperties() != null) {
                List<String> all = new ArrayList<>(((Map<String, ?>) schema.getProperties()).keySet());
                schema.setRequired(all.stream()
                        .filter(p -> !OPTIONAL.contains(name + "." + p))
                        .toList());
            }
        });
    }
}
