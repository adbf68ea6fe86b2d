package app.leeward.core.check;

import app.leeward.core.edit.Edit;

/**
 * One edit that makes a finding smaller, measured by making it.
 *
 * @param label what it does, as on a button
 * @param leaves what is left of the finding's measure afterwards, 0 where it is gone
 */
public record Mend(String label, Edit edit, double leaves) {}
