package app.leeward.formats.raster;

import app.leeward.formats.art.LayeredArt;

/** Reads an archive as what it holds: an OpenRaster stack, or PNG files. */
public final class ArchiveReader {
    private ArchiveReader() {}

    /** @throws app.leeward.formats.art.ArtProblem when it cannot be read or must not be */
    public static LayeredArt read(byte[] file) {
        try (Archive files = Archive.open(file)) {
            return files.has("stack.xml") ? OpenRasterReader.read(files) : PngZipReader.read(files);
        }
    }

    /**
     * Bytes of memory that reading takes at a time, as the archive itself says.
     *
     * @throws app.leeward.formats.art.ArtProblem when it cannot be read or must not be
     */
    public static long heaviest(byte[] file) {
        try (Archive files = Archive.open(file, Archive.MOST_OF_ANY)) {
            return files.heaviest();
        }
    }
}
