package app.leeward.speech.script;

import app.leeward.core.speech.Phone;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What the labels of sounds mean that other programs write: ARPAbet with or without stress, IPA, and names of silence. */
public final class SoundLabels {
    private static final Set<String> SILENCE =
            Set.of("", "sil", "sp", "spn", "pau", "pause", "<p:>", "<sil>", "#", "_", "-", "h#", "silence", "<eps>");

    /** Signs of IPA that are near enough to an English sound for a mouth. */
    private static final Map<String, Phone> SIGNS = new HashMap<>();

    static {
        for (Phone p : Phone.values()) {
            SIGNS.put(bare(p.ipa()), p);
        }
        Map.ofEntries(
                        Map.entry("g", Phone.G),
                        Map.entry("r", Phone.R),
                        Map.entry("ɹ", Phone.R),
                        Map.entry("ə", Phone.AH),
                        Map.entry("ɐ", Phone.AH),
                        Map.entry("ɚ", Phone.ER),
                        Map.entry("ɝ", Phone.ER),
                        Map.entry("ɜ", Phone.ER),
                        Map.entry("ɒ", Phone.AA),
                        Map.entry("a", Phone.AA),
                        Map.entry("e", Phone.EY),
                        Map.entry("ɛ", Phone.EH),
                        Map.entry("o", Phone.OW),
                        Map.entry("ɾ", Phone.D),
                        Map.entry("ɫ", Phone.L),
                        Map.entry("tʃ", Phone.CH),
                        Map.entry("dʒ", Phone.JH))
                .forEach(SIGNS::putIfAbsent);
    }

    private SoundLabels() {}

    public static boolean silent(String label) {
        return SILENCE.contains(label.strip().toLowerCase(Locale.ROOT));
    }

    /** Empty for a label nobody knows, and for silence. */
    public static Optional<Phone> sound(String label) {
        return Phone.parse(label).or(() -> Optional.ofNullable(SIGNS.get(bare(label))));
    }

    /** Without signs of stress, length, syllables, ties and voice. */
    private static String bare(String label) {
        return label.strip().replaceAll("[ˈˌːˑ.‿͜͡\\u0325\\u032F\\u0329\\u031F\\u0303ʰ]", "");
    }
}
