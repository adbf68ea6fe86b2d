package app.leeward.server.changes;

import app.leeward.server.socket.OpenSocket;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.WebSocketMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.AbstractWebSocketHandler;

/**
 * Pages that want to know what changes. Each is told everything, one JSON object a message:
 *
 * <pre>
 * {"kind":"character","id":…,"revision":7}                made, changed, renamed, put away or brought back
 * {"kind":"shot","id":…,"character":…,"revision":3}       likewise
 * {"kind":"exports","character":…}                        a file was asked for, is made, is ready, or is gone
 * {"kind":"readings","character":…}                       likewise a recording that is read
 * {"kind":"missed"}                                       something may have changed unheard: ask for all that is shown
 * {"kind":"still"}                                        nothing changed for a while
 * </pre>
 */
@Component
class ChangeSockets extends AbstractWebSocketHandler {
    /** Pages that are told; more of them ask now and then. */
    static final int MOST = 500;

    private final Map<String, OpenSocket> open = new ConcurrentHashMap<>();

    void tell(String change) {
        open.values().forEach(s -> s.tell(change));
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession socket) {
        OpenSocket end = OpenSocket.complete(socket);
        open.put(socket.getId(), end);
        if (open.size() > MOST) {
            open.remove(socket.getId());
            end.hangUp(CloseStatus.SERVICE_OVERLOAD);
        }
    }

    /** Nothing is expected from a page. */
    @Override
    public void handleMessage(WebSocketSession socket, WebSocketMessage<?> message) {
        OpenSocket end = open.remove(socket.getId());
        if (end != null) {
            end.hangUp(CloseStatus.POLICY_VIOLATION);
        }
    }

    @Override
    public void afterConnectionClosed(WebSocketSession socket, CloseStatus status) {
        open.remove(socket.getId());
    }
}
