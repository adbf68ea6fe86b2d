package app.leeward.formats.art;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The name of content that never changes: its SHA-256 (FIPS 180-4) in lower-case hexadecimal digits. */
public final class Sha256 {
    private Sha256() {}

    public static String of(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    /** Of a text's UTF-8 bytes. */
    public static String of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }
}
