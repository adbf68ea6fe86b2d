package app.leeward.formats.svg;

import app.leeward.core.art.Numbers;

/** What pages to print have in common: A4 upright, in millimetres, with words on it. */
public final class PageMarkup {
    private PageMarkup() {}

    /** A whole page of what was written on it. */
    public static String page(CharSequence body) {
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"210mm\""
                + " height=\"297mm\" viewBox=\"0 0 210 297\" font-family=\"sans-serif\">\n"
                + "<rect width=\"210\" height=\"297\" fill=\"#ffffff\"/>\n" + body + "</svg>\n";
    }

    /** One line of words, on the line {@code y}. */
    public static void text(
            StringBuilder body, double x, double y, double size, boolean bold, String ink, String words) {
        body.append("<text x=\"").append(Numbers.text(x)).append("\" y=\"").append(Numbers.text(y));
        body.append("\" font-size=\"").append(Numbers.text(size)).append(bold ? "\" font-weight=\"bold" : "");
        body.append("\" fill=\"")
                .append(ink)
                .append("\">")
                .append(ShapeMarkup.escape(words))
                .append("</text>\n");
    }
}
