package app.leeward.e2e;

import app.leeward.core.mouth.MouthSounds;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * How well mouths that were shown agree with what was said some time before.
 *
 * @param share of the pictures while somebody speaks
 * @param behind milliseconds
 * @param mouths how many different ones were shown
 */
record SpokenAgreement(double share, int behind, int pictures, int mouths) {
    private static final int STEP = 10;
    private static final int MOST = 500;

    /**
     * @param seen seconds and drawings
     * @param phones of the line, as the API has them
     * @param drawn classes and their drawings
     */
    static SpokenAgreement best(JsonNode seen, JsonNode phones, JsonNode drawn) {
        List<TimedPhone> said = new ArrayList<>();
        phones.forEach(p -> said.add(new TimedPhone(
                Phone.valueOf(p.get("phone").asText()),
                p.get("start").asDouble(),
                p.get("end").asDouble())));
        List<MouthSounds.Stretch> stretches = MouthSounds.of(said);
        double from = said.get(0).start();
        double to = said.get(said.size() - 1).end() + MOST / 1000.0;
        Set<String> mouths = new HashSet<>();
        seen.forEach(s -> mouths.add(s.get(1).asText()));
        SpokenAgreement best = new SpokenAgreement(0, 0, 0, 0);
        for (int behind = 0; behind <= MOST; behind += STEP) {
            int right = 0;
            int all = 0;
            for (JsonNode s : seen) {
                double at = s.get(0).asDouble() - behind / 1000.0;
                if (at < from || at > to) {
                    continue;
                }
                Viseme is = stretches.stream()
                        .filter(x -> x.start() <= at && at < x.end())
                        .findFirst()
                        .map(MouthSounds.Stretch::viseme)
                        .orElse(Viseme.REST);
                all++;
                right += s.get(1).asText().equals(drawn.path(is.name()).asText()) ? 1 : 0;
            }
            if (all > 0 && (double) right / all > best.share()) {
                best = new SpokenAgreement((double) right / all, behind, all, mouths.size());
            }
        }
        return best;
    }
}
