package app.leeward.server.api;

import app.leeward.core.text.PlainText;
import app.leeward.server.studio.Problem;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.KeyDeserializer;
import com.fasterxml.jackson.databind.deser.std.NumberDeserializers;
import com.fasterxml.jackson.databind.deser.std.StringDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.multipart.MultipartHttpServletRequest;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Holds every string that comes in to what can be kept: in JSON, in addresses, in forms and names of files. A string that
 * cannot be is refused here, before anything is done with it.
 */
@Component
class IncomingText implements HandlerInterceptor {
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> variables) {
            variables.forEach((name, value) -> require(String.valueOf(value), String.valueOf(name)));
        }
        request.getParameterMap().forEach((name, values) -> {
            require(name, "the name of a parameter");
            for (String value : values) {
                require(value, name);
            }
        });
        if (request instanceof MultipartHttpServletRequest form) {
            for (MultipartFile file : form.getFileMap().values()) {
                if (file.getOriginalFilename() != null) {
                    require(file.getOriginalFilename(), "the name of the file");
                }
            }
        }
        return true;
    }

    private static String require(String text, String place) {
        PlainText.fault(text).ifPresent(fault -> {
            throw new Problem(HttpStatus.BAD_REQUEST, "text-character", place, "'" + place + "' holds " + fault + ".");
        });
        return text;
    }

    /** Strings and keys of JSON. */
    static SimpleModule module() {
        SimpleModule module = new SimpleModule("incoming text");
        module.addDeserializer(String.class, new StringDeserializer() {
            private static final long serialVersionUID = 1;

            @Override
            public String deserialize(JsonParser in, DeserializationContext context) throws IOException {
                String text = super.deserialize(in, context);
                return text == null ? null : require(text, place(in));
            }
        });
        module.addKeyDeserializer(String.class, new KeyDeserializer() {
            @Override
            public Object deserializeKey(String key, DeserializationContext context) {
                return require(key, "a name in " + place(context.getParser()));
            }
        });
        for (Class<Double> number : List.of(Double.class, double.class)) {
            module.addDeserializer(number, finite(number));
        }
        return module;
    }

    /** JSON knows no infinity, but 1e999 is read as one, and nothing that is measured or moved is infinite. */
    private static NumberDeserializers.DoubleDeserializer finite(Class<Double> number) {
        return new NumberDeserializers.DoubleDeserializer(number, number.isPrimitive() ? 0.0 : null) {
            private static final long serialVersionUID = 1;

            @Override
            public Double deserialize(JsonParser in, DeserializationContext context) throws IOException {
                Double read = super.deserialize(in, context);
                if (read != null && !Double.isFinite(read)) {
                    throw new Problem(
                            HttpStatus.BAD_REQUEST,
                            "no-number",
                            place(in),
                            place(in) + " is larger than any number that can be worked with.");
                }
                return read;
            }
        };
    }

    private static String place(JsonParser in) {
        String path = in.getParsingContext().pathAsPointer().toString();
        return path.isEmpty() ? "what was sent" : path.substring(1).replace('/', '.');
    }
}
