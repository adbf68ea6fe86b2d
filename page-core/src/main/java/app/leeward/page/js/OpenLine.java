package app.leeward.page.js;

import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** A line being played: the same as a character, at a frame. */
public final class OpenLine {
    private final OpenCharacter character;
    private final Playhead playhead;

    OpenLine(OpenCharacter character, Playhead playhead) {
        this.character = character;
        this.playhead = playhead;
    }

    @JSExport
    public JSObject frame(int at, JSObject live) {
        return character.frameOf(poseAt(at, live));
    }

    @JSExport
    public JSObject joints(int at, JSObject live) {
        return character.jointsOf(poseAt(at, live));
    }

    @JSExport
    public JSObject why(int at, String part, JSObject live) {
        return character.whyOf(part, poseAt(at, live));
    }

    /** The same line over a character that speaks with the same mouths, such as one with a draft. */
    @JSExport
    public OpenLine with(OpenCharacter other) {
        return new OpenLine(other, playhead.with(other.evaluator()));
    }

    private Pose poseAt(int at, JSObject live) {
        return playhead.poseAt(at, PageForms.pose(live));
    }
}
