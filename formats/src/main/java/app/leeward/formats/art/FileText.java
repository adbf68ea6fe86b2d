package app.leeward.formats.art;

import app.leeward.core.text.PlainText;
import java.util.Optional;

/** Names inside files, held to what can be stored and written out again. */
public final class FileText {
    private FileText() {}

    /** @throws ArtProblem for a character that neither XML nor a database can hold */
    public static String require(String text, String place) {
        Optional<String> wrong = PlainText.fault(text);
        if (wrong.isPresent()) {
            throw new ArtProblem("text-character", place, "A name in " + place + " holds " + wrong.get() + ".");
        }
        return text;
    }
}
