package app.leeward.page.js;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.page.json.Codec;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** A character that is posed and speaks, and is never edited. */
public final class PlayedFace {
    private final Codec codec;
    private final Evaluator evaluator;

    private PlayedFace(Codec codec, Character character) {
        this.codec = codec;
        this.evaluator = new Evaluator(character);
    }

    static PlayedFace of(JsValue character, JsValue artwork) {
        PageShelf shelf = new PageShelf(null);
        Codec codec = new Codec(shelf);
        shelf.read(codec, artwork);
        return new PlayedFace(codec, codec.readCharacter(character));
    }

    @JSExport
    public JSObject frame(JSObject pose) {
        return frameOf(PageForms.pose(pose));
    }

    JSObject frameOf(Pose pose) {
        return FrameForm.of(evaluator.frame(pose));
    }

    /** The frames of a cue over a pose; none for one that is not there. */
    @JSExport
    public JSObject cue(String cue, JSObject pose) {
        return FrameForm.ofCue(evaluator, cue, PageForms.pose(pose));
    }

    /**
     * A line to be played.
     *
     * @param acted whether with what is acted along it
     */
    @JSExport
    public PlayedLine line(JSObject shot, boolean acted) {
        Shot whole = codec.readShot(new JsValue(shot));
        return new PlayedLine(this, new Playhead(evaluator, acted ? whole : whole.withoutActing()));
    }
}
