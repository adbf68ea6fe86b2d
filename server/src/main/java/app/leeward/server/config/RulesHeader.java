package app.leeward.server.config;

import app.leeward.core.rig.Character;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Tells with every answer which sources of core the server was built from. A page holds the same rules, compiled; one that was loaded
 * before the server was renewed finds out by this.
 */
final class RulesHeader extends OncePerRequestFilter {
    static final String NAME = "Leeward-Rules";

    private final String sources = sources();

    private static String sources() {
        try (InputStream in = Character.class.getResourceAsStream("/app/leeward/core/sources.sha256")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).strip();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader(NAME, sources);
        chain.doFilter(request, response);
    }
}
