package app.leeward.formats.raster;

import app.leeward.formats.art.LayeredArt;
import java.util.Map;

/** Reads an archive as what it holds: an OpenRaster stack, or PNG files. */
public final class ArchiveReader {
    private ArchiveReader() {}

    /** @throws app.leeward.formats.art.ArtProblem when it cannot be read or must not be */
    public static LayeredArt read(byte[] file) {
        Map<String, byte[]> files = Archive.unpack(file);
        return files.containsKey("stack.xml") ? OpenRasterReader.read(files) : PngZipReader.read(files);
    }
}
