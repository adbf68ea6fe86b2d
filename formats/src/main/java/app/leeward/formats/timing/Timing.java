package app.leeward.formats.timing;

import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.TimedWord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What is said and shown in a shot, as stretches of time. */
final class Timing {
    private Timing() {}

    /**
     * A stretch of time.
     *
     * @param start seconds into the shot
     * @param end seconds into the shot
     */
    record Span(double start, double end, String text) {}

    static double seconds(Shot shot) {
        return (double) shot.frames() / shot.rules().frameRate();
    }

    /** Every word, written as it was typed where that can be told. */
    static List<Span> words(Shot shot) {
        List<Span> all = new ArrayList<>();
        for (PlacedLine line : shot.lines()) {
            List<TimedWord> words = line.line().words();
            String[] typed = line.line().text().strip().split("\\s+");
            for (int i = 0; i < words.size(); i++) {
                TimedWord w = words.get(i);
                // numbers are read as several words, so that they cannot be told apart
                String text = typed.length == words.size() ? typed[i] : w.text();
                all.add(new Span(w.start() + shot.starts(line), w.end() + shot.starts(line), text));
            }
        }
        all.sort(Comparator.comparingDouble(Span::start));
        return all;
    }

    static List<Span> phones(Shot shot) {
        return shot.phones().stream()
                .map(p -> new Span(p.start(), p.end(), p.phone().name()))
                .toList();
    }

    /** Each mouth from the frame it comes in to the one it goes. */
    static List<Span> mouths(Playhead playhead) {
        List<Span> all = new ArrayList<>();
        if (playhead.mouths().isEmpty()) {
            return all;
        }
        MouthTrack mouths = playhead.mouths().get();
        double frame = 1.0 / playhead.shot().rules().frameRate();
        int from = 0;
        int frames = playhead.shot().frames();
        for (int f = 1; f <= frames; f++) {
            String now = mouths.at(playhead.exposed(from));
            if (f == frames || !mouths.at(playhead.exposed(f)).equals(now)) {
                all.add(new Span(from * frame, f * frame, now));
                from = f;
            }
        }
        return all;
    }
}
