package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Driver;
import app.leeward.core.dial.Drivers;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** Lets a dial follow another; what it followed of that one equally late before is replaced. */
public record FollowDial(String dial, Driver follow) implements DialEdit {
    public FollowDial {
        Objects.requireNonNull(follow, "follow");
    }

    @Override
    public Set<Touch> touches() {
        // who follows whom must not close a ring behind anybody's back
        return Set.of(Facet.DIAL.all(), Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        return name(before, dial) + " follows " + name(before, follow.leader())
                + (follow.later() == 0 ? "" : " " + follow.later() + " frames later");
    }

    private static String name(Character c, String dial) {
        return c.dial(dial).map(Dial::name).orElse(dial);
    }

    @Override
    public Outcome on(Character before) {
        if (before.dial(follow.leader()).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DIAL, "There is no dial '" + follow.leader() + "' any more.");
        }
        Outcome outcome = OnDial.change(before, dial, d -> {
            List<Driver> all = new ArrayList<>(d.follows());
            all.removeIf(f -> f.leader().equals(follow.leader()) && f.later() == follow.later());
            all.add(follow);
            return d.withFollows(all);
        });
        if (outcome instanceof Outcome.Done done) {
            Optional<List<String>> round =
                    Drivers.round(done.character().controls().dials(), dial);
            if (round.isPresent()) {
                return new Outcome.Refused(
                        RefusalCode.ROUND,
                        "These would follow each other round and round: " + String.join(" follows ", round.get())
                                + ".");
            }
        }
        return outcome;
    }
}
