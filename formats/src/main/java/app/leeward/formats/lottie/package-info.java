/**
 * Shots as Lottie animations, after the specification of the Lottie Animation Community (1.0): shape layers, mattes for everything
 * that masks, keys where something changes, the palette as slots. Begins in {@link app.leeward.formats.lottie.Lottie}.
 */
package app.leeward.formats.lottie;
