package app.leeward.formats.file;

import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.raster.ArchiveReader;
import app.leeward.formats.raster.PsdReader;
import app.leeward.formats.svg.SvgReader;

/** Reads any layered file that can be read: SVG, OpenRaster, PSD, a ZIP of PNG files. */
public final class ArtReader {
    /** An archive's pictures are kept as they are cropped, beside the file itself. */
    private static final long ARCHIVE_FACTOR = 3;
    /** A drawing is letters, then elements, then outlines, then written out. */
    private static final long DRAWING_FACTOR = 16;

    private ArtReader() {}

    /** @throws ArtProblem when it cannot be read or must not be */
    public static LayeredArt read(byte[] file) {
        if (starts(file, 'P', 'K', 3, 4)) {
            return ArchiveReader.read(file);
        }
        if (starts(file, '8', 'B', 'P', 'S')) {
            return PsdReader.read(file);
        }
        if (starts(file, 0x89, 'P', 'N', 'G') || starts(file, 0xff, 0xd8, 0xff)) {
            throw new ArtProblem(
                    "art-flat",
                    "the whole file",
                    "This is one flat picture. A rig needs its layers apart: save them as PSD or OpenRaster, as a ZIP of"
                            + " PNG files, or as a layered SVG.");
        }
        if (starts(file, 0x1f, 0x8b)) {
            throw new ArtProblem(
                    "art-packed", "the whole file", "The file is packed with gzip: unpack it and drop it again.");
        }
        return SvgReader.read(file);
    }

    /**
     * Bytes of memory that reading a file takes, about: what is measured on large files of each kind (docs/benchmarks.md).
     *
     * @throws ArtProblem when an archive cannot be read or must not be
     */
    public static long cost(byte[] file) {
        if (starts(file, '8', 'B', 'P', 'S')) {
            return file.length * ARCHIVE_FACTOR + PsdReader.heaviest(file);
        }
        return starts(file, 'P', 'K', 3, 4)
                ? file.length * ARCHIVE_FACTOR + ArchiveReader.heaviest(file)
                : file.length * DRAWING_FACTOR;
    }

    private static boolean starts(byte[] file, int... with) {
        for (int i = 0; i < with.length; i++) {
            if (file.length <= i || (file[i] & 255) != with[i]) {
                return false;
            }
        }
        return true;
    }
}
