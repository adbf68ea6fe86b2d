package app.leeward.server.config;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses whatever a browser says comes from a page of another origin, but for plain reading: by {@code Sec-Fetch-Site} (W3C
 * Fetch Metadata) and by {@code Origin}. Programs that are no browsers send neither.
 */
final class SameOrigin extends OncePerRequestFilter {
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> OURS = Set.of("same-origin", "none");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader("Origin");
        boolean foreign = site != null && !OURS.contains(site) || origin != null && !ours(origin, request);
        if (foreign && !READING.contains(request.getMethod())) {
            Refusals.write(response, 403, "other-origin", "This was asked for by a page of another origin.");
            return;
        }
        chain.doFilter(request, response);
    }

    private static boolean ours(String origin, HttpServletRequest request) {
        try {
            return request.getHeader("Host") != null
                    && request.getHeader("Host")
                            .equalsIgnoreCase(URI.create(origin).getAuthority());
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
