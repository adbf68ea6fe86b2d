package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Guess;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A line whose words were corrected. Words that are the same, and said with sounds that are still theirs, keep their times;
 * each stretch of others is looked for between the kept words around it, with some of these so that the search has something
 * to hold on to.
 */
final class Correction {
    /** Kept words looked for again on either side of a change. */
    private static final int AROUND = 2;
    /** Shortest stretch of sound, seconds, in which the loudness of a voice can be told. */
    private static final double SHORTEST = 3;
    /** Share of the recording beyond which all of it is read again: little is saved, and one search is surer than many. */
    private static final double MOST = 0.6;

    private final LineReader reader;
    private final DialogueLine before;
    private final String text;
    private final Sound sound;
    private final Lexicon lexicon;
    private final List<WrittenWord> written;
    private final Map<String, Guess> guesses = new LinkedHashMap<>();
    private final List<List<List<List<Phone>>>> ways = new ArrayList<>();

    Correction(LineReader reader, DialogueLine before, String text, Sound sound, Lexicon lexicon) {
        this.reader = reader;
        this.before = before;
        this.text = text;
        this.sound = sound;
        this.lexicon = lexicon;
        this.written = LineReader.written(text);
        for (WrittenWord word : written) {
            ways.add(word.spoken().stream()
                    .map(s -> reader.pronunciations(s, lexicon, guesses))
                    .toList());
        }
    }

    /** New words {@code from} to before {@code to}, in the sound from second {@code start} to {@code end}. */
    private record Stretch(int from, int to, double start, double end) {}

    /** The corrected line; empty when all of it has to be read again. */
    Optional<DialogueLine> made(Listening listening) {
        List<TimedWord> old = before.words();
        int[] kept = kept(old);
        List<Stretch> stretches = stretches(old, kept);
        double searched =
                stretches.stream().mapToDouble(s -> s.end() - s.start()).sum();
        if (old.isEmpty() || searched > MOST * sound.seconds()) {
            return Optional.empty();
        }
        List<TimedWord> words = new ArrayList<>();
        List<TimedPhone> phones = new ArrayList<>();
        int next = 0;
        double done = 0;
        for (Stretch s : stretches) {
            keep(old, kept, next, s.from(), words, phones);
            Listening part = listening.between(done / searched, (done + s.end() - s.start()) / searched);
            Optional<DialogueLine> found = found(s, part);
            if (found.isEmpty()) {
                return Optional.empty();
            }
            found.get()
                    .words()
                    .forEach(w ->
                            words.add(new TimedWord(w.text(), w.start() + s.start(), w.end() + s.start(), w.doubt())));
            found.get()
                    .phones()
                    .forEach(p -> phones.add(new TimedPhone(p.phone(), p.start() + s.start(), p.end() + s.start())));
            next = s.to();
            done += s.end() - s.start();
        }
        keep(old, kept, next, written.size(), words, phones);
        return Optional.of(new DialogueLine(
                text, before.sound(), before.seconds(), words, phones, List.copyOf(guesses.values()), doubt(words)));
    }

    private Optional<DialogueLine> found(Stretch s, Listening listening) {
        int first = (int) Math.round(s.start() * sound.rate());
        int end = Math.min(sound.samples().length, (int) Math.round(s.end() * sound.rate()));
        Sound part = new Sound(sound.rate(), Arrays.copyOfRange(sound.samples(), first, end));
        String words = String.join(
                " ",
                written.subList(s.from(), s.to()).stream()
                        .map(WrittenWord::text)
                        .toList());
        try {
            DialogueLine line = reader.read(words, part, before.sound(), lexicon, listening);
            boolean whole = line.words().size() == s.to() - s.from();
            return whole && line.fits() ? Optional.of(line) : Optional.empty();
        } catch (SpeechProblem e) {
            // it may be elsewhere in the recording
            return Optional.empty();
        }
    }

    /** Mean over the words by how long they last, which is how a whole reading counts it. */
    private static double doubt(List<TimedWord> words) {
        double sum = 0;
        double seconds = 0;
        for (TimedWord w : words) {
            sum += w.doubt() * (w.end() - w.start());
            seconds += w.end() - w.start();
        }
        return seconds == 0 ? 0 : sum / seconds;
    }

    private void keep(
            List<TimedWord> old, int[] kept, int from, int to, List<TimedWord> words, List<TimedPhone> phones) {
        for (int i = from; i < to; i++) {
            TimedWord w = old.get(kept[i]);
            words.add(new TimedWord(written.get(i).text(), w.start(), w.end(), w.doubt()));
            phones.addAll(phonesOf(w));
        }
    }

    private List<TimedPhone> phonesOf(TimedWord w) {
        return before.phones().stream()
                .filter(p -> p.start() >= w.start() - 1e-6 && p.end() <= w.end() + 1e-6)
                .toList();
    }

    /** For each new word the old one it is, or -1: the longest common run of words in order (Wagner and Fischer, 1974). */
    private int[] kept(List<TimedWord> old) {
        int n = written.size();
        int m = old.size();
        boolean[][] same = new boolean[n][m];
        int[][] longest = new int[n + 1][m + 1];
        for (int i = n - 1; i >= 0; i--) {
            for (int k = m - 1; k >= 0; k--) {
                same[i][k] = written.get(i).text().equalsIgnoreCase(old.get(k).text()) && saidSo(i, old.get(k));
                longest[i][k] = same[i][k] ? longest[i + 1][k + 1] + 1 : Math.max(longest[i + 1][k], longest[i][k + 1]);
            }
        }
        int[] kept = new int[n];
        Arrays.fill(kept, -1);
        int k = 0;
        for (int i = 0; i < n && k < m; ) {
            if (same[i][k] && longest[i][k] == longest[i + 1][k + 1] + 1) {
                kept[i++] = k++;
            } else if (longest[i + 1][k] >= longest[i][k + 1]) {
                i++;
            } else {
                k++;
            }
        }
        return kept;
    }

    /** Whether the sounds an old word was found with are still a way to say the new one. */
    private boolean saidSo(int i, TimedWord old) {
        List<Phone> said = phonesOf(old).stream().map(TimedPhone::phone).toList();
        return ends(ways.get(i), 0, said, 0);
    }

    private static boolean ends(List<List<List<Phone>>> spoken, int word, List<Phone> said, int at) {
        if (word == spoken.size()) {
            return at == said.size();
        }
        for (List<Phone> way : spoken.get(word)) {
            int to = at + way.size();
            if (to <= said.size() && said.subList(at, to).equals(way) && ends(spoken, word + 1, said, to)) {
                return true;
            }
        }
        return false;
    }

    private List<Stretch> stretches(List<TimedWord> old, int[] kept) {
        List<Stretch> out = new ArrayList<>();
        int n = kept.length;
        for (int i = 0; i <= n; i++) {
            if (!changedBefore(kept, old.size(), i)) {
                continue;
            }
            // the gap before word i, or the changed words from i on
            int end = i;
            while (end < n && kept[end] < 0) {
                end++;
            }
            out.add(around(old, kept, i, end));
            i = end;
        }
        return merged(old, kept, out);
    }

    /** Whether there is a change at word {@code i}: it is a new one, or old ones before it were taken out. */
    private static boolean changedBefore(int[] kept, int olds, int i) {
        int last = i == 0 ? -1 : kept[i - 1];
        if (i < kept.length && kept[i] < 0) {
            return true;
        }
        int next = i == kept.length ? olds : kept[i];
        return last >= -1 && next != last + 1;
    }

    private Stretch around(List<TimedWord> old, int[] kept, int from, int to) {
        int a = from;
        int b = to;
        int more = 0;
        while (more < AROUND || span(old, kept, a, b) < SHORTEST) {
            boolean left = a > 0 && kept[a - 1] >= 0;
            boolean right = b < kept.length && kept[b] >= 0;
            if (!left && !right) {
                break;
            }
            a -= left ? 1 : 0;
            b += right ? 1 : 0;
            more++;
        }
        return stretch(old, kept, a, b);
    }

    private double span(List<TimedWord> old, int[] kept, int from, int to) {
        Stretch s = stretch(old, kept, from, to);
        return s.end() - s.start();
    }

    /** From half-way through the pause before the words to half-way through the one behind them. */
    private Stretch stretch(List<TimedWord> old, int[] kept, int from, int to) {
        double start = 0;
        if (from > 0 && kept[from - 1] >= 0) {
            int k = kept[from - 1];
            double next = k + 1 < old.size() ? old.get(k + 1).start() : sound.seconds();
            start = (old.get(k).end() + next) / 2;
        }
        double end = sound.seconds();
        if (to < kept.length && kept[to] >= 0) {
            int k = kept[to];
            double last = k > 0 ? old.get(k - 1).end() : 0;
            end = (last + old.get(k).start()) / 2;
        }
        return new Stretch(from, to, start, end);
    }

    private List<Stretch> merged(List<TimedWord> old, int[] kept, List<Stretch> all) {
        List<Stretch> out = new ArrayList<>();
        for (Stretch s : all) {
            Stretch last = out.isEmpty() ? null : out.get(out.size() - 1);
            if (last != null && s.from() <= last.to()) {
                out.set(out.size() - 1, stretch(old, kept, last.from(), Math.max(last.to(), s.to())));
            } else {
                out.add(s);
            }
        }
        return out;
    }
}
