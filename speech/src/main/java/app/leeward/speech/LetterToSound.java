package app.leeward.speech;

import app.leeward.core.speech.Phone;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Guesses the sounds of an English word from its letters with ordered rewriting rules, the longest spelling first, in
 * the manner of Elovitz et al., "Letter-to-sound rules for automatic translation of English text to phonetics" (NRL
 * Report 7948, 1976); the rules themselves are ours and far fewer. A guess is shown to the rigger, never trusted.
 */
public final class LetterToSound {
    private static final String V = "[aeiouy]";
    private static final String C = "[bcdfghjklmnpqrstvwxz]";

    private record Rule(Pattern at, int length, List<Phone> phones) {}

    private static final List<Rule> RULES = new ArrayList<>();

    private LetterToSound() {}

    /** letters [before] LETTERS [behind] = sounds; "-" stands for none. Order matters. */
    private static void rule(String before, String letters, String behind, String phones) {
        Pattern p = Pattern.compile("(?<=" + (before.isEmpty() ? "" : before) + ")" + letters + "(?=" + behind + ")");
        RULES.add(new Rule(
                p,
                letters.length(),
                phones.equals("-") ? List.of() : Phone.parseAll(phones).orElseThrow()));
    }

    static {
        rule("", "tch", "", "CH");
        rule("", "eigh", "", "EY");
        rule("", "augh", "", "AO");
        rule("", "ough", "t", "AO");
        rule("", "ough", "", "OW");
        rule("", "igh", "", "AY");
        rule("", "tion", "", "SH AH N");
        rule("", "ssion", "", "SH AH N");
        rule(V, "sion", "", "ZH AH N");
        rule("", "sion", "", "SH AH N");
        rule("", "cian", "", "SH AH N");
        rule("", "cious", "", "SH AH S");
        rule("", "tious", "", "SH AH S");
        rule(V, "ture", "$", "CH ER");
        rule(C, "ture", "$", "CH ER");
        rule("", "sch", "", "SH");
        rule("", "dge", "", "JH");
        rule("^", "kn", "", "N");
        rule("^", "gn", "", "N");
        rule("^", "wr", "", "R");
        rule("^", "ps", "", "S");
        rule("^", "x", "", "Z");
        rule("", "gh", "$", "-");
        rule("^", "gh", "", "G");
        rule("", "gh", "", "-");
        rule("", "ph", "", "F");
        rule("", "sh", "", "SH");
        rule("", "ch", "[rl]", "K");
        rule("", "ch", "", "CH");
        rule("", "th", "(er|is|at|e$|ey|em|ose|ough)", "DH");
        rule("", "th", "", "TH");
        rule("", "wh", "o", "HH");
        rule("", "wh", "", "W");
        rule("", "ck", "", "K");
        rule("", "ng", "$", "NG");
        rule("", "ng", C, "NG");
        rule("", "ng", "", "NG G");
        rule("", "n", "[kqx]", "NG");
        rule("", "qu", "", "K W");
        rule("", "q", "", "K");
        rule("m", "b", "$", "-");
        rule("", "sce", "", "S EH");
        rule("", "sc", "[iey]", "S");
        rule("", "cc", "[iey]", "K S");
        rule("", "c", "[iey]", "S");
        rule("", "gg", "", "G");
        rule("", "g", "[ey]", "JH");
        rule("", "g", "i[^vrl]", "JH");
        rule("", "eau", "", "OW");
        rule("", "air", "", "EH R");
        rule("", "are", "$", "EH R");
        rule("", "ear", C, "ER");
        rule("", "ear", "", "IH R");
        rule("", "eer", "", "IH R");
        rule("", "ier", "$", "IY ER");
        rule("", "oor", "", "AO R");
        rule("", "our", "", "AO R");
        rule("", "ore", "", "AO R");
        rule("", "ure", "$", "Y UH R");
        rule("", "ire", "", "AY ER");
        rule("", "ere", "$", "IH R");
        rule("w", "ar", "", "AO R");
        rule("w", "or", "", "ER");
        rule("", "arr", V, "EH R");
        rule("", "err", V, "EH R");
        rule("", "orr", V, "AO R");
        rule("", "ar", "", "AA R");
        rule("", "or", "", "AO R");
        rule("", "er", "", "ER");
        rule("", "ir", "", "ER");
        rule("", "ur", "", "ER");
        rule("", "ai", "", "EY");
        rule("", "ay", "", "EY");
        rule("", "au", "", "AO");
        rule("", "aw", "", "AO");
        rule("", "ee", "", "IY");
        rule("", "ea", "(d$|th|lth|sure)", "EH");
        rule("", "ea", "", "IY");
        rule("", "eu", "", "UW");
        rule("", "ew", "", "UW");
        rule("", "ei", "", "IY");
        rule("", "ey", "$", "IY");
        rule("", "ey", "", "EY");
        rule("", "ie", "$", "IY");
        rule("", "ie", "", "IY");
        rule("", "oa", "", "OW");
        rule("", "oe", "$", "OW");
        rule("", "oi", "", "OY");
        rule("", "oy", "", "OY");
        rule("", "oo", "(k|d$)", "UH");
        rule("", "oo", "", "UW");
        rule("", "ous", "$", "AH S");
        rule("", "ou", "", "AW");
        rule("", "ow", "$", "OW");
        rule("", "ow", "", "AW");
        rule("", "ue", "$", "UW");
        rule("", "ui", "", "UW");
        rule("^", "y", V, "Y");
        rule(V, "y", V, "Y");
        rule("^" + C + "{1,3}", "y", "$", "AY");
        rule("", "y", "$", "IY");
        rule("", "y", "", "IH");
        rule("", "ism", "$", "IH Z AH M");
        rule("", "age", "$", "IH JH");
        rule("", "able", "$", "AH B AH L");
        rule(C, "le", "$", "AH L");
        rule(C, "les", "$", "AH L Z");
        rule("[td]", "ed", "$", "IH D");
        rule("[pkfsc]", "ed", "$", "T");
        rule("..", "ed", "$", "D");
        rule("(s|z|x|ch|sh|c|g)", "es", "$", "IH Z");
        rule(".." + C, "es", "$", "Z");
        rule("", "a", C + "e[sd]?$", "EY");
        rule("", "e", C + "e[sd]?$", "IY");
        rule("", "i", C + "e[sd]?$", "AY");
        rule("", "o", C + "e[sd]?$", "OW");
        rule("[rlj]", "u", C + "e[sd]?$", "UW");
        rule("", "u", C + "e[sd]?$", "Y UW");
        rule("", "al", "[kfv]", "AO");
        rule("", "all", "", "AO L");
        rule(".", "al", "$", "AH L");
        rule("w", "a", "[^xgk]", "AA");
        rule(".", "a", "$", "AH");
        rule("", "a", "", "AE");
        rule("^" + C + "{1,2}", "e", "$", "IY");
        rule(".", "e", "$", "-");
        rule(C, "en", "$", "AH N");
        rule(C, "el", "$", "AH L");
        rule("", "e", "", "EH");
        rule("", "i", "nd$", "AY");
        rule("", "i", "$", "IY");
        rule("", "i", V, "IY");
        rule("", "i", "", "IH");
        rule("", "o", "(ld|lt|st$|$)", "OW");
        rule(C, "on", "$", "AH N");
        rule("", "o", C + V, "OW");
        rule("", "o", "", "AA");
        rule("p", "u", "[lst]", "UH");
        rule("", "um", "$", "AH M");
        rule("", "us", "$", "AH S");
        rule("", "u", C + V, "UW");
        rule("", "u", "$", "UW");
        rule("", "u", "", "AH");
        rule("", "bb", "", "B");
        rule("", "dd", "", "D");
        rule("", "ff", "", "F");
        rule("", "ll", "", "L");
        rule("", "mm", "", "M");
        rule("", "nn", "", "N");
        rule("", "pp", "", "P");
        rule("", "rr", "", "R");
        rule("", "ss", "", "S");
        rule("", "tt", "", "T");
        rule("", "zz", "", "Z");
        rule("", "b", "", "B");
        rule("", "c", "", "K");
        rule("", "d", "", "D");
        rule("", "f", "", "F");
        rule("", "g", "", "G");
        rule("", "h", "", "HH");
        rule("", "j", "", "JH");
        rule("", "k", "", "K");
        rule("", "l", "", "L");
        rule("", "m", "", "M");
        rule("", "n", "", "N");
        rule("", "p", "", "P");
        rule("", "r", "", "R");
        rule("[bdgvlmnr]|" + V, "s", "$", "Z");
        rule(V, "s", V, "Z");
        rule("", "s", "", "S");
        rule("", "t", "", "T");
        rule("", "v", "", "V");
        rule("", "w", "", "W");
        rule("", "x", "", "K S");
        rule("", "z", "", "Z");
    }

    /** The sounds of {@code word}; never empty for a word with letters in it, empty for one without. */
    public static List<Phone> guess(String word) {
        String letters = Normalizer.normalize(word, Normalizer.Form.NFD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z]", "");
        List<Phone> phones = new ArrayList<>();
        for (int at = 0; at < letters.length(); ) {
            Rule rule = match(letters, at);
            phones.addAll(rule.phones());
            at += rule.length();
        }
        if (phones.isEmpty() && !letters.isEmpty()) {
            phones.add(Phone.AH);
        }
        return phones;
    }

    private static Rule match(String letters, int at) {
        for (Rule rule : RULES) {
            Matcher m = rule.at().matcher(letters);
            m.useTransparentBounds(true).useAnchoringBounds(false).region(at, letters.length());
            if (m.lookingAt()) {
                return rule;
            }
        }
        throw new IllegalStateException("no rule for '" + letters.charAt(at) + "'");
    }
}
