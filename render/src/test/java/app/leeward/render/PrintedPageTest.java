package app.leeward.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.svg.SVGDOM;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;

/** A page written as PDF, read back and drawn by PDFBox, beside the same page drawn as SVG by Skia. */
class PrintedPageTest {
    private static final String PAGE =
            """
            <svg xmlns="http://www.w3.org/2000/svg" width="210mm" height="297mm" viewBox="0 0 210 297">
            <defs><clipPath id="c"><path d="M60 60 C90 40 120 40 150 60 C140 110 70 110 60 60 Z"/></clipPath></defs>
            <rect width="210" height="297" fill="#ffffff"/>
            <rect x="20" y="20" width="170" height="120" rx="6" fill="#f6c9a4"/>
            <g transform="matrix(1 0 0 1 0 10)"><g clip-path="url(#c)">
            <rect x="50" y="40" width="110" height="80" fill="#7a2030"/>
            <ellipse cx="105" cy="100" rx="30" ry="20" fill="#e0707a"/></g>
            <path d="M60 60 C90 40 120 40 150 60 C140 110 70 110 60 60 Z" fill="none" stroke="#26333f"
              stroke-width="3" stroke-linejoin="round"/></g>
            <path d="M40 180 L170 180 L170 260 Z" fill="#3d7a8c" opacity="0.5"/>
            </svg>
            """;

    @Test
    void thePageIsA4AndLooksAsItsVectorsDo() throws Exception {
        byte[] pdf = PrintedPage.pdf(PAGE, "Mouth chart");
        try (PDDocument read = Loader.loadPDF(pdf)) {
            assertThat(read.getNumberOfPages()).isEqualTo(1);
            assertThat(read.getDocumentInformation().getTitle()).isEqualTo("Mouth chart");
            assertThat((double) read.getPage(0).getMediaBox().getWidth()).isCloseTo(210 / 25.4 * 72, within(0.5));
            assertThat((double) read.getPage(0).getMediaBox().getHeight()).isCloseTo(297 / 25.4 * 72, within(0.5));
            BufferedImage drawn = new PDFRenderer(read).renderImageWithDPI(0, 72, ImageType.RGB);
            int width = drawn.getWidth();
            int height = drawn.getHeight();
            try (Bitmap bitmap = new Bitmap();
                    Data data = Data.makeFromBytes(filling(PAGE).getBytes(StandardCharsets.UTF_8));
                    SVGDOM svg = new SVGDOM(data)) {
                bitmap.allocN32Pixels(width, height);
                Canvas canvas = new Canvas(bitmap);
                svg.setContainerSize(width, height);
                svg.render(canvas);
                double sum = 0;
                for (int y = 0; y < height; y++) {
                    for (int x = 0; x < width; x++) {
                        sum += apart(drawn.getRGB(x, y), bitmap.getColor(x, y));
                    }
                }
                assertThat(sum / width / height)
                        .as("mean channel difference of 255")
                        .isLessThan(1);
                assertThat(apart(drawn.getRGB(width / 2, 200), 0xff7a2030))
                        .as("inside the clip")
                        .isLessThan(3);
            }
        }
    }

    /** As large as it is asked to be; Skia takes millimetres as points of a screen. */
    private static String filling(String page) {
        return page.replace(" width=\"210mm\" height=\"297mm\"", "");
    }

    private static double apart(int a, int b) {
        int sum = 0;
        for (int shift = 0; shift < 24; shift += 8) {
            sum += Math.abs((a >> shift & 255) - (b >> shift & 255));
        }
        return sum / 3.0;
    }

    @Test
    void whatIsNoPageIsRefused() {
        assertThatThrownBy(() -> PrintedPage.pdf("no page at all", "x")).isInstanceOf(IllegalArgumentException.class);
    }
}
