/**
 * How words that no dictionary has are said, learnt from the dictionary that ships: units of letters with their sounds, and which
 * of them follow each other (Bisani and Ney, "Joint-sequence models for grapheme-to-phoneme conversion", 2008).
 */
package app.leeward.speech.spelling;
