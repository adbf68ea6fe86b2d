package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.transfer.Transfer;
import app.leeward.core.transfer.TransferItem;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Takes things another character has, by role.
 *
 * @param other the character that has them, as it stood
 * @param keys which of its things, as {@link Transfer#items} names them
 */
public record TakeFrom(Character other, List<String> keys) implements SheetEdit {
    public TakeFrom {
        keys = List.copyOf(keys);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        Transfer transfer = Transfer.between(other, before);
        Optional<TransferItem> one = keys.size() == 1 ? transfer.item(keys.get(0)) : Optional.empty();
        return "Took " + one.map(i -> i.what()).orElse(keys.size() + " things") + " from " + other.name();
    }

    @Override
    public Outcome on(Character before) {
        Transfer transfer = Transfer.between(other, before);
        Optional<String> unknown = keys.stream().filter(k -> !transfer.has(k)).findFirst();
        if (unknown.isPresent()) {
            return new Outcome.Refused(
                    RefusalCode.NOTHING_TO_TAKE,
                    "There is no “" + unknown.get() + "” to take from " + other.name() + " any more.");
        }
        return transfer.taken(new LinkedHashSet<>(keys))
                .<Outcome>map(Outcome.Done::new)
                .orElseGet(() -> new Outcome.Refused(
                        RefusalCode.NOTHING_TO_TAKE, "Nothing of that has a place on " + before.name() + "."));
    }
}
