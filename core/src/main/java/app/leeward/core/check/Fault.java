package app.leeward.core.check;

import app.leeward.core.art.Point;
import app.leeward.core.edit.Edit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a {@link Check} found, with edits that may help: {@link Checks} tries them before any is offered.
 *
 * @param code what is wrong, for programs
 * @param tries what may be tried, by the label of its button, the likeliest first
 */
record Fault(
        String code,
        Subject subject,
        Measure measure,
        Map<String, Double> at,
        List<List<Point>> where,
        String message,
        Map<String, Edit> tries) {
    Fault(String code, Subject subject, Measure measure, String message) {
        this(code, subject, measure, Map.of(), List.of(), message, Map.of());
    }

    Fault seenAt(Map<String, Double> pose) {
        return new Fault(code, subject, measure, pose, where, message, tries);
    }

    Fault outlined(List<List<Point>> outlines) {
        return new Fault(code, subject, measure, at, outlines, message, tries);
    }

    Fault trying(String label, Edit edit) {
        Map<String, Edit> more = new LinkedHashMap<>(tries);
        more.put(label, edit);
        return new Fault(code, subject, measure, at, where, message, more);
    }
}
