package app.leeward.formats.json;

/** Something was stored by a later version than this one, which cannot know what it means. */
public final class NewerSchema extends RuntimeException {
    private final int schema;

    public NewerSchema(int schema) {
        super("stored in schema " + schema + "; this version reads up to " + StoredJson.SCHEMA);
        this.schema = schema;
    }

    public int schema() {
        return schema;
    }
}
