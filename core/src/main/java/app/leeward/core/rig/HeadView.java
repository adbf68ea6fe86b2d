package app.leeward.core.rig;

import app.leeward.core.mouth.MouthChart;

/**
 * A whole sub-face of its own pieces: front, three-quarter, side or back.
 *
 * @param root id of the part all its pieces follow
 * @param mouths which of its mouths is for which sound; without a part when it has no mouth
 */
public record HeadView(String root, String name, MouthChart mouths) {
    public HeadView {
        mouths = mouths == null ? MouthChart.EMPTY : mouths;
    }
}
