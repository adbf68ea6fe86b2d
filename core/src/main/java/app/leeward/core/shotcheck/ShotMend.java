package app.leeward.core.shotcheck;

import app.leeward.core.edit.Edit;
import app.leeward.core.shot.ShotEdit;
import java.util.Optional;

/**
 * One edit, of the shot or of the character in it, that makes a finding smaller, measured by making it.
 *
 * @param label what it does, as on a button
 * @param shot what changes in the shot; empty where the character is changed
 * @param character what changes in the character; empty where the shot is changed
 * @param leaves what is left of the finding's measure afterwards, 0 where it is gone
 */
public record ShotMend(String label, Optional<ShotEdit> shot, Optional<Edit> character, double leaves) {}
