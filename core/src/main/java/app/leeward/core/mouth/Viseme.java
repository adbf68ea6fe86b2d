package app.leeward.core.mouth;

import app.leeward.core.speech.Phone;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * The viseme classes of ISO/IEC 14496-2 (numbers and example words from memory), with 0 as the resting mouth, and two
 * extras of ours that no sound asks for.
 */
public enum Viseme {
    REST(0, "rest", List.of(), new Articulation(0, 0.5, 0, 0.6, 0, 0), List.of()),
    PBM(
            1,
            "p b m",
            List.of("put", "bed", "mill"),
            new Articulation(0, 0.5, 0, 1, 0, 0),
            List.of(Phone.P, Phone.B, Phone.M)),
    FV(2, "f v", List.of("far", "voice"), new Articulation(0.15, 0.5, 0, 0.3, 1, 0), List.of(Phone.F, Phone.V)),
    TH(3, "th", List.of("think", "that"), new Articulation(0.2, 0.55, 0, 0, 0, 1), List.of(Phone.TH, Phone.DH)),
    TD(4, "t d", List.of("tip", "doll"), new Articulation(0.2, 0.55, 0, 0, 0, 0.5), List.of(Phone.T, Phone.D)),
    KG(5, "k g", List.of("call", "gas"), new Articulation(0.3, 0.5, 0, 0, 0, 0), List.of(Phone.K, Phone.G, Phone.NG)),
    CHSH(
            6,
            "ch j sh",
            List.of("chair", "join", "she"),
            new Articulation(0.2, 0.3, 0.6, 0, 0, 0.1),
            List.of(Phone.CH, Phone.JH, Phone.SH, Phone.ZH)),
    SZ(7, "s z", List.of("sir", "zeal"), new Articulation(0.08, 0.7, 0, 0, 0, 0.1), List.of(Phone.S, Phone.Z)),
    NL(8, "n l", List.of("lot", "not"), new Articulation(0.3, 0.55, 0, 0, 0, 0.8), List.of(Phone.N, Phone.L)),
    R(9, "r", List.of("red"), new Articulation(0.25, 0.35, 0.45, 0, 0, 0.2), List.of(Phone.R, Phone.ER)),
    AH(
            10,
            "ah",
            List.of("car"),
            new Articulation(1, 0.55, 0, 0, 0, 0),
            List.of(Phone.AA, Phone.AH, Phone.AY, Phone.AW)),
    EH(11, "eh", List.of("bed"), new Articulation(0.6, 0.75, 0, 0, 0, 0), List.of(Phone.EH, Phone.AE, Phone.EY)),
    EE(12, "ee", List.of("tip"), new Articulation(0.25, 0.95, 0, 0, 0, 0.1), List.of(Phone.IH, Phone.IY, Phone.Y)),
    OH(13, "oh", List.of("top"), new Articulation(0.7, 0.3, 0.6, 0, 0, 0), List.of(Phone.AO, Phone.OW, Phone.OY)),
    OO(14, "oo", List.of("book"), new Articulation(0.25, 0.1, 1, 0, 0, 0), List.of(Phone.UH, Phone.UW, Phone.W)),
    SMILE(15, "smile", List.of(), new Articulation(0.05, 1, 0, 0.7, 0, 0), List.of()),
    SURPRISE(16, "surprise", List.of(), new Articulation(0.8, 0.35, 0.4, 0, 0, 0), List.of());

    private final int number;
    private final String words;
    private final List<String> examples;
    private final Articulation articulation;
    private final List<Phone> phones;

    Viseme(int number, String words, List<String> examples, Articulation articulation, List<Phone> phones) {
        this.number = number;
        this.words = words;
        this.examples = examples;
        this.articulation = articulation;
        this.phones = phones;
    }

    private static final Map<Phone, Viseme> OF = new EnumMap<>(Phone.class);
    /** The second class of the sounds that glide from one mouth to another. */
    private static final Map<Phone, Viseme> GLIDE =
            Map.of(Phone.AY, EE, Phone.EY, EE, Phone.OY, EE, Phone.AW, OO, Phone.OW, OO);

    static {
        for (Viseme v : values()) {
            v.phones.forEach(p -> OF.put(p, v));
        }
        // a bare H has no mouth of its own; where a vowel follows, MouthSounds gives it that vowel's class
        OF.put(Phone.HH, KG);
    }

    /** 0 to 14 as in the standard; 15 and 16 are ours. */
    public int number() {
        return number;
    }

    /** The sounds in letters a rigger reads. */
    public String words() {
        return words;
    }

    /** The standard's example words. */
    public List<String> examples() {
        return examples;
    }

    public Articulation articulation() {
        return articulation;
    }

    /** Whether sounds can ask for it; the two extras cannot be asked for. */
    public boolean spoken() {
        return number <= 14;
    }

    /** The class a sound belongs to, or, for one that glides, begins in. */
    public static Viseme of(Phone phone) {
        return OF.get(phone);
    }

    /** Where a gliding sound ends; empty for all others. */
    public static java.util.Optional<Viseme> glide(Phone phone) {
        return java.util.Optional.ofNullable(GLIDE.get(phone));
    }

    public static Viseme numbered(int number) {
        return values()[number];
    }
}
