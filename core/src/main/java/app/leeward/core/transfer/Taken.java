package app.leeward.core.transfer;

import app.leeward.core.rig.Character;
import java.util.List;

/**
 * What becomes of a character that takes something.
 *
 * @param character with it; as before where nothing fits
 */
record Taken(Character character, TransferItem.Fitting fitting, List<String> facts) {
    static Taken nothing(Character c, String why) {
        return new Taken(c, TransferItem.Fitting.NOTHING, List.of(why));
    }
}
