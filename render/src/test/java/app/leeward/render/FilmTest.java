package app.leeward.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Way;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Option;
import app.leeward.formats.svg.SvgReader;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Films as {@code ffprobe} and {@code ffmpeg} read them back, against our own pictures. */
class FilmTest {
    private static final Character MAREN =
            ((IntakeResult.Hung) SvgReader.read(DemoFiles.maren()).assembled("Maren", 24)).character();
    private static final String DIAL = MAREN.controls().dials().get(0).id();
    private static final Shot SHOT = new ShotEdit.Expose(2, 1, 2)
            .apply(new ActingEdit.SetKeys(Map.of(
                            DIAL,
                            List.of(
                                    new DialKey(
                                            0, MAREN.controls().dials().get(0).from(), Way.SMOOTH),
                                    new DialKey(
                                            20, MAREN.controls().dials().get(0).to(), Way.HOLD))))
                    .apply(Shot.silent("Look", TrackRules.at(24), 25)));

    @TempDir
    Path folder;

    private static byte[] made(Exporter exporter, Shot shot, Optional<byte[]> sound) throws IOException {
        Playhead playhead = new Playhead(new Evaluator(MAREN), shot);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        exporter.write(
                new ExportSource(
                        MAREN,
                        playhead.frameAt(0, Pose.REST),
                        Optional.of(shot),
                        Optional.of(playhead),
                        hash -> {
                            throw new IllegalStateException("no pictures");
                        },
                        () -> sound),
                Choices.of(
                        exporter.options(),
                        exporter.options().stream().collect(Collectors.toMap(Option::id, o -> 320.0))),
                out);
        return out.toByteArray();
    }

    private JsonNode probed(byte[] film, String name) throws Exception {
        Path file = Files.write(folder.resolve(name), film);
        Process p = new ProcessBuilder(
                        "ffprobe", "-v", "error", "-of", "json", "-show_streams", "-count_frames", file.toString())
                .start();
        JsonNode told = new ObjectMapper().readTree(p.getInputStream()).get("streams");
        assertThat(p.waitFor()).isZero();
        return told;
    }

    /** A frame as ffmpeg decodes it, with its alpha where the codec has one. */
    private BufferedImage decoded(String name, int frame, String... decoder) throws Exception {
        Path png = folder.resolve("frame.png");
        List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
        command.addAll(List.of(decoder));
        command.addAll(List.of(
                "-i",
                folder.resolve(name).toString(),
                "-vf",
                "select=eq(n\\," + frame + ")",
                "-vsync",
                "0",
                "-frames:v",
                "1",
                png.toString()));
        assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
        return ImageIO.read(png.toFile());
    }

    /** How far two pictures are apart on white, mean of all colours, in the tile where it is worst; 0 to 255. */
    private static double worstTile(BufferedImage a, BufferedImage b) {
        assertThat(a.getWidth()).isEqualTo(b.getWidth());
        double worst = 0;
        int tile = 16;
        for (int y = 0; y + tile <= Math.min(a.getHeight(), b.getHeight()); y += tile) {
            for (int x = 0; x + tile <= a.getWidth(); x += tile) {
                double sum = 0;
                for (int k = 0; k < tile * tile; k++) {
                    int p = a.getRGB(x + k % tile, y + k / tile);
                    int q = b.getRGB(x + k % tile, y + k / tile);
                    for (int c = 0; c < 24; c += 8) {
                        sum += Math.abs(onWhite(p, c) - onWhite(q, c)) / 3;
                    }
                }
                worst = Math.max(worst, sum / (tile * tile));
            }
        }
        return worst;
    }

    private static double onWhite(int argb, int shift) {
        double alpha = (argb >>> 24) / 255.0;
        return alpha * (argb >> shift & 0xFF) + (1 - alpha) * 255;
    }

    private static BufferedImage ours(int frame) throws IOException {
        Playhead playhead = new Playhead(new Evaluator(MAREN), SHOT);
        byte[] png = FramePainter.of(MAREN, 320, hash -> null).png(playhead.frameAt(frame, Pose.REST));
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    @Test
    void webmHasEveryFrameItsSoundAndAClearGround() throws Exception {
        byte[] wav = DemoFiles.lines().get(0).wav();
        JsonNode streams = probed(made(new FilmWebm(), SHOT, Optional.of(wav)), "a.webm");
        assertThat(streams.get(0).get("codec_name").asText()).isEqualTo("vp9");
        assertThat(streams.get(0).get("r_frame_rate").asText()).isEqualTo("24/1");
        assertThat(streams.get(0).get("nb_read_frames").asInt()).isEqualTo(25);
        assertThat(streams.get(0)
                        .at("/tags/alpha_mode")
                        .asText(streams.get(0).at("/tags/ALPHA_MODE").asText()))
                .isEqualTo("1");
        assertThat(streams.get(1).get("codec_name").asText()).isEqualTo("opus");
        for (int f : new int[] {0, 11, 24}) {
            BufferedImage film = decoded("a.webm", f, "-c:v", "libvpx-vp9");
            assertThat(film.getRGB(2, 2) >>> 24).as("clear").isLessThan(8);
            assertThat(worstTile(film, ours(f))).as("frame %s", f).isLessThan(14);
        }
    }

    /** Without loss: every pixel is ours. */
    @Test
    void apngIsOurOwnPictures() throws Exception {
        JsonNode apng = probed(made(new FilmApng(), SHOT, Optional.empty()), "a.apng");
        assertThat(apng.get(0).get("codec_name").asText()).isEqualTo("apng");
        assertThat(apng.get(0).get("nb_read_frames").asInt()).isEqualTo(25);
        BufferedImage film = decoded("a.apng", 11);
        assertThat(film.getRGB(2, 2) >>> 24).as("clear").isZero();
        assertThat(worstTile(film, ours(11))).isLessThan(1);
    }

    /** Put back where the list says each came from, the pictures are the frames, held as long as they are. */
    @Test
    void aPictureSheetHoldsEveryFrameOnce() throws Exception {
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream zip =
                new ZipInputStream(new ByteArrayInputStream(made(new PictureSheet(), SHOT, Optional.empty())))) {
            for (var e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                files.put(e.getName(), zip.readAllBytes());
            }
        }
        JsonNode list = new ObjectMapper().readTree(files.get("sheet.json"));
        List<JsonNode> frames = new ArrayList<>();
        list.get("pictures").forEach(p -> {
            for (int i = 0; i < p.get("held").asInt(); i++) {
                frames.add(p);
            }
        });
        assertThat(frames).hasSize(25).hasSize(list.get("frames").asInt());
        // on twos
        assertThat(list.get("pictures").size()).isEqualTo(13);
        for (int f : new int[] {0, 11, 24}) {
            JsonNode p = frames.get(f);
            BufferedImage sheet = ImageIO.read(new ByteArrayInputStream(files.get(
                    list.at("/sheets/" + p.get("sheet").asInt() + "/file").asText())));
            BufferedImage back = new BufferedImage(
                    list.get("width").asInt(), list.get("height").asInt(), BufferedImage.TYPE_INT_ARGB);
            var g = back.createGraphics();
            g.drawImage(
                    sheet.getSubimage(
                            p.get("x").asInt(),
                            p.get("y").asInt(),
                            p.get("width").asInt(),
                            p.get("height").asInt()),
                    p.get("left").asInt(),
                    p.get("top").asInt(),
                    null);
            g.dispose();
            assertThat(worstTile(back, ours(f))).as("frame %s", f).isLessThan(1);
        }
    }

    @Test
    void mp4AndGifStandOnWhite() throws Exception {
        JsonNode mp4 = probed(made(new FilmMp4(), SHOT, Optional.empty()), "a.mp4");
        assertThat(mp4).hasSize(1);
        assertThat(mp4.get(0).get("codec_name").asText()).isEqualTo("h264");
        assertThat(mp4.get(0).get("nb_read_frames").asInt()).isEqualTo(25);
        assertThat(worstTile(decoded("a.mp4", 11), ours(11))).isLessThan(14);
        JsonNode gif = probed(made(new FilmGif(), SHOT, Optional.empty()), "a.gif");
        assertThat(gif.get(0).get("codec_name").asText()).isEqualTo("gif");
        assertThat(worstTile(decoded("a.gif", 0), ours(0))).isLessThan(24);
    }

    @Test
    void framesAreOurOwnPicturesHeldOnTwos() throws Exception {
        List<byte[]> frames = new ArrayList<>();
        try (ZipInputStream zip =
                new ZipInputStream(new ByteArrayInputStream(made(new FramesZip(), SHOT, Optional.empty())))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                assertThat(e.getName()).isEqualTo(String.format("frame-%05d.png", frames.size() + 1));
                frames.add(zip.readAllBytes());
            }
        }
        assertThat(frames).hasSize(25);
        assertThat(frames.get(11)).isEqualTo(frames.get(10)).isNotEqualTo(frames.get(12));
        assertThat(worstTile(ImageIO.read(new ByteArrayInputStream(frames.get(12))), ours(12)))
                .isZero();
    }

    /** The pixels a film is made of are those of the picture, with either painter. */
    @Test
    void pixelsAreThoseOfThePicture() throws Exception {
        Playhead playhead = new Playhead(new Evaluator(MAREN), SHOT);
        for (FramePainter painter :
                List.of(FramePainter.of(MAREN, 120, hash -> null), new Java2dPainter(MAREN, 120, hash -> null))) {
            BufferedImage png = ImageIO.read(new ByteArrayInputStream(painter.png(playhead.frameAt(4, Pose.REST))));
            byte[] pixels = painter.pixels(playhead.frameAt(4, Pose.REST), false);
            byte[] ground = painter.pixels(playhead.frameAt(4, Pose.REST), true);
            assertThat(pixels).hasSize(4 * painter.width() * painter.height());
            for (int y = 0; y < painter.height(); y += 7) {
                for (int x = 0; x < painter.width(); x += 5) {
                    int at = 4 * (y * painter.width() + x);
                    int argb = png.getRGB(x, y);
                    assertThat(pixels[at + 3] & 0xFF).isEqualTo(argb >>> 24);
                    assertThat(ground[at + 3] & 0xFF).isEqualTo(255);
                    for (int c = 0; c < 3; c++) {
                        int straight = argb >> 16 - 8 * c & 0xFF;
                        if (argb >>> 24 > 128) {
                            assertThat(Math.abs((pixels[at + c] & 0xFF) - straight))
                                    .isLessThanOrEqualTo(2);
                        }
                        double white = onWhite(argb, 16 - 8 * c);
                        assertThat(Math.abs((ground[at + c] & 0xFF) - white)).isLessThanOrEqualTo(4);
                    }
                }
            }
        }
    }

    /** What the encoder says is told, and nothing is left lying about. */
    @Test
    void whatCannotBeEncodedIsToldInAWord() {
        FilmEncoder.Encoding impossible = new FilmEncoder.Encoding() {
            @Override
            public List<String> arguments(boolean sound) {
                return List.of("-c:v", "no-such-codec");
            }

            @Override
            public boolean clear() {
                return true;
            }

            @Override
            public String extension() {
                return "webm";
            }
        };
        Playhead playhead = new Playhead(new Evaluator(MAREN), SHOT);
        ExportSource source = new ExportSource(
                MAREN,
                playhead.frameAt(0, Pose.REST),
                Optional.of(SHOT),
                Optional.of(playhead),
                hash -> null,
                Optional::empty);
        Choices choices = Choices.of(List.of(FilmEncoder.WIDTH), Map.of());
        assertThatThrownBy(() -> FilmEncoder.write(source, choices, impossible, new ByteArrayOutputStream()))
                .isInstanceOfSatisfying(
                        Refusal.class, e -> assertThat(e.reason()).isEqualTo(RefusalCode.NO_FILM))
                .hasMessageContaining("no-such-codec");
    }

    @Test
    void whatIsTooLongIsRefused() {
        Shot endless = Shot.silent("x", TrackRules.at(24), FilmEncoder.LONGEST + 1);
        assertThatThrownBy(() -> made(new FilmMp4(), endless, Optional.empty()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("10001");
    }
}
