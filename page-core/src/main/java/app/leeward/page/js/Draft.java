package app.leeward.page.js;

import app.leeward.core.edit.Redrawn;
import java.util.List;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** What an edit in a hand's middle would do. */
public final class Draft {
    private final OpenCharacter after;
    private final List<Redrawn> redrawn;
    private final String refused;

    Draft(OpenCharacter after, List<Redrawn> redrawn, String refused) {
        this.after = after;
        this.redrawn = redrawn;
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

    /** The drawings it changes. */
    @JSExport
    public JSObject redrawn() {
        JsSink out = new JsSink();
        out.beginList();
        redrawn.forEach(r -> after.codec().writeRedrawn(r, out));
        out.end();
        return out.whole();
    }
}
