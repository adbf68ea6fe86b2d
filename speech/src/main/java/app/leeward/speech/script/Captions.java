package app.leeward.speech.script;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** WebVTT (W3C, 2019) and SubRip: blocks of a line with two times and the words below it. */
final class Captions {
    private static final Pattern TIMES = Pattern.compile(
            "\\s*((?:\\d+:)?\\d{1,2}:\\d{2}[.,]\\d{1,3})\\s*-->\\s*((?:\\d+:)?\\d{1,2}:\\d{2}[.,]\\d{1,3}).*");
    private static final Pattern VOICE = Pattern.compile("<v(?:\\.[^\\s>]*)?\\s+([^>]{1,80})>");

    private Captions() {}

    static boolean are(String text) {
        return text.startsWith("WEBVTT")
                || text.lines().anyMatch(l -> TIMES.matcher(l).matches());
    }

    static List<ScriptLine> read(String text) {
        String[] all = text.split("\n", -1);
        List<ScriptLine> out = new ArrayList<>();
        for (int i = 0; i < all.length; i++) {
            Matcher times = TIMES.matcher(all[i]);
            if (!times.matches()) {
                continue;
            }
            String above = i > 0 ? all[i - 1].strip() : "";
            StringBuilder words = new StringBuilder();
            int first = i + 2;
            int k = i + 1;
            for (; k < all.length && !all[k].isBlank() && !TIMES.matcher(all[k]).matches(); k++) {
                words.append(words.isEmpty() ? "" : " ").append(all[k].strip());
            }
            out.add(line(first, above, times, words.toString(), i + 1));
            i = k - 1;
        }
        return out;
    }

    private static ScriptLine line(int first, String above, Matcher times, String words, int place) {
        Matcher voice = VOICE.matcher(words);
        Optional<PlainScript.Said> said = PlainScript.said(words);
        boolean named = voice.find();
        String speaker = named
                ? voice.group(1).strip()
                : said.map(PlainScript.Said::speaker).orElse("");
        double from = ScriptReader.seconds(times.group(1), place);
        double to = ScriptReader.seconds(times.group(2), place);
        return new ScriptLine(
                first,
                speaker,
                above.length() <= PlainScript.LONGEST_CUE && !above.startsWith("WEBVTT") ? above : "",
                to > from ? Optional.of(new ScriptLine.Times(from, to)) : Optional.empty(),
                // what is in angles is taken out with the directions
                named ? words : said.map(PlainScript.Said::words).orElse(words));
    }
}
