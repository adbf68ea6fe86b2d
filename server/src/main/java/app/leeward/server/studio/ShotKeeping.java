package app.leeward.server.studio;

import app.leeward.core.edit.Touch;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.formats.json.KeyStore;
import app.leeward.formats.json.StoredJson;
import app.leeward.server.store.DocumentKind;
import java.util.List;
import java.util.Set;

/** How shots are kept as documents. */
record ShotKeeping(StoredJson json) implements RevisionService.DocumentType<Shot, ShotEdit> {
    private static final int LETTERS_OF_A_KEY = 80;

    @Override
    public DocumentKind kind() {
        return DocumentKind.SHOT;
    }

    @Override
    public String what() {
        return "line";
    }

    @Override
    public boolean holds(Object state) {
        return state instanceof Shot;
    }

    @Override
    public Shot read(int schema, String text) {
        return json.read(schema, text, Shot.class);
    }

    @Override
    public String write(Shot state) {
        return json.write(Shot.class, state);
    }

    /** A shot holds numbers, words and what was read of them before: {@code StoredFormTest} holds that every one of them reads back. */
    @Override
    public boolean readsBackAlike(Shot state) {
        return true;
    }

    /** With the keys that lie apart. */
    @Override
    public int weight(Shot state, String text) {
        int keys = state.tracks().dials().values().stream()
                .mapToInt(List::size)
                .filter(n -> n >= KeyStore.FEWEST)
                .sum();
        return text.length() + LETTERS_OF_A_KEY * keys;
    }

    @Override
    public String writeEdit(ShotEdit edit) {
        return json.write(ShotEdit.class, edit);
    }

    @Override
    public Shot apply(Shot before, ShotEdit edit) {
        return edit.apply(before);
    }

    @Override
    public String describe(Shot before, ShotEdit edit) {
        return edit.describe();
    }

    @Override
    public Set<Touch> touches(ShotEdit edit) {
        return edit.touches();
    }

    @Override
    public String name(Shot state) {
        return state.name();
    }
}
