package app.leeward.core.check;

/**
 * A mend that can be made without asking, tried on what those before it left.
 *
 * @param finding as it was found then
 */
public record SafeMend(Finding finding, Mend mend) {}
