package app.leeward.formats.export;

import java.util.List;

/** The frames of a shot, drawn a stretch at a time, in any order and by whoever is asked. */
public interface DrawnFrames {
    DrawnAs as();

    /** How many frames there are. */
    int frames();

    /** How many are drawn at a time, so that they fit in memory together. It depends on the size of the pictures only. */
    int stretch();

    /**
     * The frames of a stretch. One that shows what the frame before it shows is an empty array, also at the beginning of a stretch.
     *
     * @param to behind the last
     */
    List<byte[]> drawn(int from, int to);
}
