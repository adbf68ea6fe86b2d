package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Guess;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedWord;
import app.leeward.speech.acoustic.Pronounced;
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
    private final Map<String, Guess> guesses = new LinkedHashMap<>();
    private final List<Spelling> spelled;

    Correction(LineReader reader, DialogueLine before, String text, Sound sound, Lexicon lexicon) {
        this.reader = reader;
        this.before = before;
        this.text = text;
        this.sound = sound;
        this.spelled = new ArrayList<>(reader.spelled(text, lexicon, guesses));
    }

    /** New words {@code from} to before {@code to}, in the sound from second {@code start} to {@code end}. */
    private record Part(int from, int to, double start, double end) {}

    /** The corrected line; all of it is read again where too much changed, or what changed is not found in its place. */
    DialogueLine made(Listening listening) {
        List<TimedWord> old = before.words();
        int[] kept = kept(old);
        for (int i = 0; i < kept.length; i++) {
            if (kept[i] >= 0 && before.byHand(kept[i])) {
                // a hand knows better how it is said, and where
                spelled.set(
                        i, new Spelling(spelled.get(i).word(), List.of(HeldWord.of(before, kept[i], edge -> false))));
            }
        }
        return inParts(old, kept, listening).orElseGet(() -> {
            LineParts whole = new LineParts(before);
            whole.add(reader.aligned(text, spelled, sound, before.sound(), List.of(), listening), 0, sound.seconds());
            return whole.line(text, List.copyOf(guesses.values()));
        });
    }

    private Optional<DialogueLine> inParts(List<TimedWord> old, int[] kept, Listening listening) {
        List<Part> stretches = stretches(old, kept);
        double searched =
                stretches.stream().mapToDouble(s -> s.end() - s.start()).sum();
        if (old.isEmpty() || searched > MOST * sound.seconds()) {
            return Optional.empty();
        }
        LineParts parts = new LineParts(before);
        int next = 0;
        double done = 0;
        for (Part s : stretches) {
            keep(kept, next, s.from(), parts);
            Listening part = listening.between(done / searched, (done + s.end() - s.start()) / searched);
            Optional<DialogueLine> found = found(s, part);
            if (found.isEmpty()) {
                return Optional.empty();
            }
            parts.add(found.get(), s.start(), s.end());
            next = s.to();
            done += s.end() - s.start();
        }
        keep(kept, next, spelled.size(), parts);
        return Optional.of(parts.line(text, List.copyOf(guesses.values())));
    }

    private Optional<DialogueLine> found(Part s, Listening listening) {
        List<Spelling> words = spelled.subList(s.from(), s.to()).stream()
                .map(w -> w.from(s.start()))
                .toList();
        if (words.isEmpty()) {
            return Optional.empty();
        }
        try {
            DialogueLine line =
                    reader.aligned("", words, sound.part(s.start(), s.end()), before.sound(), List.of(), listening);
            boolean whole = line.words().size() == s.to() - s.from();
            return whole && line.fits() ? Optional.of(line) : Optional.empty();
        } catch (SpeechProblem e) {
            // it may be elsewhere in the recording
            return Optional.empty();
        }
    }

    private void keep(int[] kept, int from, int to, LineParts parts) {
        for (int i = from; i < to; i++) {
            parts.keep(kept[i], spelled.get(i).word().text());
        }
    }

    /** For each new word the old one it is, or -1: the longest common run of words in order (Wagner and Fischer, 1974). */
    private int[] kept(List<TimedWord> old) {
        int n = spelled.size();
        int m = old.size();
        boolean[][] same = new boolean[n][m];
        int[][] longest = new int[n + 1][m + 1];
        for (int i = n - 1; i >= 0; i--) {
            for (int k = m - 1; k >= 0; k--) {
                same[i][k] =
                        spelled.get(i).word().text().equalsIgnoreCase(old.get(k).text())
                                && (before.byHand(k) || saidSo(i, k));
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
    private boolean saidSo(int i, int old) {
        List<Phone> said = before.phonesOf(old).stream()
                .map(p -> before.phones().get(p).phone())
                .toList();
        return ends(spelled.get(i).spoken(), 0, said, 0);
    }

    private static boolean ends(List<Pronounced> spoken, int word, List<Phone> said, int at) {
        if (word == spoken.size()) {
            return at == said.size();
        }
        for (List<Phone> way : spoken.get(word).ways()) {
            int to = at + way.size();
            if (to <= said.size() && said.subList(at, to).equals(way) && ends(spoken, word + 1, said, to)) {
                return true;
            }
        }
        return false;
    }

    private List<Part> stretches(List<TimedWord> old, int[] kept) {
        List<Part> out = new ArrayList<>();
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

    private Part around(List<TimedWord> old, int[] kept, int from, int to) {
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
        Part s = stretch(old, kept, from, to);
        return s.end() - s.start();
    }

    /** From half-way through the pause before the words to half-way through the one behind them. */
    private Part stretch(List<TimedWord> old, int[] kept, int from, int to) {
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
        return new Part(from, to, start, end);
    }

    private List<Part> merged(List<TimedWord> old, int[] kept, List<Part> all) {
        List<Part> out = new ArrayList<>();
        for (Part s : all) {
            Part last = out.isEmpty() ? null : out.get(out.size() - 1);
            if (last != null && s.from() <= last.to()) {
                out.set(out.size() - 1, stretch(old, kept, last.from(), Math.max(last.to(), s.to())));
            } else {
                out.add(s);
            }
        }
        return out;
    }
}
