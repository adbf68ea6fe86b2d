/**
 * Layers made of pixels: OpenRaster files and ZIP archives of PNG files. Start at
 * {@link app.leeward.formats.raster.OpenRasterReader} and {@link app.leeward.formats.raster.PngZipReader}; both are bounded
 * by {@link app.leeward.formats.raster.Archive} and {@link app.leeward.formats.raster.Pixels}.
 */
package app.leeward.formats.raster;
