package app.leeward.render;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.ViewBox;
import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2D;
import java.awt.Component;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Pages of vectors, written as SVG, as an A4 PDF. Words become outlines, so that no font is missed. */
public final class PrintedPage {
    private PrintedPage() {}

    /**
     * @param svg a page in the proportions of A4 upright; what lies outside is cut
     * @throws IllegalArgumentException when it is no SVG document
     */
    public static byte[] pdf(String svg, String title) {
        return pdf(List.of(svg), title);
    }

    /**
     * @param pages each in the proportions of A4 upright; what lies outside is cut
     * @throws IllegalArgumentException when one is no SVG document
     */
    public static byte[] pdf(List<String> pages, String title) {
        try (PDDocument pdf = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            pdf.getDocumentInformation().setTitle(title);
            for (String page : pages) {
                add(pdf, page);
            }
            pdf.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void add(PDDocument pdf, String svg) throws IOException {
        SVGDocument page = new SVGLoader()
                .load(
                        new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)),
                        null,
                        LoaderContext.createDefault());
        if (page == null) {
            throw new IllegalArgumentException("not an SVG document");
        }
        PDRectangle sheet = PDRectangle.A4;
        PDPage one = new PDPage(sheet);
        pdf.addPage(one);
        PdfBoxGraphics2D g = new PdfBoxGraphics2D(pdf, sheet.getWidth(), sheet.getHeight());
        page.render((Component) null, g, new ViewBox(0, 0, sheet.getWidth(), sheet.getHeight()));
        g.dispose();
        try (PDPageContentStream content = new PDPageContentStream(pdf, one)) {
            content.drawForm(g.getXFormObject());
        }
    }
}
