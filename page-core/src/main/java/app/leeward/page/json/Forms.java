package app.leeward.page.json;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathReader;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Offset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;

/** The forms of what is no record: lists, maps, texts, and the values that core's records are made of. */
final class Forms {
    private Forms() {}

    static String text(JsonValue in) {
        return in == null ? null : in.text();
    }

    static double number(JsonValue in) {
        return in == null ? 0 : in.number();
    }

    static Double numberOrNull(JsonValue in) {
        return in == null ? null : (Double) in.number();
    }

    static Integer countOrNull(JsonValue in) {
        return in == null ? null : (Integer) (int) in.number();
    }

    static boolean truth(JsonValue in) {
        return in != null && in.truth();
    }

    static Boolean truthOrNull(JsonValue in) {
        return in == null ? null : (Boolean) in.truth();
    }

    static double[] numbers(JsonValue in) {
        if (in == null) {
            return null;
        }
        double[] all = new double[in.size()];
        for (int i = 0; i < all.length; i++) {
            all[i] = number(in.at(i));
        }
        return all;
    }

    static <E> E word(JsonValue in, Function<String, E> of) {
        return in == null ? null : of.apply(in.text());
    }

    static <T> Optional<T> optional(JsonValue in, Function<JsonValue, T> read) {
        return in == null ? Optional.empty() : Optional.of(read.apply(in));
    }

    static <T> List<T> list(JsonValue in, Function<JsonValue, T> read) {
        if (in == null) {
            return null;
        }
        int size = in.size();
        List<T> all = new ArrayList<>(size);
        for (int i = 0; i < size; i++) {
            all.add(read.apply(in.at(i)));
        }
        return all;
    }

    static <T> Set<T> set(JsonValue in, Function<JsonValue, T> read) {
        return in == null ? null : new LinkedHashSet<>(list(in, read));
    }

    static <K, V> Map<K, V> map(JsonValue in, Function<String, K> key, Function<JsonValue, V> read) {
        if (in == null) {
            return null;
        }
        Map<K, V> all = new LinkedHashMap<>();
        for (String name : in.names()) {
            all.put(key.apply(name), read.apply(in.get(name)));
        }
        return all;
    }

    static Path readPath(JsonValue in) {
        return in == null ? null : PathReader.read(in.text()).path();
    }

    static Matrix readMatrix(JsonValue in) {
        double[] m = numbers(in);
        return m == null ? null : new Matrix(m[0], m[1], m[2], m[3], m[4], m[5]);
    }

    static Point readPoint(JsonValue in) {
        double[] xy = numbers(in);
        return xy == null ? null : new Point(xy[0], xy[1]);
    }

    static Offset readOffset(JsonValue in) {
        if (in == null) {
            return null;
        }
        Map<Channel, Double> numbers = new HashMap<>();
        for (Channel c : Channel.STANDARD) {
            JsonValue number = in.get(c.id());
            if (number != null) {
                numbers.put(c, number.number());
            }
        }
        return Offset.of(numbers);
    }

    static void writeText(JsonSink out, String v) {
        if (v == null) {
            out.nothing();
        } else {
            out.text(v);
        }
    }

    static void writeNumber(JsonSink out, Number v) {
        if (v == null) {
            out.nothing();
        } else {
            out.number(v.doubleValue());
        }
    }

    static void writeTruth(JsonSink out, Boolean v) {
        if (v == null) {
            out.nothing();
        } else {
            out.truth(v);
        }
    }

    static void writeNumbers(JsonSink out, double... all) {
        if (all == null) {
            out.nothing();
            return;
        }
        out.beginList();
        for (double v : all) {
            out.number(v);
        }
        out.end();
    }

    static <T> void writeOptional(JsonSink out, Optional<T> v, Consumer<T> write) {
        if (v == null || v.isEmpty()) {
            out.nothing();
        } else {
            write.accept(v.get());
        }
    }

    static <T> void writeAll(JsonSink out, Collection<T> all, Consumer<T> write) {
        if (all == null) {
            out.nothing();
            return;
        }
        out.beginList();
        for (T v : all) {
            if (v == null) {
                out.nothing();
            } else {
                write.accept(v);
            }
        }
        out.end();
    }

    static <K, V> void writeMap(JsonSink out, Map<K, V> all, Function<K, String> name, Consumer<V> write) {
        if (all == null) {
            out.nothing();
            return;
        }
        out.begin();
        for (Map.Entry<K, V> e : all.entrySet()) {
            out.name(name.apply(e.getKey()));
            if (e.getValue() == null) {
                out.nothing();
            } else {
                write.accept(e.getValue());
            }
        }
        out.end();
    }

    static void writePath(JsonSink out, Path v) {
        if (v == null) {
            out.nothing();
        } else {
            out.outline(v);
        }
    }

    static void writeMatrix(JsonSink out, Matrix m) {
        if (m == null) {
            out.nothing();
        } else {
            writeNumbers(out, m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
        }
    }

    static void writePoint(JsonSink out, Point v) {
        if (v == null) {
            out.nothing();
        } else {
            writeNumbers(out, v.x(), v.y());
        }
    }

    static void writeOffset(JsonSink out, Offset v) {
        if (v == null) {
            out.nothing();
            return;
        }
        out.begin();
        for (Channel c : Channel.STANDARD) {
            if (v.channels().contains(c)) {
                out.name(c.id());
                out.number(v.of(c));
            }
        }
        out.end();
    }
}
