package app.leeward.server.api;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.context.request.ServletWebRequest;

/**
 * How long an answer may be kept, and by which tag it is known again (RFC 9110, section 8.8.3).
 *
 * @param tag strong for a browser on this machine, because the web server compresses no answer with a strong tag, and
 *     compressing a large file takes longer than loopback does; weak for what another server hands on over a wire
 */
record ArtworkCaching(String tag) {
    /** Part of the tag of what a newer server may tell otherwise, or another one. */
    static final String THIS_SERVER = UUID.randomUUID().toString();

    private static final Duration FOR_GOOD = Duration.ofDays(365);

    /** @param hashes of all that is in the answer, in order */
    static ArtworkCaching of(Collection<String> hashes, ServletWebRequest request) {
        return new ArtworkCaching((overLoopback(request) ? "" : "W/") + named(hashes));
    }

    /** For an answer without artwork, which is small enough to be compressed on any way. */
    static ArtworkCaching weak(String... facts) {
        return new ArtworkCaching("W/" + named(List.of(facts)));
    }

    private static String named(Collection<String> facts) {
        return "\"" + UUID.nameUUIDFromBytes(String.join(" ", facts).getBytes(StandardCharsets.UTF_8)) + "\"";
    }

    private static boolean overLoopback(ServletWebRequest request) {
        String from = request.getRequest().getRemoteAddr();
        return (from.startsWith("127.") || from.equals("::1") || from.equals("0:0:0:0:0:0:0:1"))
                && request.getHeader("Forwarded") == null
                && request.getHeader("X-Forwarded-For") == null;
    }

    /** Whether whoever asks has it already; sets what the answer without a body needs. */
    boolean known(ServletWebRequest request) {
        return request.checkNotModified(tag);
    }

    /** @param forGood whether the same question is always answered alike */
    <T> ResponseEntity<T> answer(boolean forGood, T body) {
        CacheControl kept = forGood ? CacheControl.maxAge(FOR_GOOD).immutable() : CacheControl.noCache();
        return ResponseEntity.ok().eTag(tag).cacheControl(kept.cachePrivate()).body(body);
    }
}
