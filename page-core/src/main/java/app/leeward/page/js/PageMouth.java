package app.leeward.page.js;

import app.leeward.core.mouth.LiveMouth;
import app.leeward.core.mouth.Mood;
import app.leeward.core.mouth.MouthChart;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.speech.Phone;
import app.leeward.page.json.JsonValue;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.teavm.jso.JSExport;

/** The mouth of a character while somebody speaks. */
public final class PageMouth {
    private MouthChart chart;
    private LiveMouth mouth = LiveMouth.RESTING;

    /** @param in a mouth chart, as characters hold it */
    PageMouth(JsValue in) {
        chart = new MouthChart(Optional.empty(), drawn(in.get("drawn")));
        JsonValue moods = in.get("moods");
        for (int i = 0; moods != null && i < moods.size(); i++) {
            JsonValue m = moods.at(i);
            chart = chart.with(new Mood(
                    m.get("id").text(),
                    m.get("name").text(),
                    m.get("corners").number(),
                    m.get("tension").number(),
                    drawn(m.get("drawn"))));
        }
    }

    private static Map<Viseme, String> drawn(JsonValue in) {
        Map<Viseme, String> out = new EnumMap<>(Viseme.class);
        for (String name : in.names()) {
            out.put(Viseme.valueOf(name), in.get(name).text());
        }
        return out;
    }

    /**
     * A sound begins.
     *
     * @param at seconds, on the page's clock
     * @param phone in ARPAbet; empty for silence
     */
    @JSExport
    public void hears(double at, String phone) {
        mouth = mouth.hears(at, Phone.parse(phone));
    }

    /**
     * @param mood id of the mood it is said in; empty for none
     * @return id of the drawing that is shown; empty when there is none at all
     */
    @JSExport
    public String now(double at, String mood) {
        mouth = mouth.at(at);
        return chart.serve(mood, mouth.shown()).map(MouthChart.Service::drawing).orElse("");
    }
}
