package app.leeward.server.changes;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;

/** Where pages are told what changes. Other pages than ours are turned away at the handshake. */
@Configuration
class ChangeAddress implements WebSocketConfigurer {
    private final ChangeSockets sockets;

    ChangeAddress(ChangeSockets sockets) {
        this.sockets = sockets;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(sockets, "/api/v1/changes");
    }
}
