package app.leeward.speech;

import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Speech whose true times are known: Debian's flite prints the end of every phone it speaks. */
public final class Flite {
    private static final Pattern PHONE = Pattern.compile("([a-z]+\\d?):([\\d.]+)");

    public record Said(byte[] wav, List<TimedPhone> phones) {}

    private Flite() {}

    public static Said say(String voice, String words) throws IOException, InterruptedException {
        Path wav = Files.createTempFile("leeward", ".wav");
        try {
            Process p = new ProcessBuilder("flite", "-voice", voice, "-psdur", "-t", words, "-o", wav.toString())
                    .redirectErrorStream(true)
                    .start();
            String printed = new String(p.getInputStream().readAllBytes());
            if (!p.waitFor(30, TimeUnit.SECONDS) || p.exitValue() != 0) {
                throw new IOException("flite failed: " + printed);
            }
            List<TimedPhone> phones = new ArrayList<>();
            double from = 0;
            Matcher m = PHONE.matcher(printed);
            while (m.find()) {
                double to = Double.parseDouble(m.group(2));
                String label = m.group(1).equals("ax") ? "ah" : m.group(1);
                if (!label.equals("pau")) {
                    double start = from;
                    phones.add(new TimedPhone(
                            Phone.parse(label).orElseThrow(() -> new IOException("unknown phone " + label)),
                            start,
                            to));
                }
                from = to;
            }
            return new Said(Files.readAllBytes(wav), phones);
        } finally {
            Files.deleteIfExists(wav);
        }
    }
}
