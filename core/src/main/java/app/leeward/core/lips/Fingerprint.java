package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Shape;

/** Tells a drawing that was touched since it was made from one that was not. */
final class Fingerprint {
    private static final long PRIME = 0x100000001b3L;

    private Fingerprint() {}

    /** 64-bit FNV-1a (Fowler, Noll, Vo) over outlines, colours and line widths; 16 hexadecimal digits. */
    static String of(Artwork art) {
        long hash = 0xcbf29ce484222325L;
        for (Shape s : art.shapes()) {
            String text = s.role()
                    + s.path().toSvg()
                    + s.fill().colours().toList()
                    + s.stroke().paint().colours().toList()
                    + s.stroke().width()
                    + s.opacity()
                    + s.masked();
            for (int i = 0; i < text.length(); i++) {
                hash = (hash ^ text.charAt(i)) * PRIME;
            }
        }
        return String.format("%016x", hash);
    }
}
