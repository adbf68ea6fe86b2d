package app.leeward.e2e;

import static app.leeward.e2e.Pictures.ALIKE;
import static app.leeward.e2e.Pictures.apart;
import static app.leeward.e2e.Pictures.soft;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.ExportWork;
import app.leeward.formats.export.Exporter;
import app.leeward.render.FramePainter;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Clip;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.zip.GZIPOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The live face in a page that is not ours, from a plain file server, under a strict content policy: it shows what we show. */
class LiveFaceTest {
    private static final int SIZE = 600;
    private static final int POSES = 6;
    private static final long FIRST = 5_100;
    private static final int MOST_BYTES = 200_000;
    private static FileServer server;
    private static Browser hand;

    @BeforeAll
    static void start() throws Exception {
        hand = new Browser();
        server = new FileServer();
    }

    @AfterAll
    static void end() {
        server.close();
        hand.close();
    }

    /** Everything that is handed over, in a folder of the file server. */
    private static List<String> served(String folder, RiggedFace face, List<Shot> shots) throws Exception {
        Exporter exporter = Exporter.all().stream()
                .filter(e -> e.format().id().equals("live-face"))
                .findFirst()
                .orElseThrow();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        exporter.write(
                new ExportSource(
                        face.character(),
                        new Evaluator(face.character()).frame(Pose.REST),
                        Optional.empty(),
                        Optional.empty(),
                        face.images(),
                        Optional::empty,
                        () -> new ExportSource.Everything(
                                shots, hash -> new byte[0], shot -> Optional.of(new byte[] {1})),
                        ExportWork.HERE),
                Choices.of(exporter.options(), Map.of()),
                out);
        List<String> names = server.unpack(folder, out.toByteArray());
        String page = "<!doctype html><html lang=en><title>Elsewhere</title><link rel=icon href='data:,'>"
                + "<link rel=stylesheet href=foreign.css><script type=module src=leeward-face.js></script>"
                + "<main><h1>Elsewhere</h1><leeward-face src=face.face fit=whole></leeward-face></main></html>";
        server.put(folder + "/foreign.html", page.getBytes(StandardCharsets.UTF_8));
        var canvas = face.character().sheet().canvas();
        server.put(
                folder + "/foreign.css",
                // as tall as it is to a fraction
                String.format(
                                Locale.ROOT,
                                "body{margin:0} h1{display:none} leeward-face{width:%dpx;height:%fpx}",
                                SIZE,
                                SIZE * canvas.height() / canvas.width())
                        .getBytes(StandardCharsets.UTF_8));
        return names;
    }

    private static int height(RiggedFace face) {
        var canvas = face.character().sheet().canvas();
        return (int) Math.round(SIZE * canvas.height() / canvas.width());
    }

    private static void open(String folder) {
        hand.page.navigate(server.url(folder + "/foreign.html"));
        hand.page.waitForFunction("() => document.querySelector('leeward-face').ready");
    }

    private static double apartFrom(RiggedFace face, Frame frame) throws Exception {
        byte[] seen = hand.page.screenshot(new Page.ScreenshotOptions().setClip(new Clip(0, 0, SIZE, height(face))));
        BufferedImage ours = ImageIO.read(new ByteArrayInputStream(
                FramePainter.of(face.character(), SIZE, face.images()).png(frame)));
        BufferedImage theirs = ImageIO.read(new ByteArrayInputStream(seen));
        double apart = apart(soft(theirs), soft(ours));
        if (apart >= ALIKE) {
            Files.write(Path.of("target", "live-" + (int) apart + "-seen.png"), seen);
            ImageIO.write(
                    ours,
                    "png",
                    Path.of("target", "live-" + (int) apart + "-ours.png").toFile());
        }
        return apart;
    }

    @Test
    void everyPoseIsTheServersAndEveryLineIsActedInStepWithItsSound() throws Exception {
        Random random = new Random(7);
        double worst = 0;
        int n = 0;
        for (RiggedFace face : RiggedFace.tried(FIRST, 1)) {
            String folder = "f" + n++;
            Shot shot = PlayedElsewhereTest.acted(face.character(), 1);
            assertThat(served(folder, face, List.of(shot)))
                    .contains("index.html", "leeward-face.js", "face.face", "ma-oh-fee.wav");
            open(folder);
            Evaluator evaluator = new Evaluator(face.character());
            for (int i = 0; i < POSES; i++) {
                Map<String, Object> dials = new HashMap<>();
                Map<String, Double> at = new LinkedHashMap<>();
                for (Dial d : face.character().controls().dials()) {
                    if (random.nextInt(3) == 0) {
                        double value = d.from() + (d.to() - d.from()) * random.nextDouble();
                        at.put(d.id(), value);
                    }
                    dials.put(d.id(), at.get(d.id()));
                }
                hand.page.evaluate("dials => document.querySelector('leeward-face').perform(dials)", dials);
                worst = Math.max(worst, apartFrom(face, evaluator.frame(Pose.of(at))));
            }
            worst = Math.max(worst, said(face, shot));
        }
        System.out.printf("live face: %d faces, at worst %.1f%n", n, worst);
        assertThat(worst).isLessThan(ALIKE);
        assertThat(hand.errors).isEmpty();
    }

    /** The sound's time is set by hand, and what is seen is the shot's frame of that time. */
    private static double said(RiggedFace face, Shot shot) throws Exception {
        hand.page.evaluate(
                """
                () => {
                  const face = document.querySelector('leeward-face');
                  face.perform(Object.fromEntries(Object.keys(face.dials).map(d => [d, null])));
                  window.Audio = class { currentTime = 0; ended = false; constructor() { window.heard = this; }
                    play() { return Promise.resolve(); } pause() {} };
                  window.events = [];
                  for (const name of ['saystart', 'sayend', 'problem'])
                    face.addEventListener(name, e => window.events.push(name + ' ' + (e.detail.line ?? e.detail.message)));
                  window.saying = face.say('ma-oh-fee');
                }
                """);
        hand.page.waitForFunction("() => window.events.length > 0");
        Playhead playhead = new Playhead(new Evaluator(face.character()), shot);
        double worst = 0;
        for (int frame : new int[] {0, 6, 12, 18, 27, 38}) {
            hand.page.evaluate(
                    "async t => { heard.currentTime = t; for (let i = 0; i < 3; i++) await new Promise(requestAnimationFrame); }",
                    (frame + 0.5) / shot.rules().frameRate());
            worst = Math.max(worst, apartFrom(face, playhead.frameAt(frame, Pose.REST)));
        }
        assertThat(hand.page.evaluate("() => { heard.ended = true; return window.saying; }"))
                .isEqualTo(true);
        assertThat((List<?>) hand.page.evaluate("() => window.events"))
                .isEqualTo(List.of("saystart ma-oh-fee", "sayend ma-oh-fee"));
        return worst;
    }

    @Test
    void attributesAreDialsAndWhatIsAskedInVainIsSaid() throws Exception {
        RiggedFace face = RiggedFace.of(DemoFiles.maren()).orElseThrow();
        served("words", face, List.of());
        open("words");
        Evaluator evaluator = new Evaluator(face.character());
        hand.page.evaluate(
                """
                async () => {
                  const face = document.querySelector('leeward-face');
                  window.problems = [];
                  face.addEventListener('problem', e => window.problems.push(e.detail.message));
                  face.setAttribute('turn', '20');
                  face.setAttribute('gaze-x', '-1');
                  face.setAttribute('mood', 'Happiness:.5');
                  face.setAttribute('moood', 'x');
                  await new Promise(requestAnimationFrame);
                }
                """);
        Character c = face.character();
        Dial across = c.controls().dials().stream()
                .filter(d -> d.purpose() == app.leeward.core.dial.Purpose.GAZE_ACROSS)
                .findFirst()
                .orElseThrow();
        Pose pose = Pose.of(Map.of("turn", 20.0, across.id(), across.from()))
                .withLooks(Map.of(
                        c.library().looks().stream()
                                .filter(l -> l.name().equals("Happiness"))
                                .findFirst()
                                .orElseThrow()
                                .id(),
                        0.5));
        assertThat(apartFrom(face, evaluator.frame(pose))).isLessThan(ALIKE);
        assertThat((List<?>) hand.page.evaluate("() => window.problems"))
                .hasSize(1)
                .allSatisfy(p -> assertThat((String) p).startsWith("There is no dial “moood”; there are: turn"));
        // named for screen readers, and without serious faults
        assertThat(hand.page
                        .getByRole(
                                com.microsoft.playwright.options.AriaRole.IMG,
                                new Page.GetByRoleOptions().setName(c.name()))
                        .count())
                .isEqualTo(1);
        hand.page.evaluate(Files.readString(Path.of("..", "web", "node_modules", "axe-core", "axe.min.js")));
        assertThat(
                        (List<?>)
                                hand.page.evaluate(
                                        "async () => (await axe.run()).violations.filter(v => ['serious', 'critical'].includes(v.impact)).map(v => v.id)"))
                .isEmpty();
        // a file that is not there, and one that is no face
        server.put("words/none.face", "{\"format\":\"other\"}".getBytes(StandardCharsets.UTF_8));
        hand.page.evaluate(
                """
                () => new Promise(done => {
                  const face = document.createElement('leeward-face');
                  face.addEventListener('problem', e => done(e.detail.message));
                  face.setAttribute('src', 'none.face');
                  document.querySelector('main').append(face);
                })
                """);
        assertThat(hand.page.getByText("none.face is no face.").count()).isEqualTo(1);
        hand.errors.clear();
    }

    @Test
    void theElementIsSmallAndItsPageShowsHow() throws Exception {
        RiggedFace face = RiggedFace.of(DemoFiles.maren()).orElseThrow();
        served("page", face, List.of(PlayedElsewhereTest.acted(face.character(), 1)));
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            gzip.write(server.get("page/leeward-face.js"));
        }
        System.out.printf("live face: the element is %d bytes compressed%n", packed.size());
        assertThat(packed.size()).isLessThan(MOST_BYTES);
        hand.page.navigate(server.url("page/index.html"));
        hand.page.getByText("Say “Ma oh fee”").waitFor();
        hand.page.getByText("Happiness").click();
        assertThat(hand.page.locator("#code").textContent()).contains("mood=\"Happiness\"");
        assertThat(hand.errors).isEmpty();
    }
}
