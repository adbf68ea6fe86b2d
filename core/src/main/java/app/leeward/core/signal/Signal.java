package app.leeward.core.signal;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * One thing a performer tells thirty times a second. Directions are those of the picture a camera takes, not mirrored: right is the
 * picture's right, which is the performer's own left. Action units are numbered as in the Facial Action Coding System (Ekman &amp;
 * Friesen; numbers from memory) and go from 0, at rest, to 1, as far as a face goes.
 */
public enum Signal {
    HEAD_YAW("head.yaw", "Head yaw", "left to right", "°", -90, 90),
    HEAD_PITCH("head.pitch", "Head pitch", "up to down", "°", -60, 60),
    HEAD_ROLL("head.roll", "Head roll", "leaning left to right", "°", -60, 60),
    GAZE_ACROSS("gaze.across", "Gaze across", "both eyes, left to right", "", -1, 1),
    GAZE_DOWN("gaze.down", "Gaze down", "both eyes, up to down", "", -1, 1),
    AU1("au1", "AU 1", "inner brow up", "", 0, 1),
    AU2("au2", "AU 2", "outer brow up", "", 0, 1),
    AU4("au4", "AU 4", "brows down", "", 0, 1),
    AU5("au5", "AU 5", "upper lid up", "", 0, 1),
    AU6("au6", "AU 6", "cheek up", "", 0, 1),
    AU7("au7", "AU 7", "lids tight", "", 0, 1),
    AU9("au9", "AU 9", "nose wrinkle", "", 0, 1),
    AU12("au12", "AU 12", "lip corners up", "", 0, 1),
    AU15("au15", "AU 15", "lip corners down", "", 0, 1),
    AU16("au16", "AU 16", "lower lip down", "", 0, 1),
    AU20("au20", "AU 20", "lips stretched", "", 0, 1),
    AU23("au23", "AU 23", "lips tight", "", 0, 1),
    AU25("au25", "AU 25", "lips part", "", 0, 1),
    AU45("au45", "AU 45", "blink", "", 0, 1),
    /** From teeth together to as far as it goes: AU 26 and 27 in one. */
    JAW("jaw", "Jaw", "AU 26 and 27: jaw drop", "", 0, 1),
    STICK_LEFT_ACROSS("stick.left.across", "Left stick", "left to right", "", -1, 1),
    STICK_LEFT_DOWN("stick.left.down", "Left stick", "up to down", "", -1, 1),
    STICK_RIGHT_ACROSS("stick.right.across", "Right stick", "left to right", "", -1, 1),
    STICK_RIGHT_DOWN("stick.right.down", "Right stick", "up to down", "", -1, 1),
    TRIGGER_LEFT("trigger.left", "Left trigger", "pressed", "", 0, 1),
    TRIGGER_RIGHT("trigger.right", "Right trigger", "pressed", "", 0, 1),
    BUTTON_FIRST("button.1", "First button", "pressed", "", 0, 1),
    BUTTON_SECOND("button.2", "Second button", "pressed", "", 0, 1),
    /** Of a microphone, from −60 dB of full scale to full scale. */
    SOUND_LEVEL("sound.level", "Sound", "how loud it is", "", 0, 1);

    private static final Map<String, Signal> BY_WORD =
            Arrays.stream(values()).collect(Collectors.toMap(Signal::word, Function.identity()));

    private final String word;
    private final String title;
    private final String says;
    private final String unit;
    private final double from;
    private final double to;

    Signal(String word, String title, String says, String unit, double from, double to) {
        this.word = word;
        this.title = title;
        this.says = says;
        this.unit = unit;
        this.from = from;
        this.to = to;
    }

    /** What it is called on the wire and where it is stored. */
    public String word() {
        return word;
    }

    public static Optional<Signal> of(String word) {
        return Optional.ofNullable(BY_WORD.get(word));
    }

    /** What it is called on a screen. */
    public String title() {
        return title;
    }

    /** What moves, in words. */
    public String says() {
        return says;
    }

    /** {@code °} for angles; empty for shares. */
    public String unit() {
        return unit;
    }

    public double from() {
        return from;
    }

    public double to() {
        return to;
    }

    /** {@code value} held inside its range: trackers shoot a little over it. */
    public double hold(double value) {
        return Math.min(to, Math.max(from, value));
    }

    /** What it is in a mirror: left and right exchanged. */
    public double mirrored(double value) {
        return switch (this) {
            case HEAD_YAW, HEAD_ROLL, GAZE_ACROSS -> -value;
            default -> value;
        };
    }
}
