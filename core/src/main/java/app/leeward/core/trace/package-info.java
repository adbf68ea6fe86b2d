/**
 * What a picture made of pixels shows, as shapes: the even colours it is painted with, the line round it, the strokes in it.
 * The picture itself is never drawn by them; they say what it is where a rule asks for a colour, a line or a part of it.
 * Plain arrays in, shapes of {@code art} out.
 */
package app.leeward.core.trace;
