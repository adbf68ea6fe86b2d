package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** No ground shows inside a turned head. The bench takes hundreds: {@code ./leeward bench turns 300}. */
class TurnedHeadsTest {
    private static final int HEADS = 30;

    @Test
    void noGroundShowsInsideATurnedHead() throws Exception {
        List<TurnedHeads.Turned> open = new ArrayList<>();
        int turned = 0;
        for (long seed = 201; seed < 201 + HEADS; seed++) {
            var t = TurnedHeads.turned(seed, 400);
            turned += t.isPresent() ? 1 : 0;
            t.filter(h -> h.ground() > 0).ifPresent(open::add);
        }
        assertThat(turned).isGreaterThan(HEADS / 2);
        assertThat(open).as("seeds of heads with ground inside, and the angle").isEmpty();
    }

    @Test
    void groundInsideIsCounted() {
        BufferedImage ring = new BufferedImage(60, 60, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = ring.createGraphics();
        g.setColor(Color.ORANGE);
        g.fillRect(10, 10, 40, 40);
        assertThat(TurnedHeads.ground(ring)).isZero();
        g.setComposite(java.awt.AlphaComposite.Clear);
        g.fillRect(20, 20, 7, 3);
        assertThat(TurnedHeads.ground(ring)).isEqualTo(21);
        g.fillRect(0, 21, 25, 1);
        assertThat(TurnedHeads.ground(ring)).as("open to the outside").isZero();
    }
}
