package app.leeward.page.js;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** Where a face in a page that is not ours enters: compiled by itself, since it is played and never changed. */
public final class PageFace {
    private PageFace() {}

    /**
     * @param character as the file of a face holds it
     * @param artwork shapes by hash, of all its drawings
     */
    @JSExport
    public static PlayedFace open(JSObject character, JSObject artwork) {
        return PlayedFace.of(new JsValue(character), new JsValue(artwork));
    }
}
