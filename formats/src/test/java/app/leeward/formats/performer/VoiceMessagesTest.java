package app.leeward.formats.performer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.speech.Phone;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The ear for voices against its schema, judged by an independent validator. */
class VoiceMessagesTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonSchema SCHEMA =
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(VoiceMessages.schema());

    private static JsonNode valid(String text) throws Exception {
        JsonNode tree = JSON.readTree(text);
        assertThat(SCHEMA.validate(tree)).as(text).isEmpty();
        return tree;
    }

    @ParameterizedTest
    @EnumSource
    void everySoundIsTold(Phone phone) throws Exception {
        assertThat(valid(VoiceMessages.hears(1.23456, Optional.of(phone)))
                        .at("/phone")
                        .asText())
                .isEqualTo(phone.name());
    }

    @Test
    void silenceIsToldAsNoSound() throws Exception {
        JsonNode told = valid(VoiceMessages.hears(2, Optional.empty()));
        assertThat(told.at("/phone").asText()).isEmpty();
        assertThat(told.at("/at").asDouble()).isEqualTo(2);
        assertThat(valid(VoiceMessages.ready(0.1134)).at("/behind").asInt()).isEqualTo(113);
        valid(DoorWriter.problem("no"));
    }

    @Test
    void whatIsSentFirstIsReadAndValid() throws Exception {
        String begins = "{\"kind\":\"begins\",\"rate\":44100,\"name\":\"mine\"}";
        valid(begins);
        assertThat(VoiceMessages.rate(begins)).isEqualTo(44_100);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"kind\":\"begins\"} | rate goes from",
                "{\"kind\":\"begins\",\"rate\":0} | rate goes from",
                "{\"kind\":\"begins\",\"rate\":1e99} | rate goes from",
                "{\"kind\":\"begins\",\"rate\":\"fast\"} | not \"fast\"",
                "{\"kind\":\"hello\"} | kind is begins",
                "[] | an object of the kind begins",
                "{ | at letter",
            })
    void anythingElseIsRefusedWithPlaceAndReason(String text, String reason) {
        assertThatThrownBy(() -> VoiceMessages.rate(text))
                .isInstanceOf(DoorProblem.class)
                .hasMessageContaining(reason);
    }

    @Test
    void samplesAreLittleEndian() throws Exception {
        byte[] pcm = {0, 0, 1, 0, -1, -1, 0, -128, -1, 127};
        assertThat(VoiceMessages.samples(pcm)).containsExactly(0, 1 / 32768f, -1 / 32768f, -1, 32767 / 32768f);
        assertThatThrownBy(() -> VoiceMessages.samples(new byte[3])).hasMessageContaining("two bytes");
    }
}
