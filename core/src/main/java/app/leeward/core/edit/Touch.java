package app.leeward.core.edit;

/**
 * One thing that an edit changes. Two edits made at the same time to the same thing cannot both be kept.
 *
 * @param facet what of the character or the shot
 * @param of whose; empty for all there is of it
 */
public record Touch(Facet facet, String of) {
    /** Touched by an edit after which nothing made before it makes sense. */
    public static final Touch EVERYTHING = Facet.EVERYTHING.all();

    /** As it is stored beside the edit, and compared there. */
    public String word() {
        return of.isEmpty() ? facet.all : facet.one + of;
    }
}
