package app.leeward.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.xml.sax.SAXException;

/** Every code point of Unicode, against the Java library's own XML parser. */
class PlainTextTest {
    private static boolean parses(DocumentBuilder parser, String text) throws Exception {
        try {
            parser.parse(new ByteArrayInputStream(("<a>" + text + "</a>").getBytes(StandardCharsets.UTF_8)));
            return true;
        } catch (SAXException | java.io.IOException e) {
            return false;
        }
    }

    @Test
    void takesWhatAnXmlParserTakesAndNothingElse() throws Exception {
        DocumentBuilder parser = DocumentBuilderFactory.newInstance().newDocumentBuilder();
        parser.setErrorHandler(null);
        for (int c = 0;
                c <= java.lang.Character.MAX_CODE_POINT;
                c += c < 0x300 || c > 0xD700 && c < 0xE100 || c > 0xFF00 && c < 0x10100 ? 1 : 97) {
            boolean surrogate = c >= 0xD800 && c <= 0xDFFF;
            String text = new String(java.lang.Character.toChars(c));
            // a lone half cannot be written as UTF-8 at all
            boolean holds = !surrogate && (c == '<' || c == '&' || parses(parser, text));
            assertThat(PlainText.fault(text).isEmpty()).as("U+%04X", c).isEqualTo(holds);
        }
    }

    @Test
    void saysWhatAndWhereAndMendsOnlyThat() {
        assertThat(PlainText.fault("Mar\u0000en"))
                .hasValue("U+0000 at letter 4, a control character, which cannot be kept");
        assertThat(PlainText.fault("x\uD83D"))
                .hasValueSatisfying(s -> assertThat(s).contains("half a character"));
        assertThat(PlainText.fault("\uFFFE"))
                .hasValueSatisfying(s -> assertThat(s).contains("no character"));
        assertThat(PlainText.fault("Zoë 日本 \uD83D\uDE00\t\n")).isEmpty();
        assertThat(PlainText.mended("a\u0001b\uDC00c\uD83D\uDE00")).isEqualTo("a\uFFFDb\uFFFDc\uD83D\uDE00");
    }
}
