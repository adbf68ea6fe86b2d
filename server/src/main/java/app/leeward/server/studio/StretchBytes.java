package app.leeward.server.studio;

import com.github.luben.zstd.Zstd;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;

/**
 * A stretch of drawn frames as one block of bytes: how many, how long each is, and the frames behind each other, packed with
 * Zstandard at its quickest, which makes flat colours a hundredth of what they are. It is read by servers of the same version only.
 */
final class StretchBytes {
    private static final int LEVEL = 1;

    private StretchBytes() {}

    static byte[] packed(List<byte[]> frames) {
        int length = frames.stream().mapToInt(f -> f.length).sum();
        ByteBuffer all = ByteBuffer.allocate(Integer.BYTES * (1 + frames.size()) + length);
        all.putInt(frames.size());
        frames.forEach(f -> all.putInt(f.length));
        frames.forEach(all::put);
        byte[] packed = Zstd.compress(all.array(), LEVEL);
        return ByteBuffer.allocate(Integer.BYTES + packed.length)
                .putInt(all.capacity())
                .put(packed)
                .array();
    }

    static List<byte[]> unpacked(byte[] bytes) {
        ByteBuffer head = ByteBuffer.wrap(bytes);
        byte[] packed = new byte[bytes.length - Integer.BYTES];
        int length = head.getInt();
        head.get(packed);
        ByteBuffer all = ByteBuffer.wrap(Zstd.decompress(packed, length));
        int[] lengths = new int[all.getInt()];
        for (int i = 0; i < lengths.length; i++) {
            lengths[i] = all.getInt();
        }
        List<byte[]> frames = new ArrayList<>();
        for (int l : lengths) {
            byte[] frame = new byte[l];
            all.get(frame);
            frames.add(frame);
        }
        return frames;
    }
}
