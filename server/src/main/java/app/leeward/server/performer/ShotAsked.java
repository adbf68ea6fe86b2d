package app.leeward.server.performer;

import app.leeward.server.studio.Lines;
import app.leeward.server.studio.Problem;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.WebSocketHandler;
import org.springframework.web.socket.server.HandshakeInterceptor;

/** Nobody is let in to a shot that is not there. */
@Component
class ShotAsked implements HandshakeInterceptor {
    static final String SHOT = "shot";

    private final Lines lines;

    ShotAsked(Lines lines) {
        this.lines = lines;
    }

    @Override
    public boolean beforeHandshake(
            ServerHttpRequest request,
            ServerHttpResponse response,
            WebSocketHandler handler,
            Map<String, Object> kept) {
        String[] path = request.getURI().getPath().split("/");
        try {
            // /api/v1/performers/{shot} and /api/v1/performers/{shot}/page
            UUID shot = UUID.fromString(path[4]);
            lines.snapshot(shot);
            kept.put(SHOT, shot.toString());
            return true;
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException | Problem e) {
            response.setStatusCode(HttpStatus.NOT_FOUND);
            return false;
        }
    }

    @Override
    public void afterHandshake(
            ServerHttpRequest request, ServerHttpResponse response, WebSocketHandler handler, Exception failure) {
        // nothing is left to do
    }
}
