package app.leeward.formats.json;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathReader;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Offset;
import app.leeward.core.rig.Frame;
import app.leeward.formats.art.Sha256;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.StreamWriteFeature;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonSerializer;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Makes the JSON mappers. */
public final class LeewardJson {
    private static final ObjectMapper SHAPES = configure(new ObjectMapper()).registerModule(exactMatrices());

    private LeewardJson() {}

    /** What is stored keeps every digit; what is sent for a moment's picture does not need to. */
    private static SimpleModule exactMatrices() {
        SimpleModule exact = new SimpleModule("exact matrices");
        exact.addSerializer(Matrix.class, new JsonSerializer<>() {
            @Override
            public void serialize(Matrix m, JsonGenerator out, SerializerProvider p) throws IOException {
                out.writeArray(new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()}, 0, 6);
            }
        });
        return exact;
    }

    /** A mapper that keeps artwork on {@code shelf} and writes only its hash. */
    public static ObjectMapper mapper(ArtworkStore shelf) {
        SimpleModule art = new SimpleModule("artwork");
        art.addSerializer(Artwork.class, new JsonSerializer<>() {
            @Override
            public void serialize(Artwork value, JsonGenerator out, SerializerProvider p) throws IOException {
                Optional<String> known = shelf.known(value);
                if (known.isPresent()) {
                    out.writeString(known.get());
                    return;
                }
                String json = artwork(value);
                String hash = Sha256.of(json);
                shelf.put(value, hash, json);
                out.writeString(hash);
            }
        });
        art.addDeserializer(Artwork.class, new JsonDeserializer<>() {
            @Override
            public Artwork deserialize(JsonParser in, DeserializationContext c) throws IOException {
                return shelf.get(in.getValueAsString());
            }
        });
        return configure(new ObjectMapper()).registerModule(art);
    }

    /** Teaches any mapper the plain forms of core's values; artwork excepted. */
    public static ObjectMapper configure(ObjectMapper mapper) {
        // a character of a thousand parts is mostly numbers
        mapper.getFactory()
                .enable(StreamReadFeature.USE_FAST_DOUBLE_PARSER.mappedFeature())
                .enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER.mappedFeature());
        SimpleModule module = new SimpleModule("core");
        module.addSerializer(Path.class, new JsonSerializer<>() {
            @Override
            public void serialize(Path v, JsonGenerator out, SerializerProvider p) throws IOException {
                out.writeString(v.toSvg());
            }
        });
        module.addDeserializer(Path.class, new JsonDeserializer<>() {
            @Override
            public Path deserialize(JsonParser in, DeserializationContext c) throws IOException {
                return PathReader.read(in.getValueAsString()).path();
            }
        });
        module.addSerializer(Matrix.class, new JsonSerializer<>() {
            @Override
            public void serialize(Matrix m, JsonGenerator out, SerializerProvider p) throws IOException {
                double[] values = {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()};
                out.writeStartArray();
                for (int i = 0; i < 6; i++) {
                    out.writeNumber(round(values[i], i < 4 ? 1e5 : 1e3));
                }
                out.writeEndArray();
            }
        });
        module.addDeserializer(Matrix.class, new JsonDeserializer<>() {
            @Override
            public Matrix deserialize(JsonParser in, DeserializationContext c) throws IOException {
                double[] m = in.readValueAs(double[].class);
                return new Matrix(m[0], m[1], m[2], m[3], m[4], m[5]);
            }
        });
        module.addSerializer(Point.class, new JsonSerializer<>() {
            @Override
            public void serialize(Point v, JsonGenerator out, SerializerProvider p) throws IOException {
                out.writeArray(new double[] {v.x(), v.y()}, 0, 2);
            }
        });
        module.addDeserializer(Point.class, new JsonDeserializer<>() {
            @Override
            public Point deserialize(JsonParser in, DeserializationContext c) throws IOException {
                double[] xy = in.readValueAs(double[].class);
                return new Point(xy[0], xy[1]);
            }
        });
        module.addSerializer(Offset.class, new OffsetForm.Writer());
        module.addDeserializer(Offset.class, new OffsetForm.Reader());
        // most parts are not bent, and a sweep has thousands of them
        mapper.addMixIn(Frame.Placed.class, PlacedForm.class);
        Kinds.ALL.forEach(k -> choice(mapper, k));
        return mapper.registerModule(module)
                .registerModule(new Jdk8Module())
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .disable(SerializationFeature.FAIL_ON_EMPTY_BEANS);
    }

    private abstract static class PlacedForm {
        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        abstract List<Path> outlines();

        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        abstract List<String> outside();

        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        abstract List<String> behind();
    }

    private static double round(double v, double grain) {
        // adding zero turns -0.0, which costs a byte and says nothing, into 0.0
        return Math.rint(v * grain) / grain + 0.0;
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    private interface Choice {}

    private static void choice(ObjectMapper mapper, Kinds<?> kinds) {
        mapper.addMixIn(kinds.sealed(), Choice.class);
        kinds.options().forEach((kind, option) -> mapper.registerSubtypes(new NamedType(option, kind)));
    }

    private record Shapes(List<Shape> shapes) {}

    /** Artwork written out; the same artwork always gives the same text. */
    public static String artwork(Artwork art) {
        try {
            return SHAPES.writeValueAsString(new Shapes(art.shapes()));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Reads what {@link #artwork(Artwork)} wrote. */
    public static Artwork artwork(String json) {
        try {
            return new Artwork(SHAPES.readValue(json, Shapes.class).shapes());
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("stored artwork cannot be read", e);
        }
    }

    /**
     * What {@link #artwork(String)} makes of the text {@code json} of {@code art}. Plain shapes lose nothing but digits, and
     * are rounded instead of being read.
     */
    public static Artwork readBack(Artwork art, String json) {
        List<Shape> kept = new ArrayList<>(art.shapes().size());
        for (Shape s : art.shapes()) {
            if (!s.clips().isEmpty() || !plain(s.fill()) || !plain(s.stroke().paint()) || !rounds(s.path())) {
                return artwork(json);
            }
            kept.add(s.withPath(s.path().map(p -> new Point(round(p.x(), 1e4), round(p.y(), 1e4)))));
        }
        return new Artwork(kept);
    }

    private static boolean plain(Paint paint) {
        return paint instanceof Paint.None || paint instanceof Paint.Flat;
    }

    /** Whether every coordinate has its ten thousandths counted exactly, and no line goes on from a closed sub-path. */
    private static boolean rounds(Path path) {
        Segment before = null;
        for (Segment s : path.segments()) {
            if (before instanceof Segment.Close && !(s instanceof Segment.Move)) {
                return false;
            }
            before = s;
        }
        return path.points().stream().allMatch(p -> Math.abs(p.x()) < 1e11 && Math.abs(p.y()) < 1e11);
    }
}
