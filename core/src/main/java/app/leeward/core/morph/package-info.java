/**
 * One drawing that comes over into another: which piece of one is which of the other, and how two outlines are given the same points
 * without changing either. Outlines of {@code art} in, outlines out.
 */
package app.leeward.core.morph;
