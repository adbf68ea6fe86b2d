package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Lets a dial go its own way again. */
public record Unfollow(String dial, String leader, int later) implements DialEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        return before.dial(dial).map(Dial::name).orElse(dial) + " no longer follows "
                + before.dial(leader).map(Dial::name).orElse(leader);
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(
                before,
                dial,
                d -> d.withFollows(d.follows().stream()
                        .filter(f -> !(f.leader().equals(leader) && f.later() == later))
                        .toList()));
    }
}
