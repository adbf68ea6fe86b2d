package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadView;
import app.leeward.core.turn.ViewMender;
import java.util.Optional;
import java.util.Set;

/**
 * Moves and scales views until neck and heights agree with the main one's.
 *
 * @param view root of the view; all of them when empty
 */
public record RegisterViews(String view) implements TurnEdit {
    public RegisterViews {
        view = view == null ? "" : view;
    }

    @Override
    public Set<Touch> touches() {
        return view.isEmpty() ? Set.of(Facet.VIEWS.all()) : Set.of(Facet.VIEWS.all(), Facet.PLACE.of(view));
    }

    @Override
    public String describe(Character before) {
        return before.controls()
                .views()
                .flatMap(v -> v.view(view))
                .map(HeadView::name)
                .map(n -> "Registered " + n + " to the other views")
                .orElse("Registered the views to each other");
    }

    @Override
    public Outcome on(Character before) {
        if (before.controls().views().isEmpty()) {
            return new Outcome.Refused(RefusalCode.VIEWS_NONE, "This head has no views to register.");
        }
        Optional<Character> mended =
                view.isEmpty() ? Optional.of(ViewMender.all(before)) : ViewMender.registered(before, view);
        if (mended.isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.VIEW_MAIN,
                    "The others are registered to this view, and it stands on the model lines: move one of the others, or the"
                            + " chin line.");
        }
        return mended.get().equals(before)
                ? new Outcome.Refused(RefusalCode.VIEWS_REGISTERED, "Necks and heights agree already.")
                : new Outcome.Done(mended.get());
    }
}
