package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DialSides;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Takes dials apart into one for each side: a blink into two winks, brows that move together into two. */
public record SplitDial(List<String> dials) implements DialEdit {
    public SplitDial {
        dials = List.copyOf(dials);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Took " + names(before, dials) + " apart into left and right";
    }

    static String names(Character c, List<String> dials) {
        return dials.size() > 2
                ? dials.size() + " dials"
                : dials.stream()
                        .map(d -> c.dial(d).map(Dial::name).orElse(d))
                        .map(DialSides::wholeName)
                        .collect(Collectors.joining(" and "));
    }

    @Override
    public Outcome on(Character before) {
        Character now = before;
        for (String id : dials) {
            Optional<Dial> whole = before.dial(id);
            if (whole.isEmpty()) {
                return new Outcome.Refused(RefusalCode.NO_DIAL, "There is no dial '" + id + "' any more.");
            }
            if (!DialSides.canSplit(before, whole.get())) {
                return new Outcome.Refused(
                        RefusalCode.NO_SIDES,
                        whole.get().name()
                                + " cannot be taken apart: it poses a part that is neither left nor right, or only one side.");
            }
            now = DialSides.split(now, id);
        }
        return new Outcome.Done(now);
    }
}
