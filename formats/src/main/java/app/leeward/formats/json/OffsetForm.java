package app.leeward.formats.json;

import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Offset;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonSerializer;
import com.fasterxml.jackson.databind.SerializerProvider;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** An offset as JSON: the numbers that change something, each under the id of its channel. */
final class OffsetForm {
    private static final Map<String, Channel> BY_ID =
            Channel.STANDARD.stream().collect(Collectors.toMap(Channel::id, Function.identity()));

    private OffsetForm() {}

    static final class Writer extends JsonSerializer<Offset> {
        @Override
        public void serialize(Offset value, JsonGenerator out, SerializerProvider p) throws IOException {
            out.writeStartObject();
            for (Channel c : Channel.STANDARD) {
                if (value.channels().contains(c)) {
                    out.writeNumberField(c.id(), value.of(c));
                }
            }
            out.writeEndObject();
        }
    }

    static final class Reader extends JsonDeserializer<Offset> {
        @Override
        public Offset deserialize(JsonParser in, DeserializationContext context) throws IOException {
            Map<Channel, Double> numbers = new HashMap<>();
            if (in.currentToken() != JsonToken.START_OBJECT) {
                context.reportWrongTokenException(this, JsonToken.START_OBJECT, "an offset is an object of numbers");
            }
            for (String name = in.nextFieldName(); name != null; name = in.nextFieldName()) {
                in.nextToken();
                Channel channel = BY_ID.get(name);
                if (channel == null) {
                    context.handleUnknownProperty(in, this, Offset.class, name);
                } else if (in.currentToken().isNumeric()) {
                    numbers.put(channel, in.getDoubleValue());
                } else {
                    context.reportInputMismatch(this, "'%s' of an offset is a number", name);
                }
            }
            return Offset.of(numbers);
        }
    }
}
