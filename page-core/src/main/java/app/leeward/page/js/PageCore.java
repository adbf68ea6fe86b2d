package app.leeward.page.js;

import app.leeward.page.json.Codec;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** Where the page enters. */
public final class PageCore {
    private PageCore() {}

    /** Digest of the sources core was compiled from; the server tells its own, and the two are the same or one of them is old. */
    @JSExport
    public static String sources() {
        return Codec.SOURCES;
    }

    /**
     * @param character as the server sends it
     * @param artwork shapes by hash, of all its drawings
     * @param before a revision of the same character that was opened earlier, or null; what did not change since is not read again
     */
    @JSExport
    public static OpenCharacter open(JSObject character, JSObject artwork, OpenCharacter before) {
        PageShelf shelf = new PageShelf(before == null ? null : before.shelf());
        return OpenCharacter.of(shelf, new JsValue(character), new JsValue(artwork));
    }
}
