package app.leeward.page.js;

import org.teavm.jso.JSExport;

/** What an edit of a shot would do. */
public final class LineDraft {
    private final OpenLine after;
    private final String refused;

    LineDraft(OpenLine after, String refused) {
        this.after = after;
        this.refused = refused;
    }

    /** The shot as it would be; null when the edit would be refused. */
    @JSExport
    public OpenLine after() {
        return after;
    }

    /** Why it would be refused; empty when it would not. */
    @JSExport
    public String refused() {
        return refused;
    }
}
