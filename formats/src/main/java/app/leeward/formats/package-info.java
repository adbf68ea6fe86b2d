/**
 * Reading and writing files: {@code svg} reads layered art and writes frames, {@code json} is the stored and wire form
 * of core's values, {@code sheet} writes exposure sheets. Uses core; core knows nothing of it.
 */
package app.leeward.formats;
