package app.leeward.bench;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Pose requests to a running server on this machine: one client asking as fast as it is answered, then 50 clients
 * dragging at 20 requests a second each. Argument: the server's address on the loopback.
 */
public final class PoseLoad {
    private PoseLoad() {}

    public static void main(String[] args) throws Exception {
        URI base = URI.create(args[0]);
        if (!"127.0.0.1".equals(base.getHost())) {
            throw new IllegalArgumentException("only this machine is ever asked: http://127.0.0.1:…");
        }
        HttpClient http =
                HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
        String list = http.send(
                        HttpRequest.newBuilder(base.resolve("/api/v1/characters"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        String id = list.replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        URI pose = base.resolve("/api/v1/characters/" + id + "/pose");
        one(http, pose, 1500);
        print("pose request, one client", one(http, pose, 2000), 2000);
        drag(http, pose, 50, 3);
        int seconds = 8;
        List<Long> many = drag(http, pose, 50, seconds);
        print("pose request, 50 clients at 20 a second", many, 50 * 20 * seconds);
    }

    private static HttpRequest request(URI at, String json) {
        return HttpRequest.newBuilder(at)
                .header("Content-Type", "application/json")
                .header("Accept-Encoding", "gzip")
                .header("Cookie", "XSRF-TOKEN=a-program")
                .header("X-XSRF-TOKEN", "a-program")
                .POST(HttpRequest.BodyPublishers.ofString(json))
                .build();
    }

    private static long ask(HttpClient http, URI pose, int n) throws Exception {
        String body = "{\"pose\":{\"dials\":{\"turn\":" + (n % 120 - 60) + ",\"blink\":0.5}},\"revision\":1}";
        long from = System.nanoTime();
        HttpResponse<byte[]> r = http.send(request(pose, body), HttpResponse.BodyHandlers.ofByteArray());
        if (r.statusCode() != 200) {
            throw new IllegalStateException("answered " + r.statusCode());
        }
        return System.nanoTime() - from;
    }

    private static List<Long> one(HttpClient http, URI pose, int count) throws Exception {
        List<Long> times = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            times.add(ask(http, pose, i));
        }
        return times;
    }

    private static List<Long> drag(HttpClient http, URI pose, int clients, int seconds) throws Exception {
        ScheduledExecutorService pool = Executors.newScheduledThreadPool(clients);
        List<Long> times = java.util.Collections.synchronizedList(new ArrayList<>());
        CountDownLatch done = new CountDownLatch(clients * 20 * seconds);
        for (int c = 0; c < clients; c++) {
            for (int i = 0; i < 20 * seconds; i++) {
                int n = i;
                pool.schedule(
                        () -> {
                            try {
                                times.add(ask(http, pose, n));
                            } catch (Exception e) {
                                System.err.println(e.getMessage());
                            } finally {
                                done.countDown();
                            }
                        },
                        i * 50L + c,
                        TimeUnit.MILLISECONDS);
            }
        }
        done.await(seconds + 60L, TimeUnit.SECONDS);
        pool.shutdownNow();
        return times;
    }

    private static void print(String what, List<Long> times, int asked) {
        long[] sorted = times.stream().mapToLong(Long::longValue).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "%s: %d of %d answered, median %.2f ms, 95th percentile %.2f ms, worst %.1f ms%n",
                what,
                sorted.length,
                asked,
                sorted[sorted.length / 2] / 1e6,
                sorted[(int) (sorted.length * 0.95)] / 1e6,
                Arrays.stream(sorted).max().orElse(0) / 1e6);
    }
}
