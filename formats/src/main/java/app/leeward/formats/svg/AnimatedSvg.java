package app.leeward.formats.svg;

import app.leeward.core.motion.Motion;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Losses;
import app.leeward.formats.export.Option;
import app.leeward.formats.export.Scope;
import app.leeward.formats.export.TextExporter;
import java.util.List;

/** A shot as an SVG file that moves. */
public final class AnimatedSvg extends TextExporter {
    private static final Format FORMAT = new Format(
            "animated-svg",
            "Animated SVG",
            "image/svg+xml",
            "svg",
            Scope.SHOT,
            Family.ANIMATION,
            "masks kept, no scripts");
    private static final Option TIMES = new Option("times", "SVG plays", "times (0: over and over)", 0, 100, 0);

    public AnimatedSvg() {
        super(FORMAT);
    }

    @Override
    public List<Option> options() {
        return List.of(TIMES);
    }

    @Override
    public List<String> losses(ExportSource source) {
        return Losses.sound(source);
    }

    @Override
    protected String text(ExportSource source, Choices choices) {
        Motion motion = Motion.of(source.playhead().orElseThrow());
        return AnimatedSvgWriter.write(
                source.character(), source.shot().orElseThrow().name(), motion, source.images(), (int)
                        Math.round(choices.number(TIMES.id())));
    }
}
