package app.leeward.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Files that cannot be used, dropped on the real page: each is told apart in words, and what was there stays. */
class BadFilesTest extends Story {

    @Override
    void arrive() {
        hand.open(server.url());
        page.getByTestId("clock").waitFor();
    }

    @Test
    void badArtIsToldOnThePageAndTheCharacterStays() {
        Map<String, String> bad = new LinkedHashMap<>();
        bad.put("this is a shopping list", "This is not an SVG drawing");
        bad.put("<svg viewBox='0 0 9 9'><script>alert(1)</script></svg>", "The file holds no shapes to draw");
        bad.put("\u0089PNG\r\n", "This is not an SVG drawing");
        bad.put("PK\u0003\u0004 nothing", "The archive");
        bad.put("<svg>\n<image href='http://example.org/x.png'/></svg>", "refers to another file at line 2");
        bad.put("<!DOCTYPE svg [<!ENTITY a 'b'>]><svg><title>&a;</title></svg>", "uses XML entities at line 1");
        bad.put("<svg>" + "<g>".repeat(10_000) + "</g>".repeat(10_000) + "</svg>", "nests groups more than 200 deep");
        bad.put("<svg viewBox='0 0 9 9'></svg>", "The file holds no shapes to draw");
        bad.put(
                "<svg viewBox='0 0 9 9'><g id='roof'><rect width='4' height='4'/></g></svg>",
                "No layer is named as a face");
        int n = 0;
        for (Map.Entry<String, String> file : bad.entrySet()) {
            String name = "bad-" + ++n + ".svg";
            hand.drop(name, "image/svg+xml", file.getKey().getBytes(StandardCharsets.UTF_8));
            Locator alert = page.getByRole(AriaRole.ALERT);
            assertThat(alert).containsText(name + " was not read.");
            assertThat(alert).containsText(file.getValue());
            assertThat(page.locator("[data-testid=stage] [data-part=nose] g:visible"))
                    .hasCount(1);
        }
        assertThat(server.body("/api/v1/characters").split("\"id\""))
                .as("Maren, Pilchard and Barnaby, and nobody else")
                .hasSize(4);
    }

    @Test
    void badRecordingsAndWordsAreToldInTheDialogAndTheLineStays() {
        byte[] wav = DemoFiles.lines().get(0).wav();
        byte[] silent = wav.clone();
        Arrays.fill(silent, 44, silent.length, (byte) 0);
        refused(
                "text.wav",
                "no sound".getBytes(StandardCharsets.UTF_8),
                "hello",
                "This is not a recording that can be read");
        refused("stub.wav", "RIFF....WAVE".getBytes(StandardCharsets.UTF_8), "hello", "The WAV ends after 12 bytes");
        refused("cut.wav", Arrays.copyOf(wav, 4000), "hello", "The WAV is cut off: it promises");
        refused("silent.wav", silent, "hello", "The recording is silent");
        refused("long.wav", tenMinutes(), "hello", "The recording lasts 10 min");
        String endless = "the ferry leaves the far pier at six forty ".repeat(12);
        refused("fast.wav", wav, endless, "words need at least");
        assertThat(page.getByTestId("lane").getByText("morning").first()).isVisible();
    }

    private void refused(String name, byte[] file, String words, String message) {
        page.getByTestId("sound-file").setInputFiles(new FilePayload(name, "audio/wav", file));
        page.getByLabel("Words of the line").fill(words);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Create the lip sync"))
                .click();
        assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT)).containsText(message);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Cancel"))
                .click();
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    }

    /** Ten minutes of a quiet sawtooth: 8 kHz, 16 bit, mono. */
    private static byte[] tenMinutes() {
        int bytes = 10 * 60 * 8000 * 2;
        ByteBuffer b = ByteBuffer.allocate(44 + bytes).order(ByteOrder.LITTLE_ENDIAN);
        b.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(36 + bytes);
        b.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        b.putShort((short) 1).putShort((short) 1).putInt(8000).putInt(16000);
        b.putShort((short) 2).putShort((short) 16);
        b.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(bytes);
        for (int i = 0; b.hasRemaining(); i++) {
            b.putShort((short) (i % 80 * 50));
        }
        return b.array();
    }
}
