package app.leeward.speech.spelling;

import app.leeward.core.speech.Phone;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A few letters with the sounds they stand for.
 *
 * @param letters one or two
 * @param phones none, one or two
 */
record Graphone(String letters, List<Phone> phones) {
    static final int MOST_LETTERS = 2;
    static final int MOST_PHONES = 2;

    Graphone {
        phones = List.copyOf(phones);
    }

    /** Two letters for two sounds are two units. */
    static boolean allowed(int letters, int phones) {
        return letters >= 1
                && letters <= MOST_LETTERS
                && phones >= 0
                && phones <= MOST_PHONES
                && !(letters == MOST_LETTERS && phones == MOST_PHONES);
    }

    /** Letters, an equals sign, sounds joined by dots: {@code ck=K}. */
    @Override
    public String toString() {
        return letters + "=" + phones.stream().map(Phone::name).collect(Collectors.joining("."));
    }

    static Graphone parse(String text) {
        int at = text.indexOf('=');
        String sounds = text.substring(at + 1);
        return new Graphone(
                text.substring(0, at),
                sounds.isEmpty()
                        ? List.of()
                        : List.of(sounds.split("\\.")).stream()
                                .map(Phone::valueOf)
                                .toList());
    }
}
