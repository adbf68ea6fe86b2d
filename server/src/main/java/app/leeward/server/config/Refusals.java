package app.leeward.server.config;

import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;

/** Problem documents (RFC 9457) written by what stands before the API: the same form as {@code ProblemAdvice} gives. */
final class Refusals {
    private static final ObjectMapper JSON = new ObjectMapper();

    private Refusals() {}

    static byte[] body(int status, String code, String message) throws IOException {
        Map<String, Object> problem = new LinkedHashMap<>();
        problem.put("type", "about:blank");
        problem.put("status", status);
        problem.put("detail", message);
        problem.put("code", code);
        return JSON.writeValueAsString(problem).getBytes(StandardCharsets.UTF_8);
    }

    static void write(HttpServletResponse response, int status, String code, String message) throws IOException {
        if (response.isCommitted()) {
            return;
        }
        byte[] body = body(status, code, message);
        response.resetBuffer();
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.setContentLength(body.length);
        if (status == HttpServletResponse.SC_SERVICE_UNAVAILABLE) {
            response.setHeader("Retry-After", "5");
        }
        response.getOutputStream().write(body);
        response.flushBuffer();
    }
}
