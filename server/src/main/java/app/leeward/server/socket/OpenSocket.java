package app.leeward.server.socket;

import jakarta.websocket.Session;
import java.io.IOException;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.adapter.NativeWebSocketSession;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator.OverflowStrategy;

/** A socket that never makes whoever writes to it wait for long. */
public final class OpenSocket implements Listener {
    private static final int LONGEST_WAIT = 2000;
    private static final Long LONGEST_WRITE = 1000L;
    private static final int MOST_WAITING = 64 * 1024;

    private final WebSocketSession socket;

    private OpenSocket(WebSocketSession socket, OverflowStrategy whenSlow) {
        if (socket instanceof NativeWebSocketSession ours && ours.getNativeSession() instanceof Session session) {
            // the container's own way to say how long a write may wait; twenty seconds if nobody does
            session.getUserProperties().put("org.apache.tomcat.websocket.BLOCKING_SEND_TIMEOUT", LONGEST_WRITE);
        }
        this.socket = new ConcurrentWebSocketSessionDecorator(socket, LONGEST_WAIT, MOST_WAITING, whenSlow);
    }

    /** One that is told what is new: what it has not taken in time is dropped, the oldest first. */
    public static OpenSocket dropping(WebSocketSession socket) {
        return new OpenSocket(socket, OverflowStrategy.DROP);
    }

    /** One that is told everything or hung up: whoever is at its other end then knows that something was missed. */
    public static OpenSocket complete(WebSocketSession socket) {
        return new OpenSocket(socket, OverflowStrategy.TERMINATE);
    }

    @Override
    public void tell(String message) {
        try {
            if (socket.isOpen()) {
                socket.sendMessage(new TextMessage(message));
            }
        } catch (IOException | RuntimeException gone) {
            hangUp(CloseStatus.SESSION_NOT_RELIABLE);
        }
    }

    public void hangUp(CloseStatus why) {
        try {
            socket.close(why);
        } catch (IOException | RuntimeException gone) {
            // it is gone already
        }
    }
}
