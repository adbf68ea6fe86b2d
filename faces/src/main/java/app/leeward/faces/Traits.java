package app.leeward.faces;

import java.util.List;
import java.util.Random;

/** What sets one face and its file apart from the next; all drawn from one seed. */
public record Traits(
        Kind kind,
        double wide,
        double tall,
        Eyes eyes,
        boolean oneEye,
        boolean iris,
        boolean highlight,
        Lids lids,
        boolean eyeLine,
        boolean lashes,
        Outline outline,
        boolean fringe,
        boolean sideHair,
        boolean backHair,
        Hat hat,
        boolean glasses,
        boolean ears,
        boolean innerEars,
        boolean brows,
        boolean nose,
        boolean cheeks,
        boolean freckles,
        boolean beard,
        boolean moustache,
        boolean body,
        boolean arms,
        Mouths mouths,
        Naming naming,
        boolean viewersSides,
        Nesting nesting,
        Placing placing,
        Painting painting,
        Label label,
        double size,
        double offCentre,
        double lineWidth) {

    public enum Kind {
        HUMAN,
        MUZZLE,
        BEAK,
        ROBOT
    }

    public enum Eyes {
        WHITES,
        DOTS
    }

    /** DRAWN: drawings of a blink beside the open eye, hidden. */
    public enum Lids {
        NONE,
        UPPER,
        BOTH,
        DRAWN
    }

    public enum Outline {
        NONE,
        /** The line of the skin itself. */
        STROKE,
        /** A layer of its own, drawn after the skin. */
        LAYER
    }

    public enum Hat {
        NONE,
        ONE_PIECE,
        PIECES
    }

    public enum Mouths {
        ONE,
        /** A group of drawings, all but one hidden. */
        HIDDEN_SET,
        /** Drawings laid out beside the figure, all to be seen. */
        LAID_OUT
    }

    public enum Naming {
        WORDS,
        SNAKE,
        CAMEL,
        SHORT,
        TYPOS,
        GERMAN,
        FRENCH,
        SPANISH,
        NUMBERS,
        NONE
    }

    public enum Nesting {
        FLAT,
        GROUPED,
        DEEP
    }

    public enum Placing {
        PLAIN,
        /** A transform on the group of the whole figure. */
        GROUP,
        /** A matrix on every layer. */
        EACH,
        /** Symbols, used scaled. */
        USE
    }

    public enum Painting {
        ATTRIBUTES,
        STYLE,
        CLASSES
    }

    /** Where a layer's name stands, as various vector editors write it. */
    public enum Label {
        ID,
        ESCAPED_ID,
        LABEL_ATTRIBUTE,
        DATA_NAME,
        /** A second id in a vocabulary of its own. */
        SECOND_ID
    }

    static Traits drawn(Random r) {
        Kind kind = of(r, List.of(Kind.HUMAN, Kind.HUMAN, Kind.HUMAN, Kind.MUZZLE, Kind.MUZZLE, Kind.BEAK, Kind.ROBOT));
        boolean human = kind == Kind.HUMAN;
        boolean robot = kind == Kind.ROBOT;
        Eyes eyes = chance(r, 0.85) ? Eyes.WHITES : Eyes.DOTS;
        boolean whites = eyes == Eyes.WHITES;
        Lids lids = whites ? of(r, List.of(Lids.NONE, Lids.UPPER, Lids.BOTH, Lids.BOTH, Lids.DRAWN)) : Lids.NONE;
        boolean ears = !robot && chance(r, kind == Kind.BEAK ? 0.1 : 0.85);
        boolean arms = chance(r, 0.3);
        return new Traits(
                kind,
                between(r, 0.9, 1.15),
                between(r, 0.88, 1.12),
                eyes,
                chance(r, 0.03),
                whites && chance(r, 0.6),
                whites && chance(r, 0.5),
                lids,
                whites && chance(r, 0.45),
                human && whites && chance(r, 0.3),
                of(r, List.of(Outline.NONE, Outline.STROKE, Outline.LAYER)),
                human && chance(r, 0.75),
                human && chance(r, 0.35),
                human && chance(r, 0.6),
                of(r, List.of(Hat.NONE, Hat.NONE, Hat.ONE_PIECE, Hat.PIECES)),
                whites && chance(r, 0.25),
                ears,
                ears && chance(r, 0.5),
                !robot && chance(r, 0.85),
                chance(r, kind == Kind.BEAK || robot ? 0.1 : 0.9),
                chance(r, 0.4),
                human && chance(r, 0.25),
                human && chance(r, 0.12),
                human && chance(r, 0.12),
                arms || chance(r, 0.7),
                arms,
                of(r, List.of(Mouths.ONE, Mouths.HIDDEN_SET, Mouths.HIDDEN_SET, Mouths.LAID_OUT)),
                of(
                        r,
                        List.of(
                                Naming.WORDS,
                                Naming.WORDS,
                                Naming.SNAKE,
                                Naming.CAMEL,
                                Naming.SHORT,
                                Naming.TYPOS,
                                Naming.GERMAN,
                                Naming.FRENCH,
                                Naming.SPANISH,
                                Naming.NUMBERS,
                                Naming.NONE)),
                chance(r, 0.35),
                of(r, List.of(Nesting.values())),
                of(r, List.of(Placing.values())),
                of(r, List.of(Painting.values())),
                of(r, List.of(Label.values())),
                Math.pow(10, between(r, -1, 1)),
                chance(r, 0.4) ? between(r, -0.2, 0.2) : 0,
                between(r, 2, 5));
    }

    static boolean chance(Random r, double share) {
        return r.nextDouble() < share;
    }

    static double between(Random r, double least, double most) {
        return least + (most - least) * r.nextDouble();
    }

    static <T> T of(Random r, List<T> all) {
        return all.get(r.nextInt(all.size()));
    }
}
