package app.leeward.formats.raster;

import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.FileText;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/**
 * The files in a ZIP archive, each unpacked when it is asked for and within bounds, so that one of them is in memory at a
 * time. Archives inside are not opened.
 */
public final class Archive implements AutoCloseable {
    static final int MOST_ENTRIES = 2_000;
    /** Files in an archive that is not art: a bundle has two for each drawing. */
    public static final int MOST_OF_ANY = 20_000;

    static final long MOST_BYTES = 192L * 1024 * 1024;
    /** Where a PNG file says how large its picture is (its header chunk, PNG specification 11.2.2). */
    private static final int PNG_SIZE_AT = 16;

    private static final int PNG_START = 24;
    private static final long PNG_SIGNATURE = 0x89504e470d0a1a0aL;
    /** Bytes a pixel takes while a picture is read and cropped. */
    private static final int PIXEL = 12;

    private final Path copy;
    private final ZipFile zip;
    private final Map<String, ZipEntry> entries = new LinkedHashMap<>();
    private long unpacked;

    private Archive(Path copy, ZipFile zip) {
        this.copy = copy;
        this.zip = zip;
    }

    /** @throws ArtProblem when it is no archive, is broken, or says that it unpacks to too much */
    public static Archive open(byte[] file) {
        return open(file, MOST_ENTRIES);
    }

    /** @param mostEntries files it may hold */
    public static Archive open(byte[] file, int mostEntries) {
        Path copy = null;
        try {
            copy = Files.createTempFile("leeward-archive", ".zip");
            Files.write(copy, file);
            Archive archive = new Archive(copy, new ZipFile(copy.toFile(), StandardCharsets.UTF_8));
            try {
                archive.list(mostEntries);
            } catch (RuntimeException e) {
                archive.close();
                throw e;
            }
            return archive;
        } catch (IOException | IllegalArgumentException e) {
            delete(copy);
            throw broken(e);
        }
    }

    private void list(int mostEntries) {
        long said = 0;
        for (ZipEntry e : Collections.list(zip.entries())) {
            FileText.require(e.getName(), "the archive's list of files");
            if (entries.size() >= mostEntries) {
                throw new ArtProblem(
                        "zip-large", e.getName(), "The archive holds more than " + mostEntries + " files.");
            }
            if (!e.isDirectory()) {
                said += Math.max(0, e.getSize());
                if (said > MOST_BYTES) {
                    throw tooMuch(e.getName());
                }
                entries.put(e.getName().replace('\\', '/'), e);
            }
        }
        if (entries.isEmpty()) {
            throw new ArtProblem("zip-empty", "the whole file", "The archive holds no files, or is cut off.");
        }
    }

    /** Names of the files, with folders before them and slashes between, in the archive's order. */
    public Set<String> names() {
        return entries.keySet();
    }

    public boolean has(String name) {
        return entries.containsKey(name);
    }

    /** @throws ArtProblem when it is broken, or with what was unpacked before is too much */
    public byte[] read(String name) {
        ZipEntry entry = entries.get(name);
        ByteArrayOutputStream out = new ByteArrayOutputStream((int) Math.max(32, Math.min(1 << 20, entry.getSize())));
        byte[] block = new byte[65_536];
        try (InputStream in = zip.getInputStream(entry)) {
            for (int n = in.read(block); n >= 0; n = in.read(block)) {
                unpacked += n;
                if (unpacked > MOST_BYTES) {
                    throw tooMuch(name);
                }
                out.write(block, 0, n);
            }
        } catch (IOException e) {
            throw broken(e);
        }
        return out.toByteArray();
    }

    /** Bytes that all files unpack to, as the archive says. */
    public long unpacked() {
        return entries.values().stream()
                .mapToLong(e -> Math.max(0, e.getSize()))
                .sum();
    }

    /** Bytes of memory that reading the largest file takes, as the files themselves say; a picture counts by its pixels. */
    public long heaviest() {
        long most = 0;
        for (ZipEntry e : entries.values()) {
            most = Math.max(most, Math.max(0, e.getSize()) + pixels(e) * PIXEL);
        }
        return most;
    }

    private long pixels(ZipEntry entry) {
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] start = in.readNBytes(PNG_START);
            if (start.length < PNG_START || ByteBuffer.wrap(start).getLong() != PNG_SIGNATURE) {
                return 0;
            }
            ByteBuffer size = ByteBuffer.wrap(start, PNG_SIZE_AT, 8);
            long pixels = Math.max(0L, size.getInt()) * Math.max(0L, size.getInt());
            // larger ones are refused before they are unpacked
            return pixels > Pixels.MOST ? 0 : pixels;
        } catch (IOException e) {
            throw broken(e);
        }
    }

    private static ArtProblem tooMuch(String name) {
        return new ArtProblem(
                "zip-large",
                name,
                "The archive unpacks to more than " + MOST_BYTES / (1024 * 1024)
                        + " MB; what it holds is too large, or it was made to do harm.");
    }

    private static ArtProblem broken(Exception e) {
        return new ArtProblem(
                "zip-broken", "the whole file", "The archive is broken or cut off: " + e.getMessage() + ".");
    }

    @Override
    public void close() {
        try {
            zip.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            delete(copy);
        }
    }

    private static void delete(Path file) {
        try {
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            // the system clears its folder for passing files
            file.toFile().deleteOnExit();
        }
    }
}
