package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Paint;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Pose;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.render.FramePainter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a rig has no word for looks after import as librsvg draws it. */
class FlattenedTest {
    private static final String DEFS =
            """
            <defs>
              <radialGradient id="fade"><stop offset="0" stop-color="white"/><stop offset="1" stop-color="black"/></radialGradient>
              <mask id="soft" maskUnits="userSpaceOnUse" x="0" y="0" width="400" height="400">
                <circle cx="200" cy="200" r="120" fill="url(#fade)"/></mask>
              <mask id="hard"><ellipse cx="200" cy="200" rx="90" ry="60" fill="#fff"/></mask>
              <pattern id="dots" width="20" height="20" patternUnits="userSpaceOnUse">
                <circle cx="10" cy="10" r="6" fill="#aa2244"/></pattern>
              <filter id="blur" x="-30%" y="-30%" width="160%" height="160%"><feGaussianBlur stdDeviation="6"/></filter>
              <marker id="tip" markerWidth="6" markerHeight="6" refX="3" refY="3" orient="auto">
                <path d="M0 0 L6 3 L0 6 Z" fill="#2255aa"/></marker>
            </defs>
            """;

    private static LayeredArt read(String body) {
        return ArtReader.read(svg(body).getBytes(StandardCharsets.UTF_8));
    }

    private static String svg(String body) {
        return "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 400 400' width='400' height='400'>" + DEFS
                + "<g id='face'><ellipse cx='200' cy='200' rx='150' ry='170' fill='#e8c4a0'/></g>" + body + "</svg>";
    }

    private static double unlike(String body, LayeredArt art) throws IOException {
        Character c = ((IntakeResult.Hung) art.assembled("Flattened", 24)).character();
        ImageShelf images = hash -> art.images().get(hash);
        return Likeness.unlike(
                Likeness.foreign(svg(body), 800),
                Likeness.png(FramePainter.of(c, 800, images).png(new Evaluator(c).frame(Pose.REST))));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            textBlock =
                    """
            a mask    | <g id='shade' mask='url(#soft)'><rect x='60' y='60' width='280' height='280' fill='#334455'/></g>
            a pattern | <g id='spots'><rect x='120' y='120' width='160' height='120' fill='url(#dots)'/></g>
            a filter  | <g id='blush' filter='url(#blur)' transform='translate(20 10)'><circle cx='140' cy='240' r='30' fill='#d04040'/></g>
            markers   | <g id='arrow'><path d='M80 300 L200 320 L300 280' fill='none' stroke='#2255aa' stroke-width='6' marker-end='url(#tip)'/></g>
            a mask    | <g id='shade' transform='rotate(10 200 200)'><g><path mask='url(#soft)' d='M60 60 H340 V340 H60 Z' style='fill:#114422'/></g></g>
            """)
    void looksAsDrawn(String what, String body) throws IOException {
        LayeredArt art = read(body);
        assertThat(art.notes()).extracting(Note::code).containsExactly("flattened");
        assertThat(art.notes().get(0).message()).contains("has " + what).contains("kept as a picture");
        assertThat(unlike(body, art)).isLessThanOrEqualTo(0.005);
    }

    @Test
    void aMaskOfPlainWhiteIsAClip() throws IOException {
        String body = "<g id='iris' mask='url(#hard)'><circle cx='240' cy='220' r='70' fill='#3366cc'/></g>";
        LayeredArt art = read(body);
        assertThat(art.notes()).isEmpty();
        assertThat(unlike(body, art)).isLessThanOrEqualTo(0.005);
    }

    @Test
    void layersMaskedTogetherStayApart() throws IOException {
        String body =
                "<g id='eye' mask='url(#soft)'><g id='eye white'><ellipse cx='200' cy='200' rx='60' ry='40' fill='#fff'/></g>"
                        + "<g id='pupil'><circle cx='210' cy='200' r='18' fill='#101018'/></g></g>";
        LayeredArt art = read(body);
        assertThat(art.root().art().shapes())
                .filteredOn(s -> s.fill() instanceof Paint.Picture)
                .hasSize(2);
        assertThat(unlike(body, art)).isLessThanOrEqualTo(0.005);
    }

    /** Letters differ from one painter to the next; that there are some is what matters. */
    @Test
    void textIsSeen() throws IOException {
        String body =
                "<g id='badge'><text x='150' y='330' font-family='sans-serif' font-size='48' fill='#202020'>No <tspan>7</tspan></text></g>";
        LayeredArt art = read(body);
        assertThat(art.notes().get(0).message()).contains("Turn text into outlines");
        assertThat(unlike(body, art)).isLessThan(unlike(body, read("")));
    }
}
