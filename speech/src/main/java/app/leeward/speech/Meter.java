package app.leeward.speech;

import edu.cmu.sphinx.frontend.BaseDataProcessor;
import edu.cmu.sphinx.frontend.Data;
import edu.cmu.sphinx.frontend.DoubleData;
import edu.cmu.sphinx.frontend.FloatData;
import java.util.function.IntConsumer;

/**
 * The last link of the library's front end: counts the frames a recogniser takes, which is how far it has got. Public because
 * the library makes it by name.
 */
public final class Meter extends BaseDataProcessor {
    private static final int EVERY = 50;

    private int frames;
    private IntConsumer counted = n -> {};

    /** @param counted told the number of frames (of 10 ms) every half second of sound; what it throws ends the search */
    void begin(IntConsumer counted) {
        this.frames = 0;
        this.counted = counted;
    }

    @Override
    public Data getData() {
        Data data = getPredecessor().getData();
        if ((data instanceof FloatData || data instanceof DoubleData) && ++frames % EVERY == 0) {
            counted.accept(frames);
        }
        return data;
    }
}
