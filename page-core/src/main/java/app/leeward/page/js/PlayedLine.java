package app.leeward.page.js;

import app.leeward.core.shot.Playhead;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** A line of a {@link PlayedFace}. */
public final class PlayedLine {
    private final PlayedFace face;
    private final Playhead playhead;

    PlayedLine(PlayedFace face, Playhead playhead) {
        this.face = face;
        this.playhead = playhead;
    }

    /** @param live what is held beside the line */
    @JSExport
    public JSObject frame(int at, JSObject live) {
        return face.frameOf(playhead.poseAt(at, PageForms.pose(live)));
    }
}
