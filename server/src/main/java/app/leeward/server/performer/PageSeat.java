package app.leeward.server.performer;

import app.leeward.formats.performer.DoorWriter;
import app.leeward.server.socket.OpenSocket;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/** Where the page listens to the performer of a shot; all it says is a word that comes back, by which it measures the way. */
@Component
class PageSeat extends TextWebSocketHandler {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Scenes scenes;
    private final Map<String, Seat> seats = new ConcurrentHashMap<>();

    PageSeat(Scenes scenes) {
        this.scenes = scenes;
    }

    private record Seat(String shot, Scene scene, OpenSocket end) {}

    @Override
    public void afterConnectionEstablished(WebSocketSession socket) {
        OpenSocket end = OpenSocket.dropping(socket);
        String shot = (String) socket.getAttributes().get(ShotAsked.SHOT);
        seats.put(socket.getId(), new Seat(shot, scenes.of(shot, s -> s.listens(end)), end));
    }

    @Override
    protected void handleTextMessage(WebSocketSession socket, TextMessage text) {
        Seat seat = seats.get(socket.getId());
        if (seat == null) {
            return;
        }
        try {
            JsonNode in = JSON.readTree(text.getPayload());
            if (in.path("kind").asText().equals("ping") && in.path("at").isNumber()) {
                seat.end().tell(DoorWriter.pong(in.get("at").asDouble()));
            }
        } catch (JsonProcessingException e) {
            seat.end().tell(DoorWriter.problem("This is no JSON."));
        }
    }

    @Override
    public void afterConnectionClosed(WebSocketSession socket, CloseStatus status) {
        Seat seat = seats.remove(socket.getId());
        if (seat != null) {
            seat.scene().stopsListening(seat.end());
            scenes.tidy(seat.shot());
        }
    }
}
