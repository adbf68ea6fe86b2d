package app.leeward.server.performer;

import app.leeward.formats.performer.DoorMessage;
import app.leeward.formats.performer.DoorProblem;
import app.leeward.formats.performer.DoorReader;
import app.leeward.formats.performer.DoorWriter;
import app.leeward.server.socket.OpenSocket;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.BinaryMessage;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.AbstractWebSocketHandler;

/** Where a performer comes in. */
@Component
class PerformerDoor extends AbstractWebSocketHandler {
    /** Codes of our own, from the range RFC 6455 leaves to applications. */
    static final int TAKEN = 4009;

    static final int FLOODED = 4029;

    static final int NONSENSE = 4000;

    private final Scenes scenes;
    private final Map<String, Guest> guests = new ConcurrentHashMap<>();

    PerformerDoor(Scenes scenes) {
        this.scenes = scenes;
    }

    private record Guest(String shot, Scene scene, OpenSocket end, Patience patience) {}

    @Override
    public void afterConnectionEstablished(WebSocketSession socket) {
        OpenSocket end = OpenSocket.dropping(socket);
        String shot = (String) socket.getAttributes().get(ShotAsked.SHOT);
        boolean[] in = {false};
        Scene scene = scenes.of(shot, s -> in[0] = s.enters(end));
        if (!in[0]) {
            end.tell(DoorWriter.problem(
                    "This shot is played by " + scene.who() + " already; one performer plays it at a time."));
            end.hangUp(new CloseStatus(TAKEN, "another performer plays this shot"));
            return;
        }
        guests.put(socket.getId(), new Guest(shot, scene, end, new Patience()));
        end.tell(DoorWriter.welcome(shot));
    }

    @Override
    protected void handleTextMessage(WebSocketSession socket, TextMessage text) {
        Guest guest = guests.get(socket.getId());
        if (guest == null) {
            return;
        }
        long now = System.nanoTime();
        switch (guest.patience().message(now)) {
            case TURN_AWAY -> {
                guest.scene()
                        .tellPages(DoorWriter.problem("The performer sent more than " + Patience.FLOOD
                                + " messages in a second and was turned away."));
                guest.end().hangUp(new CloseStatus(FLOODED, "more than " + Patience.FLOOD + " messages a second"));
            }
            case LEAVE_OUT -> {
                if (guest.patience().tells(now)) {
                    guest.end().tell(DoorWriter.problem(Patience.LEFT_OUT));
                    guest.scene().tellPages(DoorWriter.problem("The performer floods. " + Patience.LEFT_OUT));
                }
            }
            case TAKE -> take(guest, text.getPayload(), now);
        }
    }

    private void take(Guest guest, String text, long now) {
        try {
            DoorMessage message = DoorReader.read(text);
            guest.patience().right();
            guest.scene().says(message);
        } catch (DoorProblem e) {
            boolean enough = guest.patience().wrong();
            if (enough || guest.patience().tells(now)) {
                guest.end().tell(DoorWriter.problem(e.getMessage()));
                guest.scene()
                        .tellPages(DoorWriter.problem("The performer sent what cannot be taken. " + e.getMessage()));
            }
            if (enough) {
                guest.end().hangUp(new CloseStatus(NONSENSE, Patience.NONSENSE + " wrong messages in a row"));
            }
        }
    }

    @Override
    protected void handleBinaryMessage(WebSocketSession socket, BinaryMessage bytes) {
        Guest guest = guests.get(socket.getId());
        if (guest != null) {
            guest.end().tell(DoorWriter.problem("Messages are texts, one JSON object each."));
        }
    }

    @Override
    public void afterConnectionClosed(WebSocketSession socket, CloseStatus status) {
        Guest guest = guests.remove(socket.getId());
        if (guest != null) {
            guest.scene().leaves(guest.end(), reason(status));
            scenes.tidy(guest.shot());
        }
    }

    private static String reason(CloseStatus status) {
        return switch (status.getCode()) {
            case 1000, 1001 -> "";
            case 1009 -> "it sent a message of more than " + DoorReader.LONGEST / 1024 + " KB";
            case FLOODED, NONSENSE -> status.getReason();
            default -> "the connection broke";
        };
    }
}
