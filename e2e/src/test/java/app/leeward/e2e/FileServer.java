package app.leeward.e2e;

import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** A plain file server on loopback, out of memory, under a content policy that allows nothing but its own files. */
final class FileServer implements AutoCloseable {
    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; connect-src 'self'; media-src 'self'; img-src 'self' data:";
    private static final Map<String, String> TYPES =
            Map.of("html", "text/html; charset=utf-8", "js", "text/javascript", "css", "text/css", "wav", "audio/wav");

    private final Map<String, byte[]> files = new ConcurrentHashMap<>();
    private final HttpServer server;

    FileServer() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", exchange -> {
            String path = exchange.getRequestURI().getPath().substring(1);
            byte[] file = files.get(path);
            String type = TYPES.get(path.substring(path.lastIndexOf('.') + 1));
            exchange.getResponseHeaders().set("Content-Security-Policy", POLICY);
            exchange.getResponseHeaders().set("Content-Type", type == null ? "application/octet-stream" : type);
            exchange.sendResponseHeaders(file == null ? 404 : 200, file == null ? -1 : file.length);
            if (file != null) {
                exchange.getResponseBody().write(file);
            }
            exchange.close();
        });
        server.start();
    }

    void put(String path, byte[] file) {
        files.put(path, file);
    }

    byte[] get(String path) {
        return files.get(path);
    }

    /** All files of a ZIP, in a folder. */
    List<String> unpack(String folder, byte[] archive) throws IOException {
        List<String> names = new ArrayList<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                put(folder + "/" + e.getName(), in.readAllBytes());
                names.add(e.getName());
            }
        }
        return names;
    }

    String url(String path) {
        return "http://127.0.0.1:" + server.getAddress().getPort() + "/" + path;
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
