package app.leeward.speech.acoustic;

import edu.cmu.sphinx.frontend.BaseDataProcessor;
import edu.cmu.sphinx.frontend.Data;
import edu.cmu.sphinx.frontend.DataEndSignal;
import edu.cmu.sphinx.frontend.DataProcessor;
import edu.cmu.sphinx.frontend.DataStartSignal;
import edu.cmu.sphinx.frontend.DoubleData;
import edu.cmu.sphinx.frontend.FloatData;
import edu.cmu.sphinx.frontend.FrontEnd;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;

/** Sends blocks of numbers through steps of the library's front end, all at once or as they come. */
final class Blocks {
    private final Queue<double[]> waiting = new ArrayDeque<>();
    private final FrontEnd frontEnd;
    private boolean ended;

    Blocks(List<DataProcessor> steps) {
        List<DataProcessor> all = new ArrayList<>();
        all.add(new Source());
        all.addAll(steps);
        frontEnd = new FrontEnd(all);
        frontEnd.initialize();
    }

    /** The steps may change what they are given: a block is copied. */
    void add(double[] block) {
        waiting.add(block.clone());
    }

    /** Nothing comes any more. */
    void end() {
        ended = true;
    }

    /** What comes out of what has been added since the last time. */
    List<double[]> made() {
        List<double[]> out = new ArrayList<>();
        for (Data d = frontEnd.getData(); d != null && !(d instanceof DataEndSignal); d = frontEnd.getData()) {
            if (d instanceof DoubleData values) {
                out.add(values.getValues());
            } else if (d instanceof FloatData values) {
                double[] wide = new double[values.getValues().length];
                for (int i = 0; i < wide.length; i++) {
                    wide[i] = values.getValues()[i];
                }
                out.add(wide);
            }
        }
        return out;
    }

    private final class Source extends BaseDataProcessor {
        private boolean begun;
        private boolean over;
        private long sample;

        @Override
        public Data getData() {
            if (!begun) {
                begun = true;
                return new DataStartSignal(Features.RATE);
            }
            double[] block = waiting.poll();
            if (block != null) {
                Data data = new DoubleData(block, Features.RATE, sample);
                sample += block.length;
                return data;
            }
            if (!ended || over) {
                return null;
            }
            over = true;
            return new DataEndSignal(0);
        }
    }
}
