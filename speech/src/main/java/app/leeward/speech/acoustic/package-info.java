/**
 * What speech sounds like: the features of a recording, how well each sound of the model fits each frame of them, and the
 * search for the best way through a graph of sounds. The model and the first steps of the front end are the library's; the
 * search is ours, so that one set of scores serves alignment, unwritten words and edges held by hand.
 */
package app.leeward.speech.acoustic;
