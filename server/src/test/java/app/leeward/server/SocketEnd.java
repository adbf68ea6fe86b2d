package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.net.http.WebSocketHandshakeException;
import java.nio.ByteBuffer;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;

/** One end of a WebSocket, by the JDK's own client; what it was told waits in a queue. */
final class SocketEnd implements WebSocket.Listener {
    private final BlockingQueue<String> told = new LinkedBlockingQueue<>();
    private final StringBuilder part = new StringBuilder();
    private WebSocket socket;

    private SocketEnd() {}

    /** @param headers names and values in turn */
    static SocketEnd at(int port, String path, String... headers) {
        SocketEnd end = new SocketEnd();
        WebSocket.Builder builder = HttpClient.newHttpClient().newWebSocketBuilder();
        for (int i = 0; i < headers.length; i += 2) {
            builder.header(headers[i], headers[i + 1]);
        }
        end.socket = builder.buildAsync(URI.create("ws://127.0.0.1:" + port + path), end)
                .join();
        return end;
    }

    /** With which status a handshake is refused. */
    static int refused(Runnable asking) {
        try {
            asking.run();
        } catch (CompletionException e) {
            return ((WebSocketHandshakeException) e.getCause()).getResponse().statusCode();
        }
        throw new AssertionError("it was let in");
    }

    @Override
    public CompletionStage<?> onText(WebSocket s, CharSequence data, boolean last) {
        part.append(data);
        if (last) {
            told.add(part.toString());
            part.setLength(0);
        }
        s.request(1);
        return null;
    }

    @Override
    public CompletionStage<?> onClose(WebSocket s, int code, String reason) {
        told.add("{\"kind\":\"closed\",\"code\":" + code + "}");
        return null;
    }

    void say(String text) {
        socket.sendText(text, true).join();
    }

    void say(byte[] bytes) {
        socket.sendBinary(ByteBuffer.wrap(bytes), true).join();
    }

    void close() {
        socket.sendClose(WebSocket.NORMAL_CLOSURE, "").join();
    }

    void abort() {
        socket.abort();
    }

    boolean isClosed() {
        return socket.isOutputClosed();
    }

    JsonNode next(Predicate<JsonNode> which) {
        try {
            for (int i = 0; i < 5000; i++) {
                // the first voice of all waits until the sounds are loaded
                String text = told.poll(40, TimeUnit.SECONDS);
                assertThat(text).as("a message that is waited for").isNotNull();
                JsonNode message = Client.JSON.readTree(text);
                if (which.test(message)) {
                    return message;
                }
            }
        } catch (InterruptedException | JsonProcessingException e) {
            throw new AssertionError(e);
        }
        throw new AssertionError("it did not come");
    }

    JsonNode next(String kind) {
        return next(m -> m.get("kind").asText().equals(kind));
    }
}
