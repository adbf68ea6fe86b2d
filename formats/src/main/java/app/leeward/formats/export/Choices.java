package app.leeward.formats.export;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What was chosen about a format: every option of it, within its range. */
public final class Choices {
    private final Map<String, Double> values;

    private Choices(Map<String, Double> values) {
        this.values = values;
    }

    /**
     * @param chosen by the options' ids; what is missing is as usual
     * @throws Refusal for a choice out of range, or of an option that is not there
     */
    public static Choices of(List<Option> options, Map<String, Double> chosen) {
        Map<String, Double> left = new HashMap<>(chosen);
        Map<String, Double> all = new HashMap<>();
        for (Option o : options) {
            Double value = left.remove(o.id());
            double taken = value == null ? o.usual() : value;
            if (!(taken >= o.from() && taken <= o.to())) {
                throw new Refusal(
                        RefusalCode.EXPORT_OPTION,
                        String.format(
                                Locale.ROOT,
                                "%s goes from %.0f to %.0f %s, not to %s.",
                                o.label(),
                                o.from(),
                                o.to(),
                                o.unit(),
                                taken));
            }
            all.put(o.id(), taken);
        }
        if (!left.isEmpty()) {
            throw new Refusal(
                    RefusalCode.EXPORT_OPTION,
                    "There is no option '" + left.keySet().iterator().next() + "'.");
        }
        return new Choices(all);
    }

    /** Those of the choices that are among the options: what is chosen for several formats at once. */
    static Choices among(List<Option> options, Map<String, Double> chosen) {
        Map<String, Double> own = new HashMap<>(chosen);
        own.keySet().retainAll(options.stream().map(Option::id).toList());
        return of(options, own);
    }

    /** @throws IllegalArgumentException for an option the format did not declare */
    public double number(String id) {
        Double value = values.get(id);
        if (value == null) {
            throw new IllegalArgumentException("the option '" + id + "' was not declared");
        }
        return value;
    }
}
