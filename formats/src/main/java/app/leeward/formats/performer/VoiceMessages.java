package app.leeward.formats.performer;

import app.leeward.core.speech.Phone;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;

/** What is said between a page and whoever listens to the voice it sends. */
public final class VoiceMessages {
    private static final int SLOWEST = 8_000;
    private static final int FASTEST = 192_000;

    private VoiceMessages() {}

    /** The JSON Schema (2020-12) of every message that is text, both ways. */
    public static String schema() {
        return Schemas.named("voice");
    }

    /**
     * The page's only text.
     *
     * @return samples a second
     * @throws DoorProblem with place and reason
     */
    public static int rate(String text) throws DoorProblem {
        JsonNode in = DoorReader.object(text, "A message is an object of the kind begins; the voice itself is binary.");
        if (!in.path("kind").asText("").equals("begins")) {
            throw new DoorProblem("kind is begins, not " + in.path("kind") + "; the voice itself is binary.");
        }
        JsonNode rate = in.path("rate");
        if (!rate.isIntegralNumber() || !rate.canConvertToInt() || rate.asInt() < SLOWEST || rate.asInt() > FASTEST) {
            throw new DoorProblem("rate goes from " + SLOWEST + " to " + FASTEST + " samples a second, not "
                    + DoorReader.shortened(rate.toString()) + ".");
        }
        return rate.asInt();
    }

    /**
     * Samples of a binary message, -1 to 1.
     *
     * @throws DoorProblem when they are no whole samples
     */
    public static float[] samples(byte[] pcm) throws DoorProblem {
        if (pcm.length % 2 != 0) {
            throw new DoorProblem("A sample has two bytes; these are " + pcm.length + ".");
        }
        float[] out = new float[pcm.length / 2];
        for (int i = 0; i < out.length; i++) {
            out[i] = (short) (pcm[2 * i] & 0xff | pcm[2 * i + 1] << 8) / 32768f;
        }
        return out;
    }

    /** @param behind seconds from a sound to its message */
    public static String ready(double behind) {
        return message("ready").put("behind", Math.round(behind * 1000)).toString();
    }

    /** @param at seconds since it began */
    public static String hears(double at, Optional<Phone> phone) {
        return message("hears")
                .put("at", Math.round(at * 1e3) / 1e3)
                .put("phone", phone.map(Phone::name).orElse(""))
                .toString();
    }

    private static ObjectNode message(String kind) {
        return JsonNodeFactory.instance.objectNode().put("kind", kind);
    }
}
