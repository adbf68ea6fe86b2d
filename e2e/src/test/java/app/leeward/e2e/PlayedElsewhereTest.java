package app.leeward.e2e;

import static app.leeward.e2e.Pictures.ALIKE;
import static app.leeward.e2e.Pictures.apart;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.cue.Blink;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.LookSpan;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Way;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.render.FramePainter;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Clip;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * Shots handed over as something that moves, played by others and compared frame by frame with our own pictures: Lottie by
 * {@code lottie-web}, animated SVG by Chromium itself.
 */
class PlayedElsewhereTest {
    private static final int SIZE = 800;
    private static final int FRAMES = 40;
    private static final long FIRST = 4_200;
    private static final int FACES = 2;
    /** Frames looked at: what is sung, blinked, turned and smiled is different in each. */
    private static final int[] LOOKED_AT = {0, 5, 9, 13, 16, 20, 27, 33, 39};

    private static Browser hand;

    @BeforeAll
    static void start() {
        hand = new Browser();
    }

    @AfterAll
    static void end() {
        hand.close();
    }

    /** Turns, looks aside, blinks, smiles and says "ma oh fee". */
    static Shot acted(Character c, int exposure) {
        DialogueLine line = new DialogueLine(
                "ma oh fee",
                "hash",
                FRAMES / 24.0,
                List.of(),
                List.of(
                        new TimedPhone(Phone.M, 0.1, 0.2),
                        new TimedPhone(Phone.AA, 0.2, 0.45),
                        new TimedPhone(Phone.OW, 0.5, 0.8),
                        new TimedPhone(Phone.F, 0.9, 1.05),
                        new TimedPhone(Phone.IY, 1.05, 1.3)),
                List.of(),
                0);
        Map<String, List<DialKey>> keys = new LinkedHashMap<>();
        for (Dial d : c.controls().dials()) {
            if (d.purpose() == Purpose.TURN || d.purpose() == Purpose.GAZE_ACROSS) {
                keys.put(
                        d.id(),
                        List.of(
                                new DialKey(3, d.rest(), Way.SMOOTH),
                                new DialKey(16, d.rest() + 0.7 * (d.to() - d.rest()), new Way.Curve(0.4, 0, 0.2, 1)),
                                new DialKey(36, d.rest() + 0.5 * (d.from() - d.rest()), Way.HOLD)));
            }
        }
        Shot shot = new Shot("Ma oh fee", line, TrackRules.at(24), Map.of());
        shot = new ShotEdit.SetBlink(-1, Blink.at(18)).apply(shot);
        if (!keys.isEmpty()) {
            shot = new ActingEdit.SetKeys(keys).apply(shot);
        }
        if (!c.library().looks().isEmpty()) {
            shot = new ActingEdit.SetLook(
                            -1, new LookSpan(20, 39, c.library().looks().get(0).id(), 6, 4, 0.8))
                    .apply(shot);
        }
        return new ShotEdit.Expose(exposure, 1, 2).apply(shot);
    }

    static byte[] handedOver(String format, RiggedFace face, Shot shot) throws Exception {
        Exporter exporter = Exporter.all().stream()
                .filter(e -> e.format().id().equals(format))
                .findFirst()
                .orElseThrow();
        Playhead playhead = new Playhead(new Evaluator(face.character()), shot);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        exporter.write(
                new ExportSource(
                        face.character(),
                        playhead.frameAt(0, Pose.REST),
                        Optional.of(shot),
                        Optional.of(playhead),
                        face.images(),
                        Optional::empty),
                Choices.of(exporter.options(), Map.of()),
                out);
        return out.toByteArray();
    }

    /** What every face shows in the frames looked at, against our own pictures of them. */
    private void compare(String format, String page, String at) throws Exception {
        int worstFace = 0;
        double worst = 0;
        int n = 0;
        for (RiggedFace face : RiggedFace.tried(FIRST, FACES)) {
            n++;
            Shot shot = acted(face.character(), 1 + n % 2);
            byte[] file = handedOver(format, face, shot);
            Files.write(Path.of("target", "played-" + n + "." + (format.equals("lottie") ? "json" : "svg")), file);
            var canvas = face.character().sheet().canvas();
            int height = (int) Math.round(SIZE * canvas.height() / canvas.width());
            double scale = SIZE / canvas.width();
            // Lottie's canvas has whole numbers
            double across = format.equals("lottie") ? Math.ceil(canvas.width()) : canvas.width();
            double down = format.equals("lottie") ? Math.ceil(canvas.height()) : canvas.height();
            hand.page.setViewportSize(SIZE, height);
            // as tall as it is to a fraction, and not scaled as a picture once it is drawn
            hand.page.setContent("<style>body{margin:0}svg{width:100%!important;height:100%!important;display:block;"
                    + "transform:none!important}</style><div id=at style='width:" + scale * across + "px;height:"
                    + scale * down + "px'></div>");
            if (format.equals("lottie")) {
                hand.page.evaluate(Files.readString(
                        Path.of("..", "web", "node_modules", "lottie-web", "build", "player", "lottie_svg.min.js")));
            }
            hand.page.evaluate(page, new String(file, StandardCharsets.UTF_8));
            Playhead playhead = new Playhead(new Evaluator(face.character()), shot);
            FramePainter painter = FramePainter.of(face.character(), SIZE, face.images());
            BufferedImage first = null;
            double moved = 0;
            for (int frame : LOOKED_AT) {
                hand.page.evaluate(at, frame);
                hand.frame();
                BufferedImage theirs = ImageIO.read(new ByteArrayInputStream(
                        hand.page.screenshot(new Page.ScreenshotOptions().setClip(new Clip(0, 0, SIZE, height)))));
                BufferedImage ours =
                        ImageIO.read(new ByteArrayInputStream(painter.png(playhead.frameAt(frame, Pose.REST))));
                double apart = apart(Pictures.soft(ours), Pictures.soft(theirs));
                if (apart > worst) {
                    worst = apart;
                    worstFace = n;
                }
                if (apart >= ALIKE) {
                    ImageIO.write(ours, "png", new File("target/played-" + n + "-" + frame + "-ours.png"));
                    ImageIO.write(theirs, "png", new File("target/played-" + n + "-" + frame + "-" + format + ".png"));
                }
                assertThat(apart)
                        .as("face %d, frame %d as %s", n, frame, format)
                        .isLessThan(ALIKE);
                moved = Math.max(moved, first == null ? 0 : apart(first, theirs));
                first = first == null ? theirs : first;
            }
            assertThat(moved).as("face %d moves", n).isGreaterThan(2 * ALIKE);
        }
        System.out.printf("%s: %d faces, at worst %.1f (face %d)%n", format, n, worst, worstFace);
    }

    @Test
    void aShotAsLottieIsOurs() throws Exception {
        compare(
                "lottie",
                "async text => { window.player = lottie.loadAnimation({ container: document.getElementById('at'), renderer: 'svg',"
                        + " loop: false, autoplay: false, animationData: JSON.parse(text) });"
                        // its pictures are read first
                        + " while (!window.player.isLoaded) await new Promise(done => setTimeout(done, 20)); }",
                "frame => window.player.goToAndStop(frame, true)");
    }

    @Test
    void aShotAsAnimatedSvgIsOurs() throws Exception {
        compare(
                "animated-svg",
                "text => { const at = document.getElementById('at'); at.innerHTML = text.replace(/^<\\?xml[^>]*>/, '');"
                        + " at.firstElementChild.pauseAnimations(); }",
                // in the midst of a frame, as any moment but its first
                "frame => document.querySelector('svg').setCurrentTime((frame + 0.5) / 24)");
    }

    /** Chromium's own reader of captions. */
    @Test
    void captionsAreReadByTheBrowser() throws Exception {
        RiggedFace maren = RiggedFace.of(DemoFiles.maren()).orElseThrow();
        Shot spoken = acted(maren.character(), 1);
        Shot typed = spoken.withLines(spoken.lines().stream()
                .map(l -> new PlacedLine(
                        l.at(),
                        new DialogueLine(
                                "Ma, <oh> & fee!",
                                "hash",
                                1.6,
                                List.of(),
                                l.line().phones(),
                                List.of(),
                                0)))
                .toList());
        String vtt = new String(handedOver("captions-vtt", maren, typed), StandardCharsets.UTF_8);
        hand.page.setContent("<video id=v></video>");
        Object read = hand.page.evaluate(
                """
                async text => {
                  const track = document.createElement('track');
                  track.default = true;
                  track.src = URL.createObjectURL(new Blob([text], { type: 'text/vtt' }));
                  document.getElementById('v').append(track);
                  track.track.mode = 'showing';
                  await new Promise((done, failed) => { track.onload = done; track.onerror = failed; });
                  return [...track.track.cues].map(c => [c.startTime, c.endTime, c.getCueAsHTML().textContent].join(' '));
                }
                """,
                vtt);
        assertThat(read).isEqualTo(List.of("0 1.6 Ma, <oh> & fee!"));
    }
}
