package app.leeward.core.shotcheck;

import app.leeward.core.check.Measure;
import app.leeward.core.check.Subject;
import java.util.Locale;

/** What a gauge reads off one exposure where that is more than it may be. */
record Reading(String code, Subject subject, Measure measure, String message) {
    Reading {
        // parts are named as they are called, and a sentence begins with a capital letter
        message = message.substring(0, 1).toUpperCase(Locale.ROOT) + message.substring(1);
    }
}
