package app.leeward.core.rig;

/**
 * Something the reader of art did or could not do, kept so that the rigger sees it.
 *
 * @param code stable, for example {@code layer-not-recognised}
 * @param place the layer or element it is about
 * @param message one sentence
 */
public record Note(String code, String place, String message) {}
