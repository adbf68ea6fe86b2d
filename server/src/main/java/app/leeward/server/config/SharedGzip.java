package app.leeward.server.config;

import java.io.ByteArrayOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/**
 * Writes gzip (RFC 1952) as blocks that are squeezed side by side, so that whoever writes a long answer need not wait for it to
 * be squeezed. A block ends on a byte ("sync flush", RFC 1951), which lets blocks be laid end to end as one member.
 */
final class SharedGzip extends FilterOutputStream {
    private static final int BLOCK = 1 << 18;
    /** Blocks under way: more would only take memory from a slow reader. */
    private static final int AT_ONCE = 4;

    private static final byte[] HEADER = {0x1f, (byte) 0x8b, Deflater.DEFLATED, 0, 0, 0, 0, 0, 4, (byte) 0xff};
    /** An empty last block. */
    private static final byte[] END = {3, 0};

    private final CRC32 crc = new CRC32();
    private final Deque<CompletableFuture<byte[]>> underWay = new ArrayDeque<>();
    private byte[] block = new byte[BLOCK];
    private int filled;
    private long length;
    private boolean begun;

    SharedGzip(OutputStream out) {
        super(out);
    }

    @Override
    public void write(int b) throws IOException {
        write(new byte[] {(byte) b}, 0, 1);
    }

    @Override
    public void write(byte[] bytes, int from, int count) throws IOException {
        crc.update(bytes, from, count);
        length += count;
        int at = from;
        int left = count;
        while (left > 0) {
            int fits = Math.min(left, BLOCK - filled);
            System.arraycopy(bytes, at, block, filled, fits);
            filled += fits;
            at += fits;
            left -= fits;
            if (filled == BLOCK) {
                byte[] full = block;
                underWay.add(CompletableFuture.supplyAsync(() -> squeezed(full, BLOCK)));
                block = new byte[BLOCK];
                filled = 0;
                while (underWay.size() > AT_ONCE) {
                    send(underWay.remove());
                }
            }
        }
    }

    private static byte[] squeezed(byte[] plain, int count) {
        Deflater deflater = new Deflater(Deflater.BEST_SPEED, true);
        try {
            deflater.setInput(plain, 0, count);
            ByteArrayOutputStream out = new ByteArrayOutputStream(count / 2 + 64);
            byte[] some = new byte[16_384];
            int got;
            do {
                got = deflater.deflate(some, 0, some.length, Deflater.SYNC_FLUSH);
                out.write(some, 0, got);
            } while (got == some.length);
            return out.toByteArray();
        } finally {
            deflater.end();
        }
    }

    private void send(CompletableFuture<byte[]> done) throws IOException {
        begin();
        try {
            out.write(done.get());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted while squeezing", e);
        } catch (ExecutionException e) {
            throw new IOException("an answer could not be squeezed", e.getCause());
        }
    }

    private void begin() throws IOException {
        if (!begun) {
            out.write(HEADER);
            begun = true;
        }
    }

    /** Blocks are sent when they are full: what is in one yet is not worth a packet. */
    @Override
    public void flush() throws IOException {
        out.flush();
    }

    /** Sends what is left, and the end. */
    void finish() throws IOException {
        while (!underWay.isEmpty()) {
            send(underWay.remove());
        }
        begin();
        if (filled > 0) {
            out.write(squeezed(block, filled));
            filled = 0;
        }
        out.write(END);
        out.write(ByteBuffer.allocate(8)
                .order(ByteOrder.LITTLE_ENDIAN)
                .putInt((int) crc.getValue())
                .putInt((int) length)
                .array());
        out.flush();
    }

    @Override
    public void close() throws IOException {
        finish();
        out.close();
    }
}
