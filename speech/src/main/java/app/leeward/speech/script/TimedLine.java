package app.leeward.speech.script;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.speech.SpeechProblem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/** A line as it was timed elsewhere. Its edges count as put by hand: reading the recording again leaves them there. */
public final class TimedLine {
    /** By how much a grid may be longer than its recording, seconds. */
    private static final double LONGER = 0.5;

    private TimedLine() {}

    /**
     * @param sounds number of the tier of sounds
     * @param words number of the tier of words; empty for none
     * @param meant sounds for labels that nobody knows; a label that is not in it and not known is silence
     * @param hash of the recording
     * @param seconds of the recording
     * @throws SpeechProblem {@code grid-tier}, {@code grid-length} or {@code grid-silent}
     */
    public static DialogueLine of(
            TimingGrid grid,
            int sounds,
            Optional<Integer> words,
            Map<String, Phone> meant,
            String hash,
            double seconds) {
        if (grid.seconds() > seconds + LONGER) {
            throw new SpeechProblem(
                    "grid-length",
                    String.format(
                            java.util.Locale.ROOT,
                            "The timings last %.2f s and the recording %.2f s: they do not belong together.",
                            grid.seconds(),
                            seconds));
        }
        List<TimedPhone> phones = new ArrayList<>();
        TreeSet<Double> held = new TreeSet<>();
        for (TimingGrid.Interval i : tier(grid, sounds).intervals()) {
            Optional<Phone> phone = Optional.ofNullable(meant.get(i.label())).or(() -> SoundLabels.sound(i.label()));
            double to = Math.min(seconds, i.to());
            if (phone.isPresent() && to > i.from()) {
                phones.add(new TimedPhone(phone.get(), i.from(), to));
                held.add(i.from());
                held.add(to);
            }
        }
        if (phones.isEmpty()) {
            throw new SpeechProblem(
                    "grid-silent", "The tier '" + tier(grid, sounds).name() + "' holds no sounds.");
        }
        List<TimedWord> said = new ArrayList<>();
        if (words.isPresent()) {
            for (TimingGrid.Interval i : tier(grid, words.get()).intervals()) {
                double to = Math.min(seconds, i.to());
                if (!SoundLabels.silent(i.label()) && to > i.from()) {
                    said.add(new TimedWord(i.label(), i.from(), to, 0));
                }
            }
        }
        String text = String.join(" ", said.stream().map(TimedWord::text).toList());
        return new DialogueLine(text, hash, seconds, said, phones, List.of(), 0, List.copyOf(held), List.of());
    }

    private static TimingGrid.Tier tier(TimingGrid grid, int number) {
        if (number < 0 || number >= grid.tiers().size()) {
            throw new SpeechProblem("grid-tier", "The timings have no tier of intervals number " + (number + 1) + ".");
        }
        return grid.tiers().get(number);
    }
}
