/**
 * Intake: from named layers of art to a hung character. Start at {@link app.leeward.core.intake.Assembler}. Knows
 * nothing of files; a format reader hands in {@link app.leeward.core.intake.Layer}s.
 */
package app.leeward.core.intake;
