package app.leeward.formats.raster;

import app.leeward.formats.art.ArtProblem;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;

/** The files in a ZIP archive, unpacked in memory within bounds. Archives inside are not opened. */
public final class Archive {
    static final int MOST_ENTRIES = 2_000;
    static final long MOST_BYTES = 192L * 1024 * 1024;

    private Archive() {}

    /** @throws ArtProblem when it is no archive, is broken, or unpacks to too much */
    public static Map<String, byte[]> unpack(byte[] file) {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        long total = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file), StandardCharsets.UTF_8)) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                if (entries.size() >= MOST_ENTRIES) {
                    throw new ArtProblem(
                            "zip-large", e.getName(), "The archive holds more than " + MOST_ENTRIES + " files.");
                }
                if (!e.isDirectory()) {
                    byte[] content = bounded(zip, MOST_BYTES - total, e.getName());
                    total += content.length;
                    entries.put(e.getName().replace('\\', '/'), content);
                }
            }
        } catch (ZipException | IllegalArgumentException e) {
            throw broken(e);
        } catch (IOException e) {
            throw broken(e);
        }
        if (entries.isEmpty()) {
            throw new ArtProblem("zip-empty", "the whole file", "The archive holds no files, or is cut off.");
        }
        return entries;
    }

    private static ArtProblem broken(Exception e) {
        return new ArtProblem(
                "zip-broken", "the whole file", "The archive is broken or cut off: " + e.getMessage() + ".");
    }

    private static byte[] bounded(ZipInputStream zip, long most, String name) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] block = new byte[65_536];
        for (int n = zip.read(block); n >= 0; n = zip.read(block)) {
            if (out.size() + (long) n > most) {
                throw new ArtProblem(
                        "zip-large",
                        name,
                        "The archive unpacks to more than " + MOST_BYTES / (1024 * 1024)
                                + " MB; what it holds is too large, or it was made to do harm.");
            }
            out.write(block, 0, n);
        }
        return out.toByteArray();
    }
}
