package app.leeward.formats.performer;

import app.leeward.core.signal.Signal;
import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads what a performer says. Properties and signals nobody knows are left out, so that trackers may tell more than is understood. */
public final class DoorReader {
    /** Longest message, bytes: every signal there is, ten times over. */
    public static final int LONGEST = 16 * 1024;

    private static final int LONGEST_NAME = 80;
    private static final double LONGEST_LATENCY = 1000;

    private static final ObjectMapper JSON = new ObjectMapper(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(8)
                            .maxNumberLength(40)
                            .maxStringLength(4000)
                            .build())
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);

    private DoorReader() {}

    /** The JSON Schema (2020-12) of every message, both ways. */
    public static String schema() {
        return Schemas.named("door");
    }

    /** @throws DoorProblem with place and reason */
    public static DoorMessage read(String text) throws DoorProblem {
        JsonNode in = object(text, "A message is an object with a kind: hello, signals or lost.");
        return switch (in.path("kind").asText("")) {
            case "hello" ->
                new DoorMessage.Hello(
                        text(in, "name").orElse("A performer"),
                        number(in, "latency", 0, LONGEST_LATENCY).orElse(0.0) / 1000);
            case "signals" -> signals(in);
            case "lost" -> new DoorMessage.Lost(text(in, "reason").orElse(""));
            default ->
                throw new DoorProblem(
                        "kind is hello, signals or lost, not " + in.path("kind").toString() + ".");
        };
    }

    /** @param otherwise what is said of other JSON */
    static JsonNode object(String text, String otherwise) throws DoorProblem {
        JsonNode in;
        try {
            in = JSON.readTree(text);
        } catch (JsonProcessingException e) {
            JsonLocation at = e.getLocation();
            throw new DoorProblem("This is no JSON: "
                    + (at == null ? "" : "at letter " + Math.max(1, at.getColumnNr()) + ", ")
                    + e.getOriginalMessage().replaceAll("\\s+", " ") + ".");
        }
        if (in == null || !in.isObject()) {
            throw new DoorProblem(otherwise);
        }
        return in;
    }

    private static DoorMessage signals(JsonNode in) throws DoorProblem {
        JsonNode told = in.path("signals");
        if (!told.isObject()) {
            throw new DoorProblem("signals holds an object: names such as head.yaw or au12, and a number to each.");
        }
        Map<Signal, Double> all = new EnumMap<>(Signal.class);
        List<Map.Entry<String, JsonNode>> entries = new ArrayList<>();
        told.fields().forEachRemaining(entries::add);
        for (Map.Entry<String, JsonNode> e : entries) {
            Optional<Signal> signal = Signal.of(e.getKey());
            if (signal.isPresent()) {
                all.put(signal.get(), signal.get().hold(finite("signals." + e.getKey(), e.getValue())));
            }
        }
        return new DoorMessage.Signals(in.has("at") ? finite("at", in.get("at")) : Double.NaN, all);
    }

    private static double finite(String where, JsonNode value) throws DoorProblem {
        if (!value.isNumber() || !Double.isFinite(value.asDouble())) {
            throw new DoorProblem(where + " is a finite number, not " + shortened(value.toString()) + ".");
        }
        return value.asDouble();
    }

    private static Optional<Double> number(JsonNode in, String name, double from, double to) throws DoorProblem {
        if (!in.has(name)) {
            return Optional.empty();
        }
        double value = finite(name, in.get(name));
        if (value < from || value > to) {
            throw new DoorProblem(name + " goes from " + from + " to " + to + ", not " + value + ".");
        }
        return Optional.of(value);
    }

    private static Optional<String> text(JsonNode in, String name) throws DoorProblem {
        JsonNode value = in.get(name);
        if (value == null) {
            return Optional.empty();
        }
        if (!value.isTextual()) {
            throw new DoorProblem(name + " is text, not " + shortened(value.toString()) + ".");
        }
        String plain = value.asText().strip().replaceAll("[\\p{Cntrl}\\s]+", " ");
        return plain.isEmpty()
                ? Optional.empty()
                : Optional.of(plain.substring(0, Math.min(LONGEST_NAME, plain.length())));
    }

    static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + " …" : text;
    }
}
