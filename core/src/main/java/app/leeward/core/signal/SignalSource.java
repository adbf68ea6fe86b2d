package app.leeward.core.signal;

import java.util.Arrays;
import java.util.List;

/** What signals come from. */
public enum SignalSource {
    /** A face: a camera, any face tracker, or a script. */
    FACE(Signal.HEAD_YAW, Signal.JAW),
    /** Sticks, triggers and buttons of a gamepad. */
    GAMEPAD(Signal.STICK_LEFT_ACROSS, Signal.BUTTON_SECOND),
    MICROPHONE(Signal.SOUND_LEVEL, Signal.SOUND_LEVEL);

    private final List<Signal> signals;

    SignalSource(Signal first, Signal last) {
        signals = Arrays.asList(Signal.values()).subList(first.ordinal(), last.ordinal() + 1);
    }

    /** In the order they are shown in. */
    public List<Signal> signals() {
        return signals;
    }
}
