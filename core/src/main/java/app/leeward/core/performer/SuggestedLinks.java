package app.leeward.core.performer;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eye.ReadyMade;
import app.leeward.core.look.ActionUnit;
import app.leeward.core.rig.Character;
import app.leeward.core.signal.Driven;
import app.leeward.core.signal.Signal;
import app.leeward.core.signal.SignalLink;
import app.leeward.core.signal.SignalSource;
import app.leeward.core.turn.HeadDial;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Which signal drives which dial, by what the dials are for. Of two ways to move the same piece the one made for it is taken: a
 * dial of the action unit itself, and a movement of the brows only where there is no such dial. The jaw is left to the line.
 */
public final class SuggestedLinks {
    private final Character character;
    private final List<SignalLink> links = new ArrayList<>();

    private SuggestedLinks(Character character) {
        this.character = character;
    }

    /** What the signals of a source drive. */
    public static List<SignalLink> of(Character character, SignalSource source) {
        SuggestedLinks all = new SuggestedLinks(character);
        switch (source) {
            case FACE -> all.face();
            case GAMEPAD -> all.gamepad();
            case MICROPHONE -> all.microphone();
        }
        return List.copyOf(all.links);
    }

    private void face() {
        drive(Signal.HEAD_YAW, meantFor(Purpose.TURN), 1);
        drive(Signal.HEAD_PITCH, meantFor(Purpose.NOD), 1);
        drive(Signal.HEAD_ROLL, named(HeadDial.TILT.id()), 1);
        drive(Signal.GAZE_ACROSS, meantFor(Purpose.GAZE_ACROSS), 1);
        drive(Signal.GAZE_DOWN, meantFor(Purpose.GAZE_DOWN), 1);
        for (ActionUnit unit : ActionUnit.values()) {
            // 26 is the jaw, which the line opens
            Signal.of("au" + unit.number()).ifPresent(s -> drive(s, named(unit.id()), 1));
        }
        instead(Signal.AU1, ReadyMade.BROW_RAISE, 0.6);
        instead(Signal.AU1, ReadyMade.BROW_INNER, 0.6);
        instead(Signal.AU2, ReadyMade.BROW_RAISE, 0.5);
        instead(Signal.AU4, ReadyMade.BROW_RAISE, -0.6);
        instead(Signal.AU4, ReadyMade.BROW_TOGETHER, 0.9);
        instead(Signal.AU5, ReadyMade.SQUINT, -0.9);
        instead(Signal.AU6, ReadyMade.CHEEKS, 1);
        instead(Signal.AU7, ReadyMade.SQUINT, 0.6);
        instead(Signal.AU9, ReadyMade.NOSE, 1);
        instead(Signal.AU12, ReadyMade.MOUTH_CORNERS, 1);
        instead(Signal.AU15, ReadyMade.MOUTH_CORNERS, -1);
        instead(Signal.AU16, ReadyMade.LOWER_LIP, 1);
        instead(Signal.AU20, ReadyMade.MOUTH_WIDTH, 1);
        instead(Signal.AU23, ReadyMade.LIPS_TIGHT, 1);
        drive(Signal.AU45, meantFor(Purpose.BLINK), 1);
    }

    private void gamepad() {
        drive(Signal.STICK_LEFT_ACROSS, meantFor(Purpose.TURN), 1);
        drive(Signal.STICK_LEFT_DOWN, meantFor(Purpose.NOD), 1);
        drive(Signal.STICK_RIGHT_ACROSS, meantFor(Purpose.GAZE_ACROSS), 1);
        drive(Signal.STICK_RIGHT_DOWN, meantFor(Purpose.GAZE_DOWN), 1);
        drive(Signal.TRIGGER_RIGHT, named(ReadyMade.BROW_RAISE.id()), 1);
        drive(Signal.TRIGGER_LEFT, named(ReadyMade.BROW_RAISE.id()), -1);
        drive(Signal.BUTTON_FIRST, meantFor(Purpose.BLINK), 1);
    }

    private void microphone() {
        drive(Signal.SOUND_LEVEL, named(ReadyMade.JAW.id()).or(() -> named(ActionUnit.AU26.id())), 1.2);
    }

    private Optional<Dial> meantFor(Purpose purpose) {
        return first(d -> d.purpose() == purpose);
    }

    private Optional<Dial> named(String id) {
        return first(d -> d.id().equals(id));
    }

    private Optional<Dial> first(Predicate<Dial> which) {
        return character.controls().dials().stream().filter(which).findFirst();
    }

    private void instead(Signal signal, ReadyMade movement, double by) {
        boolean unit = character.dial(signal.word().replace("au", "au-")).isPresent();
        if (!unit) {
            drive(signal, named(movement.id()), by);
        }
    }

    private void drive(Signal signal, Optional<Dial> dial, double by) {
        dial.ifPresent(d -> links.add(new SignalLink(signal, new Driven.OfDial(d.id()), by, d.from(), d.to())));
    }
}
