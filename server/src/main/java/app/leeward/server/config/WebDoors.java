package app.leeward.server.config;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.security.SecurityProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRequestAttributeHandler;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Who may ask for what, as long as nobody signs in: pages of this server only. docs/security.md says what is promised by it.
 */
@Configuration
class WebDoors {
    /** The page: scripts from here only. The interface's library puts rules for its own pieces into the page. */
    static final String PAGE_POLICY = "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline';"
            + " img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; media-src 'self' blob:; worker-src 'self';"
            + " frame-src 'self';"
            + " manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
    /**
     * The frame that finds faces in a camera's picture: its library makes functions of texts while it starts, which the page itself is
     * not to be able to. Nothing anybody wrote is shown in it.
     */
    static final String FACE_POLICY =
            "default-src 'none'; script-src 'self' 'unsafe-eval' 'wasm-unsafe-eval'; connect-src 'self';"
                    + " media-src 'self' blob:; img-src 'self' data: blob:; base-uri 'none'; form-action 'none'; frame-ancestors 'self'";

    private static final String FACE = "/face.html";
    /** Answers that a browser may show by themselves, such as a drawing: nothing in them runs or is fetched. */
    static final String ANSWER_POLICY = "default-src 'none'; img-src 'self' data:; style-src 'unsafe-inline';"
            + " base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
    /** The microphone records lines, the camera sees who performs; nothing else of the machine is asked for. */
    static final String PERMISSIONS =
            "microphone=(self), camera=(self), geolocation=(), display-capture=(), midi=(), usb=(),"
                    + " serial=(), bluetooth=(), payment=()";

    private static final String TOKEN_COOKIE = "XSRF-TOKEN";

    @Bean
    @Order(SecurityProperties.BASIC_AUTH_ORDER)
    SecurityFilterChain doors(HttpSecurity http) throws Exception {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieName(TOKEN_COOKIE);
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict").path("/"));
        return http.sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .authorizeHttpRequests(a -> a.anyRequest().permitAll())
                .requestCache(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .csrf(c -> c.csrfTokenRepository(tokens).csrfTokenRequestHandler(new HeaderOnly()))
                .addFilterBefore(new SameOrigin(), CsrfFilter.class)
                .addFilterBefore(new RulesHeader(), SameOrigin.class)
                .exceptionHandling(e -> e.accessDeniedHandler((request, response, denied) -> Refusals.write(
                        response,
                        403,
                        "no-token",
                        "Whoever writes sends the value of the cookie " + TOKEN_COOKIE
                                + " in the header X-XSRF-TOKEN; reload the page.")))
                .headers(h -> h.cacheControl(c -> c.disable())
                        .frameOptions(f -> f.disable())
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(p -> p.policy(PERMISSIONS))
                        .crossOriginOpenerPolicy(p -> p.policy(
                                org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter
                                        .CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .crossOriginResourcePolicy(p -> p.policy(
                                org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter
                                        .CrossOriginResourcePolicy.SAME_ORIGIN))
                        .addHeaderWriter((request, response) -> {
                            boolean face = request.getRequestURI().equals(FACE);
                            response.setHeader("X-Frame-Options", face ? "SAMEORIGIN" : "DENY");
                            response.setHeader(
                                    "Content-Security-Policy",
                                    face
                                            ? FACE_POLICY
                                            : request.getRequestURI().startsWith("/api/")
                                                    ? ANSWER_POLICY
                                                    : PAGE_POLICY);
                        }))
                .build();
    }

    /** The token counts in its header only: looking for it in a form would mean to read the form first. */
    private static final class HeaderOnly extends CsrfTokenRequestAttributeHandler {
        HeaderOnly() {
            // drawn with the first answer, so that the page has it before it writes
            setCsrfRequestAttributeName(null);
        }

        @Override
        public String resolveCsrfTokenValue(HttpServletRequest request, CsrfToken token) {
            return request.getHeader(token.getHeaderName());
        }
    }

    /**
     * Names this server answers to. Another name in an address can be made to point here by whoever owns it, and the pages
     * under that name would then count as ours.
     */
    @Bean
    HttpFirewall namesOfThisServer(@Value("${leeward.hosts}") Set<String> hosts) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(hosts::contains);
        return firewall;
    }

    @Bean
    RequestRejectedHandler rejected(@Value("${leeward.hosts}") Set<String> hosts) {
        return (request, response, why) -> {
            if (hosts.contains(request.getServerName())) {
                Refusals.write(response, 400, "address", "This address holds what no address here has.");
            } else {
                Refusals.write(
                        response,
                        421,
                        "host",
                        "This server is not known by that name. Names it answers to are told it in LEEWARD_HOSTS.");
            }
        };
    }
}
