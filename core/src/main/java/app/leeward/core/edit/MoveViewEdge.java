package app.leeward.core.edit;

import app.leeward.core.art.Numbers;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.rig.ViewSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Moves the value at which one view gives way to the next.
 *
 * @param after the band before the edge, counted from 0
 * @param at in the dial's unit
 */
public record MoveViewEdge(int after, double at) implements TurnEdit {
    public MoveViewEdge {
        Numbers.finite("at", at);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.VIEWS.all());
    }

    @Override
    public String describe(Character before) {
        String what = before.controls()
                .views()
                .filter(v -> after >= 0 && after + 1 < v.bands().size())
                .map(v -> name(v, after) + " now gives way to " + name(v, after + 1))
                .orElse("Moved where a view ends");
        return String.format(Locale.ROOT, "%s at %.1f", what, at);
    }

    private static String name(ViewSet v, int band) {
        return v.view(v.bands().get(band).view()).map(HeadView::name).orElse("a view");
    }

    @Override
    public Outcome on(Character before) {
        Optional<ViewSet> moved = before.controls().views().flatMap(v -> v.withEdge(after, at));
        if (moved.isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.VIEW_EDGE,
                    "There a view would have no room left: keep the edge between its two neighbours.");
        }
        return new Outcome.Done(before.withControls(controls -> controls.withViews(moved)));
    }
}
