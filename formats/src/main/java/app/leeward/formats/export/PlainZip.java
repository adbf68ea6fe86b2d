package app.leeward.formats.export;

import java.io.IOException;
import java.io.OutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** A ZIP in which nothing says when it was made: the same content always gives the same bytes. */
public final class PlainZip {
    /** ZIP cannot say "never": the first moment it knows, 1980-01-01. */
    private static final long NO_TIME = 315_532_800_000L;

    private final ZipOutputStream zip;

    /** @param out is not closed */
    public PlainZip(OutputStream out) {
        zip = new ZipOutputStream(out);
    }

    /** @throws IOException only from the stream it is written to */
    public void put(String path, byte[] bytes) throws IOException {
        ZipEntry entry = new ZipEntry(path);
        entry.setTime(NO_TIME);
        zip.putNextEntry(entry);
        zip.write(bytes);
        zip.closeEntry();
    }

    /** After the last file. */
    public void finish() throws IOException {
        zip.finish();
    }
}
