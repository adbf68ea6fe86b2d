package app.leeward.page.js;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Steady;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.Redrawn;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.Reason;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Joint;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.turn.TurnPlay;
import app.leeward.page.json.Codec;
import java.util.List;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** One revision of a character, ready to be posed. Poses come as the page holds them; what is left out rests. */
public final class OpenCharacter {
    private final PageShelf shelf;
    private final Codec codec;
    private final Evaluator evaluator;

    private OpenCharacter(PageShelf shelf, Codec codec, Character character) {
        this.shelf = shelf;
        this.codec = codec;
        this.evaluator = new Evaluator(character);
    }

    static OpenCharacter of(PageShelf shelf, JsValue character, JsValue artwork) {
        Codec codec = new Codec(shelf);
        shelf.read(codec, artwork);
        return new OpenCharacter(shelf, codec, codec.readCharacter(character));
    }

    Codec codec() {
        return codec;
    }

    PageShelf shelf() {
        return shelf;
    }

    Evaluator evaluator() {
        return evaluator;
    }

    @JSExport
    public JSObject frame(JSObject pose) {
        return frameOf(PageForms.pose(pose));
    }

    /** The pivots of all parts. */
    @JSExport
    public JSObject joints(JSObject pose) {
        return jointsOf(PageForms.pose(pose));
    }

    /** Why a part looks as it does. */
    @JSExport
    public JSObject why(String part, JSObject pose) {
        return whyOf(part, PageForms.pose(pose));
    }

    /** A line to be played with this character. */
    @JSExport
    public OpenLine line(JSObject shot) {
        return new OpenLine(this, new Playhead(evaluator, codec.readShot(new JsValue(shot))));
    }

    /** Whether {@link #draft} knows a kind of edit; the others only the server makes. */
    @JSExport
    public boolean drafts(String kind) {
        return Codec.EDITS.contains(kind);
    }

    /**
     * The character as an edit in a hand's middle would leave it.
     *
     * @throws IllegalArgumentException for a kind of edit that only the server makes
     */
    @JSExport
    public Draft draft(JSObject edit) {
        Edit asked = codec.readEdit(new JsValue(edit));
        Outcome outcome = Edits.draft(evaluator.character(), asked);
        if (outcome instanceof Outcome.Refused refused) {
            return new Draft(null, refused.message());
        }
        return new Draft(new OpenCharacter(shelf, codec, ((Outcome.Done) outcome).character()), "");
    }

    /** The drawings whose art is not what it is in another revision. */
    @JSExport
    public JSObject redrawnSince(OpenCharacter other) {
        return redrawn(Redrawn.between(other.evaluator.character(), evaluator.character()));
    }

    JSObject redrawn(List<Redrawn> all) {
        JsSink out = new JsSink();
        out.beginList();
        all.forEach(r -> codec.writeRedrawn(r, out));
        out.end();
        return out.whole();
    }

    /**
     * Where a dial under a hand counts as standing.
     *
     * @param last where it counted as standing before; NaN when the hand has just come
     */
    @JSExport
    public double steadied(String dial, double last, double value) {
        return evaluator
                .character()
                .dial(dial)
                .map(d -> Steady.at(evaluator.character().controls().exchanges(d), d.hysteresis(), last, value))
                .orElse(value);
    }

    /** The frames of a cue over a pose. */
    @JSExport
    public JSObject cue(String cue, JSObject pose) {
        return FrameForm.ofCue(evaluator, cue, PageForms.pose(pose));
    }

    /** A dial played there and back over a pose. */
    @JSExport
    public JSObject play(String dial, JSObject pose, int frames, int exposure, boolean eased) {
        Pose over = PageForms.pose(pose);
        return frames(evaluator
                .character()
                .dial(dial)
                .map((Dial d) -> TurnPlay.of(evaluator, d, over, frames, exposure, eased))
                .orElse(List.of()));
    }

    private JSObject frames(List<Pose> poses) {
        return FrameForm.all(poses.stream().map(evaluator::frame).toList());
    }

    JSObject frameOf(Pose pose) {
        return FrameForm.of(evaluator.frame(pose));
    }

    JSObject jointsOf(Pose pose) {
        JsSink out = new JsSink();
        out.beginList();
        for (Joint j : evaluator.joints(pose)) {
            codec.writeJoint(j, out);
        }
        out.end();
        return out.whole();
    }

    private JSObject whyOf(String part, Pose pose) {
        return reasons(evaluator.why(part, pose));
    }

    JSObject reasons(List<Reason> all) {
        JsSink out = new JsSink();
        out.beginList();
        for (Reason r : all) {
            codec.writeReason(r, out);
        }
        out.end();
        return out.whole();
    }
}
