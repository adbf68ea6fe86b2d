package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;

/**
 * Every way a character can change. Undo, history, storage and tests all go through {@link Edits#apply}. Pure: the same
 * character and edit give the same outcome.
 */
public sealed interface Edit
        permits SheetEdit,
                PartEdit,
                DrawingEdit,
                ShapeEdit,
                ColourEdit,
                EyeEdit,
                MouthEdit,
                HandEdit,
                DialEdit,
                TurnEdit,
                LibraryEdit {
    /** What it does, in a rigger's words; {@code before} is the character it is applied to. */
    String describe(Character before);

    /** What it changes, so that edits made at the same time to different things can both be kept. */
    Set<Touch> touches();

    /** What becomes of a character; linked twins are seen to by {@link Edits#apply}. */
    Outcome on(Character before);
}
