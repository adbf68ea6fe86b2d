package app.leeward.formats.bundle;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import java.util.List;
import java.util.Map;

/**
 * What a bundle holds.
 *
 * @param images SHA-256 to the PNG of every picture the drawings refer to
 * @param recordings SHA-256 to the WAV of every line
 */
public record Bundle(
        Character character, List<Shot> shots, Map<String, byte[]> images, Map<String, byte[]> recordings) {
    public Bundle {
        shots = List.copyOf(shots);
        images = Map.copyOf(images);
        recordings = Map.copyOf(recordings);
    }
}
