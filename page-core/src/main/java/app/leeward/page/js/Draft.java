package app.leeward.page.js;

import org.teavm.jso.JSExport;

/** What an edit in a hand's middle would do. */
public final class Draft {
    private final OpenCharacter after;
    private final String refused;

    Draft(OpenCharacter after, String refused) {
        this.after = after;
        this.refused = refused;
    }

    /** The character as it would be; null when the edit would be refused. */
    @JSExport
    public OpenCharacter after() {
        return after;
    }

    /** Why it would be refused; empty when it would not. */
    @JSExport
    public String refused() {
        return refused;
    }
}
