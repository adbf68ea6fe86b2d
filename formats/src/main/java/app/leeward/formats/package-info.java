/**
 * Reading and writing files: {@code file} tells files apart and hands each to its reader, {@code svg} and {@code raster} read layered
 * art, {@code svg} writes frames and pages, {@code json} is the stored and wire form of core's values with the steps from older
 * forms, {@code sheet} writes exposure sheets, {@code xml} and {@code art} serve the others. Uses core; core knows nothing of it.
 */
package app.leeward.formats;
