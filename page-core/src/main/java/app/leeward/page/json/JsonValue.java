package app.leeward.page.json;

/** A value of JSON that is not null. Asked for something it is not, it throws IllegalArgumentException. */
public interface JsonValue {
    String text();

    double number();

    boolean truth();

    /** Of a list. */
    int size();

    /** An entry of a list; null where it holds JSON's null. */
    JsonValue at(int index);

    /** A property of an object; null where there is none, or where it holds JSON's null. */
    JsonValue get(String name);

    /** The names of an object's properties, in their order. */
    String[] names();
}
