package app.leeward.formats.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Box;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Note;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** PSD and PSB files another program wrote (ag-psd 31.0.2, a library of JavaScript); what lies in them is known from how they were made. */
class PsdReaderTest {
    private static byte[] file(String name) throws Exception {
        return Files.readAllBytes(Path.of("src", "test", "resources", "psd", name));
    }

    private static Layer named(Layer in, String name) {
        return all(in).filter(l -> l.name().equals(name)).findFirst().orElseThrow();
    }

    private static Stream<Layer> all(Layer in) {
        return Stream.concat(Stream.of(in), in.layers().stream().flatMap(PsdReaderTest::all));
    }

    private static Shape shape(Layer in, String name) {
        return named(in, name).shapes().get(0);
    }

    private static void lies(Shape s, double x, double y, double w, double h) {
        Box b = s.path().bounds().orElseThrow();
        assertThat(List.of(b.minX(), b.minY(), b.width(), b.height()))
                .usingElementComparator((one, other) -> Math.abs(one - other) < 1.01 ? 0 : Double.compare(one, other))
                .containsExactly(x, y, w, h);
    }

    @ParameterizedTest
    @ValueSource(strings = {"layers.psd", "layers.psb"})
    void groupsNamesAndPlacesAreThoseOfTheFile(String name) throws Exception {
        LayeredArt art = ArtReader.read(file(name));
        Layer root = art.root();
        assertThat(art.canvas().width()).isEqualTo(200);
        assertThat(root.layers()).extracting(Layer::name).containsExactly("Head", "shade", "tint");
        assertThat(named(root, "Head").layers())
                .extracting(Layer::name)
                .containsExactly("face skin", "Eyes", "Blinks", "Hats");
        assertThat(named(root, "Eyes").layers())
                .extracting(Layer::name)
                .containsExactly("Weiß links", "pupil L", "sparkle", "masked", "mask off");
        assertThat(named(root, "Blinks").hidden()).isTrue();
        assertThat(all(root).filter(Layer::hidden)).hasSize(1);
        lies(shape(root, "face skin"), 25, 25, 150, 150);
        assertThat(shape(root, "face skin").opacity()).isEqualTo(1);
        assertThat(shape(root, "Weiß links").opacity()).isCloseTo(0.5, within(0.01));
        assertThat(shape(root, "face skin").fill().mainColour()).contains("#f0c8aa");
    }

    /** A mask cuts its layer, one of a group all that is in it; one that is switched off nothing. */
    @ParameterizedTest
    @ValueSource(strings = {"layers.psd", "layers.psb"})
    void masksCut(String name) throws Exception {
        Layer root = ArtReader.read(file(name)).root();
        lies(shape(root, "masked"), 110, 70, 30, 15);
        lies(shape(root, "mask off"), 110, 70, 30, 30);
        lies(shape(root, "cap"), 60, 10, 40, 20);
    }

    /** A pupil that reaches over what it is clipped to is kept whole with its clip; what lies inside has none. */
    @Test
    void whatIsClippedToTheLayerBelowIsKeptWithItsOutline() throws Exception {
        LayeredArt art = ArtReader.read(file("layers.psd"));
        Shape pupil = shape(art.root(), "pupil L");
        lies(pupil, 69, 82, 16, 16);
        assertThat(pupil.clips())
                .extracting(c -> c.path())
                .containsExactly(shape(art.root(), "Weiß links").path());
        assertThat(shape(art.root(), "sparkle").clips()).isEmpty();
        assertThat(pupil.clips().get(0).path().bounds().orElseThrow().maxX()).isCloseTo(80, within(1.0));
        // drawn as it is seen, it ends at the white's edge
        Shape seen = art.cut().of(pupil).get(0);
        lies(seen, 69, 82, 11, 16);
        assertThat(art.images()).containsKey(((Paint.Picture) seen.fill()).image());
    }

    @Test
    void whatIsMixedAndWhatHasNoPixelsIsTold() throws Exception {
        LayeredArt art = ArtReader.read(file("layers.psd"));
        assertThat(art.notes())
                .extracting(Note::code, Note::place)
                .containsExactlyInAnyOrder(
                        tuple("layer-without-pixels", "levels"),
                        tuple("blending-flattened", "shade"),
                        tuple("blending-not-kept", "tint"));
        // half of the skin's colour beneath it
        assertThat(shape(art.root(), "shade").fill().mainColour()).contains("#786455");
    }

    @Test
    void aFlatOneIsRefusedInWords() throws Exception {
        byte[] flat = file("flat.psd");
        assertThatExceptionOfType(ArtProblem.class)
                .isThrownBy(() -> ArtReader.read(flat))
                .satisfies(p -> assertThat(p.code()).isEqualTo("psd-flat"))
                .withMessageContaining("save it with its layers");
    }

    /** Cut off anywhere or with bytes changed, it is read or refused, and never anything else. */
    @Test
    void brokenOnesAreRefusedInWords() throws Exception {
        byte[] whole = file("layers.psd");
        int refused = 0;
        Random r = new Random(11);
        for (int i = 0; i < 400; i++) {
            byte[] broken = i < 150 ? Arrays.copyOf(whole, 4 + r.nextInt(whole.length - 4)) : whole.clone();
            for (int k = 0; i >= 150 && k < 1 + r.nextInt(6); k++) {
                // most of the file is pixels: half of the changes go where the layers are listed
                broken[4 + r.nextInt(k % 2 == 0 ? 1_800 : whole.length - 4)] = (byte) r.nextInt(256);
            }
            try {
                ArtReader.cost(broken);
                ArtReader.read(broken);
            } catch (ArtProblem p) {
                refused++;
                assertThat(p.code()).isIn("psd-broken", "psd-flat", "image-large", "psd-large");
                assertThat(p.getMessage()).endsWith(".").hasSizeGreaterThan(20);
            }
        }
        assertThat(refused).isBetween(120, 390);
    }
}
