package app.leeward.core.speech;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The 39 sounds of the CMU Pronouncing Dictionary, in ARPAbet, each with its IPA symbol after the published ARPAbet
 * table. Stress is left out: it does not change the mouth.
 */
public enum Phone {
    AA("ɑ", true),
    AE("æ", true),
    AH("ʌ", true),
    AO("ɔ", true),
    AW("aʊ", true),
    AY("aɪ", true),
    B("b", false),
    CH("tʃ", false),
    D("d", false),
    DH("ð", false),
    EH("ɛ", true),
    ER("ɝ", true),
    EY("eɪ", true),
    F("f", false),
    G("ɡ", false),
    HH("h", false),
    IH("ɪ", true),
    IY("i", true),
    JH("dʒ", false),
    K("k", false),
    L("l", false),
    M("m", false),
    N("n", false),
    NG("ŋ", false),
    OW("oʊ", true),
    OY("ɔɪ", true),
    P("p", false),
    R("ɹ", false),
    S("s", false),
    SH("ʃ", false),
    T("t", false),
    TH("θ", false),
    UH("ʊ", true),
    UW("u", true),
    V("v", false),
    W("w", false),
    Y("j", false),
    Z("z", false),
    ZH("ʒ", false);

    private final String ipa;
    private final boolean vowel;

    Phone(String ipa, boolean vowel) {
        this.ipa = ipa;
        this.vowel = vowel;
    }

    public String ipa() {
        return ipa;
    }

    public boolean vowel() {
        return vowel;
    }

    /** Lips pressed together: the sounds that must never be seen with an open mouth. */
    public boolean closure() {
        return this == P || this == B || this == M;
    }

    /** Lower lip against the upper teeth. */
    public boolean lipToTeeth() {
        return this == F || this == V;
    }

    /** An ARPAbet symbol in any case, with or without a stress digit. */
    public static Optional<Phone> parse(String symbol) {
        String upper = symbol.strip().toUpperCase(Locale.ROOT);
        boolean stressed = !upper.isEmpty() && "012".indexOf(upper.charAt(upper.length() - 1)) >= 0;
        String bare = stressed ? upper.substring(0, upper.length() - 1) : upper;
        for (Phone p : values()) {
            if (p.name().equals(bare)) {
                return Optional.of(p);
            }
        }
        return Optional.empty();
    }

    /** A row of ARPAbet symbols parted by spaces; empty unless all of them are known and there is at least one. */
    public static Optional<List<Phone>> parseAll(String symbols) {
        List<Phone> phones = new ArrayList<>();
        for (String symbol : symbols.strip().split("[\\s,]+")) {
            Optional<Phone> phone = parse(symbol);
            if (phone.isEmpty()) {
                return Optional.empty();
            }
            phones.add(phone.get());
        }
        return Optional.of(List.copyOf(phones));
    }
}
