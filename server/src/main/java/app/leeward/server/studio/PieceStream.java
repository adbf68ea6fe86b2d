package app.leeward.server.studio;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Arrays;

/** A file that goes out in pieces, so that it is never in memory whole. */
final class PieceStream extends OutputStream {
    private static final int PIECE = 4 << 20;

    private final Put put;
    private final byte[] piece = new byte[PIECE];
    private int filled;
    private int number;

    /** Keeps a piece. */
    interface Put {
        void piece(int number, byte[] bytes);
    }

    PieceStream(Put put) {
        this.put = put;
    }

    @Override
    public void write(int b) throws IOException {
        write(new byte[] {(byte) b}, 0, 1);
    }

    @Override
    public void write(byte[] bytes, int from, int length) {
        int at = from;
        int left = length;
        while (left > 0) {
            int taken = Math.min(left, PIECE - filled);
            System.arraycopy(bytes, at, piece, filled, taken);
            filled += taken;
            at += taken;
            left -= taken;
            if (filled == PIECE) {
                out();
            }
        }
    }

    private void out() {
        put.piece(number++, Arrays.copyOf(piece, filled));
        filled = 0;
    }

    /** Once, at the end. */
    @Override
    public void close() {
        if (filled > 0 || number == 0) {
            out();
        }
    }
}
