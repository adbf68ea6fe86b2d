package app.leeward.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.rig.Frame;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Holds what the page worked out against what the server's classes do: numbers to a billionth, outlines as they are sent. */
final class PageAnswers {
    private static final Pattern NUMBER = Pattern.compile("-?[0-9.]+(e-?[0-9]+)?");

    private PageAnswers() {}

    static void same(String what, Frame here, JsonNode there) {
        JsonNode placed = there.get("placed");
        assertThat(placed.findValuesAsText("part"))
                .as(what + ": order")
                .isEqualTo(here.placed().stream().map(Frame.Placed::part).toList());
        for (int i = 0; i < here.placed().size(); i++) {
            Frame.Placed mine = here.placed().get(i);
            JsonNode its = placed.get(i);
            String part = what + ": " + mine.part();
            require(its.get("drawing").asText().equals(mine.drawing()), part, its.get("drawing"), mine.drawing());
            require(texts(its.path("windows")).equals(mine.windows()), part, its.path("windows"), mine.windows());
            require(texts(its.path("outside")).equals(mine.outside()), part, its.path("outside"), mine.outside());
            require(texts(its.path("behind")).equals(mine.behind()), part, its.path("behind"), mine.behind());
            close(part, mine.opacity(), its.get("opacity").asDouble(), 1e-9);
            double[] matrix = {
                mine.matrix().a(),
                mine.matrix().b(),
                mine.matrix().c(),
                mine.matrix().d(),
                mine.matrix().e(),
                mine.matrix().f()
            };
            for (int k = 0; k < 6; k++) {
                close(part, matrix[k], its.get("matrix").get(k).asDouble(), 1e-9);
            }
            List<String> outlines = texts(its.path("outlines"));
            require(outlines.size() == mine.outlines().size(), part, outlines, mine.outlines());
            for (int k = 0; k < outlines.size(); k++) {
                sameOutline(part, mine.outlines().get(k).toSvg(), outlines.get(k));
            }
        }
    }

    private static void sameOutline(String what, String mine, String its) {
        if (mine.equals(its)) {
            return;
        }
        require(NUMBER.matcher(its).replaceAll("").equals(NUMBER.matcher(mine).replaceAll("")), what, its, mine);
        Matcher a = NUMBER.matcher(mine);
        Matcher b = NUMBER.matcher(its);
        while (a.find() && b.find()) {
            // a number that lies just between two may be rounded either way
            double off = Double.parseDouble(b.group()) - Double.parseDouble(a.group());
            require(Math.abs(off) <= 1.01e-4, what, its, mine);
        }
    }

    /** There are millions of numbers: only what differs is put into words. */
    private static void require(boolean same, String what, Object there, Object here) {
        if (!same) {
            throw new AssertionError(what + ": the page has " + there + ", the server " + here);
        }
    }

    private static List<String> texts(JsonNode list) {
        List<String> all = new ArrayList<>();
        list.forEach(n -> all.add(n.asText()));
        return all;
    }

    private static void close(String what, double mine, double its, double share) {
        require(Math.abs(mine - its) <= share * Math.max(1, Math.abs(mine)), what, its, mine);
    }

    static void alike(String what, JsonNode mine, JsonNode its) {
        alike(what, mine, its, 1e-9);
    }

    /** The same text, the same lists, and numbers as close as said. */
    static void alike(String what, JsonNode mine, JsonNode its, double share) {
        if (mine.isNumber()) {
            close(what, mine.asDouble(), its.asDouble(), share);
        } else if (mine.isContainerNode()) {
            require(its.size() == mine.size(), what, its, mine);
            for (int i = 0; mine.isArray() && i < mine.size(); i++) {
                alike(what, mine.get(i), its.get(i), share);
            }
            mine.properties().forEach(p -> alike(what + "." + p.getKey(), p.getValue(), its.path(p.getKey()), share));
        } else {
            require(its.asText().equals(mine.asText()), what, its, mine);
        }
    }
}
