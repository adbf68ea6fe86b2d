package app.leeward.server.performer;

import app.leeward.formats.performer.DoorProblem;
import app.leeward.formats.performer.DoorWriter;
import app.leeward.formats.performer.VoiceMessages;
import app.leeward.server.socket.OpenSocket;
import app.leeward.speech.LineReader;
import app.leeward.speech.StreamedSound;
import app.leeward.speech.acoustic.LiveSounds;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.BinaryMessage;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.AbstractWebSocketHandler;

/** Listens to voices while they speak, and tells their sounds at once. Nothing of them is kept here. */
@Component
class VoiceDoor extends AbstractWebSocketHandler {
    /** Longest piece of a voice, bytes. */
    static final int LONGEST = 64 * 1024;

    /** Voices that are listened to at once: each takes a twentieth of a processor. */
    static final int MOST = 8;

    /** By how much a voice may be ahead of the clock, seconds: what waited while a machine was busy. */
    private static final double AHEAD = 4;

    static final int BUSY = 4013;

    private final LineReader reader;
    private final Map<String, Voice> voices = new ConcurrentHashMap<>();

    VoiceDoor(LineReader reader) {
        this.reader = reader;
    }

    /** One voice; its messages come one after the other. */
    private static final class Voice {
        private final OpenSocket end;
        private final Patience patience = new Patience();
        private StreamedSound stream;
        private LiveSounds listening;
        private int rate;
        /** By how much its sound is ahead of the clock, seconds, and when that was so. */
        private double ahead;

        private long last = System.nanoTime();

        Voice(OpenSocket end) {
            this.end = end;
        }
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession socket) {
        OpenSocket end = OpenSocket.dropping(socket);
        Voice voice = new Voice(end);
        voices.put(socket.getId(), voice);
        if (voices.size() > MOST) {
            voices.remove(socket.getId());
            end.tell(DoorWriter.problem(
                    MOST + " voices are listened to already; try again when one of them has ended."));
            end.hangUp(new CloseStatus(BUSY, "too many voices"));
        }
    }

    @Override
    protected void handleTextMessage(WebSocketSession socket, TextMessage text) {
        Voice voice = voices.get(socket.getId());
        if (voice == null || flooded(voice)) {
            return;
        }
        try {
            voice.rate = VoiceMessages.rate(text.getPayload());
            voice.stream = new StreamedSound(voice.rate, LiveSounds.RATE);
            voice.listening = reader.live();
            voice.patience.right();
            voice.end.tell(VoiceMessages.ready(LiveSounds.behind()));
        } catch (DoorProblem e) {
            wrong(voice, e.getMessage());
        }
    }

    @Override
    protected void handleBinaryMessage(WebSocketSession socket, BinaryMessage bytes) {
        Voice voice = voices.get(socket.getId());
        if (voice == null || flooded(voice)) {
            return;
        }
        try {
            byte[] pcm = new byte[bytes.getPayloadLength()];
            bytes.getPayload().get(pcm);
            float[] samples = VoiceMessages.samples(pcm);
            if (voice.listening == null) {
                wrong(voice, "Say how fast the samples come first: {\"kind\":\"begins\",\"rate\":48000}.");
                return;
            }
            long now = System.nanoTime();
            voice.ahead = Math.max(0, voice.ahead - (now - voice.last) / 1e9);
            voice.last = now;
            double seconds = (double) samples.length / voice.rate;
            if (voice.ahead + seconds > AHEAD) {
                wrong(voice, "More than " + voice.rate + " samples a second: what is over is left out.");
                return;
            }
            voice.ahead += seconds;
            voice.patience.right();
            for (LiveSounds.Heard h : voice.listening.hears(voice.stream.next(samples))) {
                voice.end.tell(VoiceMessages.hears(h.seconds(), h.phone()));
            }
        } catch (DoorProblem e) {
            wrong(voice, e.getMessage());
        }
    }

    private static boolean flooded(Voice voice) {
        return switch (voice.patience.message(System.nanoTime())) {
            case TAKE -> false;
            case LEAVE_OUT -> {
                if (voice.patience.tells(System.nanoTime())) {
                    voice.end.tell(DoorWriter.problem(Patience.LEFT_OUT));
                }
                yield true;
            }
            case TURN_AWAY -> {
                voice.end.hangUp(
                        new CloseStatus(PerformerDoor.FLOODED, "more than " + Patience.FLOOD + " messages a second"));
                yield true;
            }
        };
    }

    private static void wrong(Voice voice, String why) {
        boolean enough = voice.patience.wrong();
        if (enough || voice.patience.tells(System.nanoTime())) {
            voice.end.tell(DoorWriter.problem(why));
        }
        if (enough) {
            voice.end.hangUp(new CloseStatus(PerformerDoor.NONSENSE, Patience.NONSENSE + " wrong messages in a row"));
        }
    }

    @Override
    public void afterConnectionClosed(WebSocketSession socket, CloseStatus status) {
        voices.remove(socket.getId());
    }
}
