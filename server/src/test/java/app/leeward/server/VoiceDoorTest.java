package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletionException;
import java.util.concurrent.LinkedBlockingQueue;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The door for voices as a page meets it: the JDK's own WebSocket client, knowing nothing of the server's classes. */
@ServerTest
class VoiceDoorTest {
    private static final int HEADER = 44;

    @LocalServerPort
    int port;

    private final BlockingQueue<SocketEnd> open = new LinkedBlockingQueue<>();

    @AfterEach
    void hangUp() {
        open.forEach(SocketEnd::abort);
    }

    private SocketEnd voice(String... headers) {
        SocketEnd end = SocketEnd.at(port, "/api/v1/voices", headers);
        open.add(end);
        return end;
    }

    private static String begins(int rate) {
        return "{\"kind\":\"begins\",\"rate\":" + rate + "}";
    }

    @Test
    void aVoiceIsHeardWhileItSpeaks() {
        byte[] wav = DemoFiles.lines().get(0).wav();
        int rate = ByteBuffer.wrap(wav).order(ByteOrder.LITTLE_ENDIAN).getInt(24);
        SocketEnd voice = voice();
        voice.say(begins(rate));
        assertThat(voice.next("ready").get("behind").asInt()).isBetween(1, 250);
        // as long as it is less than four seconds ahead of the clock
        byte[] spoken = Arrays.copyOfRange(wav, HEADER, Math.min(wav.length, HEADER + 3 * 2 * rate));
        for (int at = 0; at < spoken.length; at += 2 * rate / 50) {
            voice.say(Arrays.copyOfRange(spoken, at, Math.min(spoken.length, at + 2 * rate / 50)));
        }
        List<String> sounds = new ArrayList<>();
        double last = 0;
        while (last < 1.5) {
            JsonNode heard = voice.next("hears");
            assertThat(heard.get("at").asDouble()).isGreaterThanOrEqualTo(last);
            last = heard.get("at").asDouble();
            sounds.add(heard.path("phone").asText(""));
        }
        assertThat(sounds.stream().filter(s -> !s.isEmpty()).distinct()).hasSizeGreaterThan(3);
    }

    private static void told(SocketEnd voice, String why) {
        assertThat(voice.next("problem").get("message").asText()).contains(why);
    }

    private SocketEnd begun() {
        SocketEnd voice = voice();
        voice.say(begins(16_000));
        voice.next("ready");
        return voice;
    }

    /** A problem is told once a second at most, so each comes by a voice of its own. */
    @Test
    void nonsenseIsToldAndWhatIsRightIsTakenAllTheSame() {
        SocketEnd early = voice();
        early.say(new byte[320]);
        told(early, "how fast the samples come first");
        early.say(begins(16_000));
        early.next("ready");
        SocketEnd slow = voice();
        slow.say(begins(17));
        told(slow, "not 17");
        SocketEnd none = voice();
        none.say("{\"kind\":\"begins\",\"rate\":NaN}");
        told(none, "no JSON");
        SocketEnd odd = begun();
        odd.say(new byte[321]);
        told(odd, "two bytes");
        SocketEnd ahead = begun();
        // half a minute in one go is more than a voice can have said, however slowly it is listened to
        for (int i = 0; i < 60; i++) {
            ahead.say(new byte[16_000]);
        }
        told(ahead, "16000 samples a second");
        assertThat(ahead.isClosed()).isFalse();
    }

    @Test
    void aFloodAndALongMessageEndTheirConnectionsAndNoOther() {
        SocketEnd other = voice();
        SocketEnd flood = voice();
        try {
            for (int i = 0; i < 100_000; i++) {
                flood.say(begins(16_000));
            }
        } catch (CompletionException closed) {
            // turned away in the middle of it
        }
        assertThat(flood.next("closed").get("code").asInt()).isEqualTo(4029);
        SocketEnd large = begun();
        try {
            large.say(new byte[10_000_000]);
        } catch (CompletionException closed) {
            // in the middle of it
        }
        large.next("closed");
        other.say(begins(16_000));
        other.next("ready");
    }

    @Test
    void oneTooManyAndOneFromAnotherPageAreTurnedAway() {
        assertThat(SocketEnd.refused(() -> voice("Origin", "http://elsewhere.example")))
                .isEqualTo(403);
        for (int i = 0; i < 8; i++) {
            begun();
        }
        SocketEnd ninth = voice();
        assertThat(ninth.next("problem").get("message").asText()).contains("8 voices");
        assertThat(ninth.next("closed").get("code").asInt()).isEqualTo(4013);
    }
}
