package app.leeward.core.check;

import app.leeward.core.edit.Fit;
import app.leeward.core.intake.AxisFinder;
import app.leeward.core.intake.CanvasFit;
import app.leeward.core.rig.Character;
import java.util.stream.Stream;

/** The figure on its canvas: inside it, on its axis, and standing on the ground line. */
final class StandingCheck implements Check {
    @Override
    public String id() {
        return "standing";
    }

    @Override
    public Harm harm(String code) {
        return Harm.UNTIDY;
    }

    @Override
    public Stream<Fault> find(Character c) {
        return CanvasFit.of(c, AxisFinder.find(c)).filter(CanvasFit::needed).stream()
                .map(f -> new Fault(
                                "off-canvas",
                                Subject.WHOLE,
                                new Measure(
                                        Math.hypot(f.dx(), f.dy())
                                                + Math.abs(f.scale() - 1)
                                                        * c.sheet().canvas().height(),
                                        Unit.UNITS),
                                "The figure does not stand in the middle of its canvas, or is far too large or small for it.")
                        .trying("Fit, stand and centre", new Fit(f.scale(), f.dx(), f.dy(), f.canvas())));
    }
}
