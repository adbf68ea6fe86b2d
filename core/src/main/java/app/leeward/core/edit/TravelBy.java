package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Travel;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Says how a dial gets from one keyed value to the next.
 *
 * @param travel empty to go by what the dial does
 */
public record TravelBy(String dial, Optional<Travel> travel) implements DialEdit {
    public TravelBy {
        travel = travel == null ? Optional.empty() : travel;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        String name = before.dial(dial).map(Dial::name).orElse(dial);
        return travel.isEmpty()
                ? name + " travels by what it does"
                : name + (travel.get() == Travel.GLIDE ? " glides from key to key" : " goes straight to the next key");
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(before, dial, d -> d.withTravel(travel));
    }
}
