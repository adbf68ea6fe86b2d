/**
 * From words and a recording to timed sounds. Start at {@link app.leeward.speech.LineReader}.
 *
 * <p>Words are looked up in the CMU Pronouncing Dictionary and in the crew's lexicon, or guessed from their spelling;
 * {@link app.leeward.speech.Aligner} then finds them in the sound by forced alignment with the sphinx4 library, whose
 * acoustic model hears 16 kHz mono. Uses core.
 */
package app.leeward.speech;
