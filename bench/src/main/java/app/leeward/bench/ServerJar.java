package app.leeward.bench;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * The built server as the start command runs it: unpacked, and with the archive of loaded classes that the first run to end in
 * good order leaves behind, which makes later starts several seconds shorter.
 */
public final class ServerJar {
    private static final String NAME = "server-0.1.0-app.jar";

    private static final String ARCHIVE = "classes.jsa";

    private ServerJar() {}

    /** When the server was built, milliseconds since 1970. */
    public static long built(Path project) throws IOException {
        return changed(project.resolve("server/target").resolve(NAME)).toMillis();
    }

    /** When a file was last written. The archive itself always bears the same date, so that two builds of one source are alike. */
    private static FileTime changed(Path file) throws IOException {
        return (FileTime) Files.getAttribute(file, "unix:ctime");
    }

    /** What starts a server; {@code flags} are the Java machine's. */
    public static synchronized List<String> command(Path project, String... flags)
            throws IOException, InterruptedException {
        Path lock = Files.createDirectories(project.resolve("bench/target")).resolve("app.lock");
        // two Java machines may want it at once
        try (FileChannel channel = FileChannel.open(lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock held = channel.lock()) {
            return unpacked(project, flags);
        }
    }

    private static List<String> unpacked(Path project, String... flags) throws IOException, InterruptedException {
        Path jar = project.resolve("server/target").resolve(NAME);
        Path app = project.resolve("bench/target/app");
        Path mark = app.resolve("unpacked");
        FileTime built = changed(jar);
        if (!Files.exists(mark) || Files.getLastModifiedTime(mark).compareTo(built) < 0) {
            clear(app);
            int code = new ProcessBuilder(
                            "java",
                            "-Djarmode=tools",
                            "-jar",
                            jar.toString(),
                            "extract",
                            "--destination",
                            app.toString())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start()
                    .waitFor();
            if (code != 0) {
                throw new IllegalStateException(jar + " could not be unpacked");
            }
            Files.writeString(mark, "");
        }
        List<String> command = new ArrayList<>(List.of("java"));
        command.addAll(List.of(flags));
        Path archive = app.resolve(ARCHIVE);
        command.add(
                Files.exists(archive) ? "-XX:SharedArchiveFile=" + archive : "-XX:ArchiveClassesAtExit=" + own(app));
        command.addAll(List.of(
                "-Xlog:cds=off",
                "-Xlog:cds+dynamic=off",
                "-jar",
                app.resolve(NAME).toString()));
        return command;
    }

    /** Each Java machine writes an archive of its own, so that none reads what another has half written. */
    private static Path own(Path app) {
        return app.resolve("classes-" + System.getProperty("leeward.fork", "1") + ".jsa");
    }

    /** To be called when a server has ended in good order: the archive of classes that it left is for all from now on. */
    public static void share(Path project) throws IOException {
        Path app = project.resolve("bench/target/app");
        if (Files.exists(own(app)) && !Files.exists(app.resolve(ARCHIVE))) {
            Files.move(own(app), app.resolve(ARCHIVE), StandardCopyOption.ATOMIC_MOVE);
        }
    }

    /** Whether a start would find the archive of classes. */
    public static boolean quick(Path project) throws IOException, InterruptedException {
        return command(project).stream().anyMatch(c -> c.startsWith("-XX:SharedArchiveFile"));
    }

    private static void clear(Path folder) throws IOException {
        if (Files.exists(folder)) {
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path p : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
                    Files.delete(p);
                }
            }
        }
    }
}
