package app.leeward.formats.performer;

import app.leeward.core.signal.Signal;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** What is said to performers and to the page that listens to them. */
public final class DoorWriter {
    /** Times a second a performer is listened to. */
    public static final int RATE = 30;

    private DoorWriter() {}

    private static ObjectNode message(String kind) {
        return JsonNodeFactory.instance.objectNode().put("kind", kind);
    }

    /** To a performer that came in: which signals there are. */
    public static String welcome(String shot) {
        ObjectNode out = message("welcome").put("shot", shot).put("rate", RATE);
        ObjectNode signals = out.putObject("signals");
        for (Signal s : Signal.values()) {
            signals.putObject(s.word())
                    .put("from", s.from())
                    .put("to", s.to())
                    .put("unit", s.unit())
                    .put("says", s.title() + ", " + s.says());
        }
        return out.toString();
    }

    /** To either: something cannot be taken. */
    public static String problem(String words) {
        return message("problem").put("message", words).toString();
    }

    /** To the page: who is there. */
    public static String performer(DoorMessage.Hello hello) {
        return message("performer")
                .put("name", hello.name())
                .put("latency", Math.round(hello.latency() * 1000))
                .toString();
    }

    /** To the page: what the face does. */
    public static String signals(DoorMessage.Signals told) {
        ObjectNode out = message("signals");
        if (!Double.isNaN(told.at())) {
            out.put("at", told.at());
        }
        ObjectNode signals = out.putObject("signals");
        told.signals().forEach((s, v) -> signals.put(s.word(), v));
        return out.toString();
    }

    /** To the page: there is no face. */
    public static String lost(DoorMessage.Lost lost) {
        return message("lost").put("reason", lost.reason()).toString();
    }

    /** To the page: the performer has left. */
    public static String gone(String reason) {
        return message("gone").put("reason", reason).toString();
    }

    /** To the page: its own word come back, by which it measures the way. */
    public static String pong(double at) {
        return message("pong").put("at", at).toString();
    }
}
