package app.leeward.bench;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Controls;
import app.leeward.core.rig.Library;
import app.leeward.core.rig.Origin;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Rig;
import app.leeward.core.rig.Sheet;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Voice;
import app.leeward.core.rig.Window;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** The rig of the budgets: 60 parts hung up to five deep, 12 dials that each pose a dozen of them, all away from rest. */
public final class SixtyParts {
    static final int PARTS = 60;
    static final int DIALS = 12;

    private SixtyParts() {}

    public static Character rig() {
        Random random = new Random(60);
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < PARTS; i++) {
            Optional<String> parent = i == 0 ? Optional.empty() : Optional.of("p" + (i - 1) / 3);
            List<Drawing> drawings = List.of(drawing("a", random), drawing("b", random));
            parts.add(new Part(
                    "p" + i,
                    "part " + i,
                    PartRole.OTHER,
                    Side.NONE,
                    parent,
                    new Point(random.nextInt(1000), random.nextInt(1000)),
                    Placement.REST,
                    drawings,
                    "a"));
        }
        List<Dial> dials = new ArrayList<>();
        for (int d = 0; d < DIALS; d++) {
            dials.add(dial(d, random));
        }
        List<Window> windows =
                List.of(new Window("p5", List.of("p20", "p21", "p22")), new Window("p2", List.of("p5", "p6")));
        return new Character(
                "Sixty",
                new Sheet(new Canvas(1000, 1000), 24, List.of(), null),
                new Rig(parts, parts.stream().map(Part::id).toList(), windows, List.of()),
                Controls.NONE.withDials(dials),
                Library.EMPTY,
                Voice.NONE,
                Origin.NONE);
    }

    private static Drawing drawing(String id, Random random) {
        Point at = new Point(random.nextInt(900), random.nextInt(900));
        Path box = Path.of(
                new Segment.Move(at),
                new Segment.Line(at.plus(new Point(80, 0))),
                new Segment.Line(at.plus(new Point(80, 60))),
                new Segment.Close());
        return new Drawing(id, id, Artwork.of(Shape.filled("", box, "#335577")));
    }

    private static Dial dial(int d, Random random) {
        List<Stop> stops = new ArrayList<>();
        int first = random.nextInt(PARTS);
        for (double at : new double[] {-60, -30, 30, 60}) {
            Map<String, Offset> offsets = new HashMap<>();
            for (int k = 0; k < 12; k++) {
                offsets.put(
                        "p" + (first + 5 * k) % PARTS,
                        Offset.placed(at / 3, at / 9, at / 6, 1 - Math.abs(at) / 300, 1, at / 20, 1));
            }
            stops.add(new Stop(at, offsets));
        }
        Bands bands = new Bands("p" + (30 + d), List.of(new Band(-60, -20, "b"), new Band(20, 60, "b")));
        return new Dial("d" + d, "dial " + d, Purpose.OWN, -60, 60, 0, "°", stops, List.of(bands));
    }

    /** Every dial at some other value. */
    static Pose pose() {
        Map<String, Double> values = new HashMap<>();
        for (int d = 0; d < DIALS; d++) {
            values.put("d" + d, -50.0 + 8.7 * d);
        }
        return Pose.of(values);
    }
}
