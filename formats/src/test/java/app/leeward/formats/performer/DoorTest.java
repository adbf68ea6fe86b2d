package app.leeward.formats.performer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.performer.SimulatedPerformance;
import app.leeward.core.signal.Signal;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The door against its schema, judged by an independent validator. */
class DoorTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonSchema SCHEMA =
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(DoorReader.schema());

    private static JsonNode valid(String text) throws Exception {
        JsonNode tree = JSON.readTree(text);
        assertThat(SCHEMA.validate(tree)).as(text).isEmpty();
        return tree;
    }

    @ParameterizedTest
    @EnumSource
    void aScriptedPerformanceGoesThroughTheDoorAsItIs(SimulatedPerformance p) throws Exception {
        for (double t = 0; t < p.seconds(); t += 0.5) {
            Map<Signal, Double> said = p.at(t);
            String text = DoorWriter.signals(new DoorMessage.Signals(t, said));
            valid(text);
            assertThat(DoorReader.read(text)).isEqualTo(new DoorMessage.Signals(t, said));
        }
    }

    @Test
    void theSchemaNamesEverySignalWithItsRange() throws Exception {
        Map<String, String> named = new TreeMap<>();
        JSON.readTree(DoorReader.schema())
                .at("/$defs/signals/properties/signals/properties")
                .fields()
                .forEachRemaining(e -> named.put(
                        e.getKey(),
                        e.getValue().get("minimum").asDouble() + " "
                                + e.getValue().get("maximum").asDouble()));
        Map<String, String> ours = new TreeMap<>();
        for (Signal s : Signal.values()) {
            ours.put(s.word(), s.from() + " " + s.to());
        }
        assertThat(named).isEqualTo(ours);
        valid(DoorWriter.welcome("3f"));
        valid(DoorWriter.problem("no"));
    }

    @Test
    void whatTheValidatorTakesIsRead() throws Exception {
        String hello = "{\"kind\":\"hello\",\"name\":\" A\\u0007 tracker \",\"latency\":38,\"more\":[1]}";
        valid(hello);
        assertThat(DoorReader.read(hello)).isEqualTo(new DoorMessage.Hello("A tracker", 0.038));
        valid("{\"kind\":\"lost\"}");
        assertThat(DoorReader.read("{\"kind\":\"lost\"}")).isEqualTo(new DoorMessage.Lost(""));
        String more = "{\"kind\":\"signals\",\"signals\":{\"au12\":0.5,\"tongue\":1}}";
        valid(more);
        assertThat(((DoorMessage.Signals) DoorReader.read(more)).signals()).isEqualTo(Map.of(Signal.AU12, 0.5));
    }

    /** A tracker shoots a little over a range; the schema says so, and the door holds it rather than lose the face. */
    @Test
    void aValueOutsideItsRangeIsHeldInside() throws Exception {
        String over = "{\"kind\":\"signals\",\"signals\":{\"au12\":1.04,\"head.yaw\":-200}}";
        assertThat(SCHEMA.validate(JSON.readTree(over))).isNotEmpty();
        assertThat(((DoorMessage.Signals) DoorReader.read(over)).signals())
                .isEqualTo(Map.of(Signal.AU12, 1.0, Signal.HEAD_YAW, -90.0));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"kind\":\"signals\",\"signals\":{\"au12\":\"much\"}} | signals.au12",
                "{\"kind\":\"signals\",\"signals\":{\"au12\":1e999}} | signals.au12",
                "{\"kind\":\"signals\",\"signals\":[1,2]} | signals holds an object",
                "{\"kind\":\"signals\"} | signals holds an object",
                "{\"kind\":\"dance\"} | kind is hello, signals or lost",
                "{\"kind\":\"hello\",\"name\":7} | name is text",
                "{\"kind\":\"hello\",\"latency\":-3} | latency goes from",
                "[1,2] | an object with a kind",
                "{\"kind\":\"signals\",\"signals\":{\"au12\":null}} | signals.au12"
            })
    void whatItRefusesTheValidatorRefusesToo(String text, String place) throws Exception {
        assertThatThrownBy(() -> DoorReader.read(text))
                .isInstanceOf(DoorProblem.class)
                .hasMessageContaining(place);
        assertThat(SCHEMA.validate(JSON.readTree(text))).isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"kind\":\"signals\",\"signals\":{\"au12\":NaN}}",
                "{\"kind\":",
                "",
                "{\"kind\":\"lost\"} and more",
                "[[[[[[[[[[[[[[[[[[[[[[[[]]]]]]]]]]]]]]]]]]]]]]]]"
            })
    void whatIsNoJsonIsRefusedWithItsPlace(String text) {
        assertThatThrownBy(() -> DoorReader.read(text)).isInstanceOf(DoorProblem.class);
    }
}
