package app.leeward.page.json;

import app.leeward.core.art.Path;

/** Takes JSON as it is written, from front to back. */
public interface JsonSink {
    void begin();

    void beginList();

    /** Ends the object or list begun last. */
    void end();

    /** The name of the property whose value comes next. */
    void name(String name);

    void text(String value);

    void number(double value);

    void truth(boolean value);

    /** An outline as SVG path data. */
    default void outline(Path path) {
        text(path.toSvg());
    }

    /** JSON's null. */
    void nothing();
}
