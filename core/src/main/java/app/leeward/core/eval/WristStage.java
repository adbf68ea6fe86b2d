package app.leeward.core.eval;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Wrist;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.WristBend;

/** The hands of a character whose wrists bend, as the evaluator asks for them: by the place of their part in the list. */
final class WristStage {
    private final Character character;
    private final WristBend[] bends;

    WristStage(Character character) {
        this.character = character;
        bends = character.rig().parts().stream()
                .map(p -> character.wristBend(p.id()).orElse(null))
                .toArray(WristBend[]::new);
    }

    /** Whether the wrist of a part bends; most parts have none. */
    boolean bends(int part) {
        return bends[part] != null;
    }

    /**
     * Where the hand is at rest, in its own coordinates as it has moved.
     *
     * @param now the hand in the coordinates of its arm
     * @return null where nothing bends: no wrist known of this drawing, a hand at rest or one that is flattened
     */
    Matrix still(int part, String drawing, Matrix now) {
        if (wrist(part, drawing) == null) {
            return null;
        }
        Matrix rest = character.rig().parts().get(part).restMatrix();
        boolean moved = Math.abs(now.a() - rest.a())
                        + Math.abs(now.b() - rest.b())
                        + Math.abs(now.c() - rest.c())
                        + Math.abs(now.d() - rest.d())
                        + Math.abs(now.e() - rest.e())
                        + Math.abs(now.f() - rest.f())
                > 1e-9;
        boolean flat = Math.abs(now.a() * now.d() - now.b() * now.c()) < 1e-9;
        return moved && !flat ? now.inverse().times(rest) : null;
    }

    Artwork of(int part, String drawing, Artwork art, Matrix still) {
        return bends[part].bent(art, wrist(part, drawing), drawing, still);
    }

    private Wrist wrist(int part, String drawing) {
        return character.wrist(character.rig().parts().get(part).id(), drawing).orElse(null);
    }
}
