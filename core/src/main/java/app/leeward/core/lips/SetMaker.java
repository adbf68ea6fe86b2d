package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import java.util.List;
import java.util.Optional;

/** Makes the mouth of any class, in any mood, from one starting drawing. */
public sealed interface SetMaker permits MouthMaker, BeakMaker {
    /**
     * Lips, or a beak where the drawing has an upper and a lower one, or one patch that is called so.
     *
     * @throws MouthProblem when the drawing has nothing a mouth can be made from
     */
    static SetMaker of(Artwork start) {
        return of(start, List.of(), Optional.empty(), Double.POSITIVE_INFINITY);
    }

    /**
     * @param drawn the other mouths a person drew, which say what the inside of a mouth looks like
     * @param eyes what the whites of the face's eyes are painted with; empty where it has none
     * @param chin y of the chin in the drawing's coordinates, which lips open towards; infinite where there is none
     */
    static SetMaker of(Artwork start, List<Artwork> drawn, Optional<String> eyes, double chin) {
        if (BeakMaker.isBeak(start)) {
            return new BeakMaker(start, true);
        }
        return BeakHalves.of(start)
                .<SetMaker>map(halves -> new BeakMaker(halves, false))
                .orElseGet(() -> new MouthMaker(start, MouthColours.of(drawn, eyes), chin));
    }

    /** Whether the starting mouth is closed, so that it can stand for rest itself. */
    boolean closed();

    /** The starting mouth with the pieces it lacked laid behind it, in the points of all mouths made from it. */
    Artwork starting();

    /** Whether nobody sees the pieces it lacked, so that the starting mouth itself may have them: it is shut, and was drawn as a line. */
    boolean unseen();

    /**
     * @param corners a mood's, −1 down to 1 up
     * @param tension a mood's, 0 to 1
     */
    Artwork make(Viseme v, MouthRulers rulers, double corners, double tension);
}
