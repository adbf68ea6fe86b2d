package app.leeward.bench.attack;

import app.leeward.bench.Api;
import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Four clients edit two characters through two servers over one database, while servers and database are killed at random
 * moments. Afterwards {@link Aftermath} looks at what the database holds. Drawn from a seed.
 */
public final class Chaos {
    private static final int CLIENTS = 4;
    private static final long LONGEST_WAIT = Duration.ofSeconds(40).toNanos();
    private static final List<String> PARTS =
            List.of("nose", "fringe", "ear-left", "ear-right", "cap", "cheek-left", "neck", "back-hair");

    private final Studio studio;
    private final long seed;
    private final int edits;
    private final int kills;
    private final int longestPauseMillis;
    private final List<Aftermath.Acknowledged> acknowledged = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger marks = new AtomicInteger();
    private final AtomicInteger unanswered = new AtomicInteger();
    private final AtomicInteger stale = new AtomicInteger();
    private final AtomicBoolean enough = new AtomicBoolean();
    private int serverKills;
    private int databaseKills;

    private Chaos(Studio studio, long seed, int edits, int kills, int longestPauseMillis) {
        this.studio = studio;
        this.seed = seed;
        this.edits = edits;
        this.kills = kills;
        this.longestPauseMillis = longestPauseMillis;
    }

    /** Arguments: seed, edits, kills; all may be left out. */
    public static void main(String[] args) throws Exception {
        long seed = args.length > 0 ? Long.parseLong(args[0]) : 20261127;
        int edits = args.length > 1 ? Integer.parseInt(args[1]) : 1_000;
        int kills = args.length > 2 ? Integer.parseInt(args[2]) : 50;
        System.out.println(run(Path.of("."), "chaos", seed, edits, kills, 2_000));
    }

    /**
     * @param edits that have to be acknowledged at the least
     * @param kills of servers and database together
     * @param longestPauseMillis between two of them
     * @return what was done and found, in words
     * @throws IllegalStateException when anything acknowledged is lost, or anything there is not as it has to be
     */
    public static String run(Path project, String cluster, long seed, int edits, int kills, int longestPauseMillis)
            throws Exception {
        try (Studio studio = Studio.start(project, cluster, 2, 700)) {
            return new Chaos(studio, seed, edits, kills, longestPauseMillis).run();
        }
    }

    private String run() throws Exception {
        long from = System.nanoTime();
        Api first = new Api(studio.servers().get(0).url());
        List<String> characters = List.of(
                first.character("maren.svg", DemoFiles.maren()), first.character("second.svg", DemoFiles.maren()));
        ExecutorService pool = Executors.newFixedThreadPool(CLIENTS);
        List<Future<?>> clients = new ArrayList<>();
        for (int i = 0; i < CLIENTS; i++) {
            Random random = new Random(seed * 31 + i);
            clients.add(pool.submit(() -> {
                edit(characters, random);
                return null;
            }));
        }
        try {
            untilEnough(clients);
        } finally {
            enough.set(true);
            pool.shutdown();
        }
        for (Future<?> client : clients) {
            client.get(2, TimeUnit.MINUTES);
        }
        studio.revive();
        for (Studio.Server server : studio.servers()) {
            studio.awaitHealth(server);
        }
        String found = new Aftermath(studio, characters, acknowledged).told();
        return String.format(
                Locale.ROOT,
                "chaos, seed %d: %d kills of servers, %d of the database in %.0f s; %d edits acknowledged, %d not answered, "
                        + "%d refused as stale; %s",
                seed,
                serverKills,
                databaseKills,
                (System.nanoTime() - from) / 1e9,
                acknowledged.size(),
                unanswered.get(),
                stale.get(),
                found);
    }

    private void untilEnough(List<Future<?>> clients) throws Exception {
        killThemAll(new Random(seed));
        while (acknowledged.size() < edits) {
            TimeUnit.MILLISECONDS.sleep(100);
            studio.revive();
            for (Future<?> client : clients) {
                if (client.isDone()) {
                    client.get();
                }
            }
        }
    }

    private void killThemAll(Random random) throws Exception {
        for (int i = 0; i < kills; i++) {
            // in the middle of edits: some come through between any two kills, unless it takes too long
            long until = System.nanoTime() + LONGEST_WAIT;
            while (acknowledged.size() < edits * i / kills && System.nanoTime() < until) {
                TimeUnit.MILLISECONDS.sleep(50);
                studio.revive();
            }
            TimeUnit.MILLISECONDS.sleep(random.nextInt(longestPauseMillis));
            if (random.nextInt(3) == 0) {
                studio.killDatabase();
                databaseKills++;
                studio.revive();
            } else {
                Studio.Server victim =
                        studio.servers().get(random.nextInt(studio.servers().size()));
                studio.kill(victim);
                serverKills++;
                studio.launch(victim);
            }
        }
    }

    private void edit(List<String> characters, Random random) throws Exception {
        Api[] servers = studio.servers().stream()
                .map(s -> new Api(s.url(), Duration.ofSeconds(20)))
                .toArray(Api[]::new);
        int[] known = new int[characters.size()];
        while (!enough.get()) {
            int which = random.nextInt(characters.size());
            Api server = servers[random.nextInt(servers.length)];
            String at = "/api/v1/characters/" + characters.get(which);
            try {
                if (known[which] == 0) {
                    Api.Answer now = server.get(at);
                    known[which] = now.ok() ? now.json().get("revision").asInt() : 0;
                }
                if (known[which] > 0) {
                    known[which] = change(server, at, characters.get(which), known[which], random);
                }
            } catch (IOException e) {
                unanswered.incrementAndGet();
                known[which] = 0;
                TimeUnit.MILLISECONDS.sleep(50);
            }
        }
    }

    /** Asks for one change; the revision it made, or 0 when the newest has to be asked for. */
    private int change(Api server, String at, String character, int base, Random random)
            throws IOException, InterruptedException {
        int kind = random.nextInt(10);
        int mark = marks.incrementAndGet();
        ObjectNode body = Api.JSON.createObjectNode().put("base", base);
        String path = at + "/edits";
        if (kind == 0) {
            path = at + "/undo";
        } else if (kind == 1) {
            path = at + "/redo";
        } else {
            body.putObject("edit")
                    .put("kind", "nudge")
                    .put("part", PARTS.get(random.nextInt(PARTS.size())))
                    .put("dx", mark / 4096.0)
                    .put("dy", 0.0);
        }
        Api.Answer answer = server.post(path, body.toString());
        if (answer.ok()) {
            JsonNode made = answer.json();
            int revision = made.get("revision").asInt();
            acknowledged.add(new Aftermath.Acknowledged(
                    character, revision, kind == 0 ? "UNDO" : kind == 1 ? "REDO" : "EDIT", body.path("edit")));
            return revision;
        }
        switch (answer.status()) {
            case 409 -> {
                stale.incrementAndGet();
                return 0;
            }
            case 422 -> {
                // nothing to undo or redo
                return base;
            }
            case 503 -> {
                TimeUnit.MILLISECONDS.sleep(100);
                return 0;
            }
            default -> throw new IllegalStateException("answered " + answer.status() + ": " + answer.text());
        }
    }
}
