package app.leeward.core.intake;

import app.leeward.core.rig.Character;

/** What became of a file's layers. */
public sealed interface IntakeResult {
    record Hung(Character character) implements IntakeResult {}

    /**
     * The layers do not make a talking head.
     *
     * @param code stable, for programs
     * @param message one sentence with the reason and what would help
     */
    record Unusable(String code, String message) implements IntakeResult {}
}
